using System.Globalization;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>How one thing differs from the document that it was begun from.</summary>
public enum LikeChange
{
    /// <summary>Not there before.</summary>
    New,

    /// <summary>Not there any more.</summary>
    Gone,

    /// <summary>At another place, or turned.</summary>
    Moved,

    /// <summary>Of another size or kind.</summary>
    Changed,
}

/// <param name="At">Where it stands in the document; where it stood in the other if it is gone.</param>
/// <param name="Face">Null where it is of both faces.</param>
/// <param name="Was">Its place before, mm; null where it has none.</param>
/// <param name="Is">Its place now, mm.</param>
public sealed record LikeDifference(
    LikeChange Change,
    string Name,
    string At,
    string Text,
    Face? Face,
    Point2? Was,
    Point2? Is
);

/// <summary>What differs between a document and the one that it was begun from, thing by thing by its id.</summary>
public static class LikeDifferences
{
    private const int MaxFields = 6,
        MaxDifferences = 500;

    /// <summary>Names a document has of its own, and remarks.</summary>
    private static readonly HashSet<string> OfItsOwn =
    [
        "id",
        "maker",
        "model",
        "revision",
        "boardCode",
        "notes",
        "price",
        "declaredFor",
    ];

    private static readonly HashSet<string> PlaceFields = ["x", "y", "rotationDeg"];

    private static readonly Dictionary<string, string> One = new(StringComparer.Ordinal)
    {
        ["parts"] = "part",
        ["holes"] = "hole",
        ["lands"] = "land",
        ["pockets"] = "pocket",
        ["ports"] = "port",
        ["plates"] = "plate",
        ["headers"] = "header",
    };

    public static IReadOnlyList<LikeDifference> Find(JsonObject document, JsonObject like)
    {
        var all = new List<LikeDifference>();
        Things(document, like, "", "", null, all);
        return [.. all.OrderBy(d => d.Change).Take(MaxDifferences)];
    }

    private static void Things(
        JsonObject now,
        JsonObject was,
        string at,
        string name,
        Face? face,
        List<LikeDifference> all
    )
    {
        List<string> fields = [];
        foreach (var key in now.Select(p => p.Key).Concat(was.Select(p => p.Key)).Distinct())
        {
            var (a, b) = (now[key], was[key]);
            if (
                at.Length == 0 && OfItsOwn.Contains(key)
                || key is "evidence"
                || key.StartsWith("x-", StringComparison.Ordinal)
                || JsonNode.DeepEquals(a, b)
            )
                continue;
            if (One.TryGetValue(key, out var one) && a is null or JsonArray && b is null or JsonArray)
                List(a as JsonArray ?? [], b as JsonArray ?? [], $"{at}/{key}", one, face, all);
            else if (!(at.Length > 0 && PlaceFields.Contains(key)))
                fields.Add($"{key} {Words(b)} → {Words(a)}");
        }
        var (before, after) = (Place(was), Place(now));
        var moved =
            at.Length > 0 && before is { } p && after is { } q && ((q - p).Length > 1e-6 || Turn(now) != Turn(was));
        // an outline that only lies elsewhere is told by its place
        if (moved)
            fields.RemoveAll(f => f.StartsWith("outline ", StringComparison.Ordinal) && SameShape(now, was));
        if (!moved && fields.Count == 0)
            return;
        var words = fields.Take(MaxFields).ToList();
        if (fields.Count > MaxFields)
            words.Add($"and {fields.Count - MaxFields} more");
        if (moved)
            words.Insert(0, MovedBy(before!.Value, after!.Value, Turn(was), Turn(now)));
        all.Add(
            new(
                moved ? LikeChange.Moved : LikeChange.Changed,
                name.Length == 0 ? "the whole" : name,
                at,
                string.Join("; ", words),
                FaceOf(now) ?? face,
                at.Length == 0 ? null : before,
                at.Length == 0 ? null : after
            )
        );
    }

    private static void List(JsonArray now, JsonArray was, string at, string one, Face? face, List<LikeDifference> all)
    {
        string Id(JsonNode? n, int i) => (n?["id"] as JsonValue)?.ToString() ?? $"{i + 1}";
        var before = was.Select((n, i) => (Item: n, At: i))
            .Where(x => x.Item is JsonObject)
            .DistinctBy(x => Id(x.Item, x.At))
            .ToDictionary(x => Id(x.Item, x.At));
        var seen = new HashSet<string>();
        for (var i = 0; i < now.Count; i++)
        {
            if (now[i] is not JsonObject item || !seen.Add(Id(item, i)))
                continue;
            var name = $"{one} {Id(item, i)}";
            if (before.Remove(Id(item, i), out var old))
                Things(item, (JsonObject)old.Item!, $"{at}/{i}", name, FaceOf(item) ?? face, all);
            else
                all.Add(new(LikeChange.New, name, $"{at}/{i}", "new", FaceOf(item) ?? face, null, Place(item)));
        }
        foreach (var (id, (item, i)) in before)
            all.Add(
                new(
                    LikeChange.Gone,
                    $"{one} {id}",
                    $"{at}/{i}",
                    "gone",
                    FaceOf(item!) ?? face,
                    Place((JsonObject)item!),
                    null
                )
            );
    }

    private static Face? FaceOf(JsonNode item) =>
        (item["face"] as JsonValue)?.ToString() switch
        {
            "front" => Face.Front,
            "back" => Face.Back,
            _ => null,
        };

    private static double Turn(JsonObject o) => Number(o["rotationDeg"]) ?? 0;

    private static double? Number(JsonNode? n) => n is JsonValue v && v.TryGetValue<double>(out var d) ? d : null;

    private static Point2? Place(JsonObject o)
    {
        if (Number(o["x"]) is { } x && Number(o["y"]) is { } y)
            return new(x, y);
        return Points(o) is { Count: > 0 } points && Bounds.From(points) is var b
            ? new((b.MinX + b.MaxX) / 2, (b.MinY + b.MaxY) / 2)
            : null;
    }

    private static List<Point2>? Points(JsonObject o) =>
        o["outline"] is JsonArray list
            ?
            [
                .. list.OfType<JsonArray>()
                    .Where(p => p.Count == 2)
                    .Select(p => new Point2(Number(p[0]) ?? 0, Number(p[1]) ?? 0)),
            ]
            : null;

    private static bool SameShape(JsonObject now, JsonObject was) =>
        Points(now) is { } a
        && Points(was) is { } b
        && a.Count == b.Count
        && a.Zip(b).All(p => (p.First - a[0] - (p.Second - b[0])).Length < 1e-6);

    private static string MovedBy(Point2 was, Point2 now, double turnWas, double turnNow)
    {
        string N(double v) => v.ToString("+0.##;−0.##;0", CultureInfo.InvariantCulture);
        List<string> words = [];
        if ((now - was).Length > 1e-6)
            words.Add($"moved by {N(now.X - was.X)}, {N(now.Y - was.Y)} mm");
        if (turnWas != turnNow)
            words.Add($"turned by {N(turnNow - turnWas)}°");
        return string.Join(", ", words);
    }

    private static string Words(JsonNode? n) =>
        n switch
        {
            null => "not stated",
            JsonValue v => v.ToString(),
            JsonArray list => $"{list.Count} entries",
            _ => "stated",
        };
}
