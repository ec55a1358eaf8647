using System.Text.Json.Nodes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>What a drawn underside changes in a block's first plate.</summary>
public static class UndersideEdits
{
    /// <param name="document">The block's, to take further lands after.</param>
    public static IReadOnlyList<DocumentEdit> For(JsonNode document, Plate plate, LaidUnderside laid)
    {
        var edits = new List<DocumentEdit>();
        if (laid.Outline is { } outline)
            edits.Add(new SetEdit("/plates/0/outline", Points(outline)));
        for (var i = 0; i < plate.Holes.Count; i++)
            if (laid.Screws.TryGetValue(plate.Holes[i].Id, out var at))
            {
                var hole = $"/plates/0/holes/{i}";
                edits.Add(new SetEdit($"{hole}/x", at.X));
                edits.Add(new SetEdit($"{hole}/y", at.Y));
                if (plate.Holes[i].Evidence is null or FigureGrade.Assumed)
                    edits.Add(new SetEdit($"{hole}/evidence", "manual"));
            }
        for (var i = 0; i < plate.Lands.Count; i++)
            if (laid.Lands.TryGetValue(plate.Lands[i].Id, out var shapes))
            {
                var land = $"/plates/0/lands/{i}";
                edits.Add(new SetEdit($"{land}/outline", Points(shapes[0])));
                for (var n = 1; n < shapes.Count; n++)
                {
                    var more = document["plates"]![0]!["lands"]![i]!.DeepClone().AsObject();
                    more["id"] = $"{plate.Lands[i].Id}-{n + 1}";
                    more["outline"] = Points(shapes[n]);
                    edits.Add(new AddEdit("/plates/0/lands", more, 0, 0, false));
                }
            }
        return edits;
    }

    private static JsonArray Points(Polygon polygon) =>
        [.. polygon.Points.Select(p => (JsonNode)new JsonArray(p.X, p.Y))];
}
