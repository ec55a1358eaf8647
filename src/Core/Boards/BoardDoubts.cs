using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Boards;

namespace FaithfulBracket.Core.Boards;

/// <summary>What is allowed in a board but hardly meant: told before the board is kept.</summary>
public static class BoardDoubts
{
    public static IReadOnlyList<string> Find(Board board)
    {
        var doubts = new List<string>();
        void Outside(string one, string more, IEnumerable<(string Id, Point2 At)> things)
        {
            var ids = things.Where(t => !board.Outline.Contains(t.At)).Select(t => t.Id).ToList();
            if (ids.Count > 0)
                doubts.Add(
                    $"{ids.Count} {(ids.Count == 1 ? one : more)} outside the outline: "
                        + $"{string.Join(", ", ids.Take(8))}{(ids.Count > 8 ? " …" : "")}."
                );
        }
        Outside(
            BoardDoubtsWords.PartHasMiddle,
            BoardDoubtsWords.PartsHaveTheirMiddles,
            board.Parts.Select(p => (p.Id, p.At))
        );
        Outside("hole lies", "holes lie", board.Holes.Select(h => (h.Id, h.At)));
        return doubts;
    }
}
