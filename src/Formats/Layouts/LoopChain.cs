using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Loose lines of a drawing joined end to end into closed loops.</summary>
internal static class LoopChain
{
    /// <summary>Ends nearer than this, mm, are one joint.</summary>
    public const double JointMm = 0.02;

    /// <returns>Every loop that closes, without its first point again at the end.</returns>
    public static List<List<Point2>> Loops(IReadOnlyList<(Point2 A, Point2 B)> lines)
    {
        var ends = new Dictionary<(long X, long Y), List<int>>();
        for (var i = 0; i < lines.Count; i++)
            foreach (var end in (ReadOnlySpan<Point2>)[lines[i].A, lines[i].B])
            {
                if (!ends.TryGetValue(Cell(end), out var at))
                    ends[Cell(end)] = at = [];
                at.Add(i);
            }
        var used = new bool[lines.Count];
        var loops = new List<List<Point2>>();
        for (var first = 0; first < lines.Count; first++)
        {
            if (used[first])
                continue;
            used[first] = true;
            var loop = new List<Point2> { lines[first].A, lines[first].B };
            while ((loop[0] - loop[^1]).Length >= JointMm && Next(loop[^1]) is { } next)
                loop.Add(next);
            if (loop.Count < 4 || (loop[0] - loop[^1]).Length >= JointMm)
                continue;
            loop.RemoveAt(loop.Count - 1);
            loops.Add(loop);
        }
        return loops;

        Point2? Next(Point2 end)
        {
            var (cx, cy) = Cell(end);
            for (var dx = -1; dx <= 1; dx++)
            for (var dy = -1; dy <= 1; dy++)
                foreach (var i in ends.GetValueOrDefault((cx + dx, cy + dy)) ?? [])
                {
                    if (used[i])
                        continue;
                    var fromA = (lines[i].A - end).Length < JointMm;
                    if (!fromA && (lines[i].B - end).Length >= JointMm)
                        continue;
                    used[i] = true;
                    return fromA ? lines[i].B : lines[i].A;
                }
            return null;
        }
    }

    private static (long X, long Y) Cell(Point2 p) =>
        ((long)Math.Floor(p.X / JointMm), (long)Math.Floor(p.Y / JointMm));
}
