namespace FaithfulBracket.Core.Geometry;

/// <summary>Whether a closed line crosses itself: sides are swept from left to right, and only those abreast are compared.</summary>
public static class SelfCrossing
{
    public static bool Exists(IReadOnlyList<Point2> corners)
    {
        var n = corners.Count;
        var sides = Enumerable
            .Range(0, n)
            .Select(i => (A: corners[i], B: corners[(i + 1) % n], Index: i))
            .OrderBy(s => Math.Min(s.A.X, s.B.X))
            .ToList();
        var abreast = new List<(Point2 A, Point2 B, int Index)>();
        foreach (var side in sides)
        {
            var left = Math.Min(side.A.X, side.B.X);
            abreast.RemoveAll(s => Math.Max(s.A.X, s.B.X) < left);
            foreach (var other in abreast)
                if (Apart(side.Index, other.Index, n) && Cross(side.A, side.B, other.A, other.B))
                    return true;
            abreast.Add(side);
        }
        return false;
    }

    private static bool Apart(int i, int j, int n) => Math.Abs(i - j) is var d && d > 1 && d < n - 1;

    private static bool Cross(Point2 a, Point2 b, Point2 c, Point2 d) =>
        (b - a).Cross(c - a) * (b - a).Cross(d - a) < 0 && (d - c).Cross(a - c) * (d - c).Cross(b - c) < 0;
}
