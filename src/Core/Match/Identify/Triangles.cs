namespace FaithfulBracket.Core.Match.Identify;

/// <summary>
/// Three points with sides in rising order; vertex A lies opposite the shortest side, C opposite the longest.
/// </summary>
internal readonly record struct Triangle(int A, int B, int C, float Short, float Middle, float Long, byte Holes);

/// <summary>
/// Triangles of near neighbours: they do not change when the board is moved or turned, and survive when far points
/// are missing.
/// </summary>
internal static class Triangles
{
    /// <summary>Width of one step of a side length, mm.</summary>
    public const float StepMm = 0.6f;

    private const float MinSideMm = 1.0f,
        LongestSideMm = 150;

    /// <summary>
    /// Each point with every two of its <paramref name="neighbours"/> nearest, and each hole with every two of its
    /// <paramref name="holeNeighbours"/> nearest holes: holes alone are what a caliper gives, and among parts they are seldom neighbours.
    /// </summary>
    /// <param name="list">Cleared and filled; every triangle stands once.</param>
    public static void Collect(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        int neighbours,
        int holeNeighbours,
        List<Triangle> list,
        HashSet<long>? seen = null
    )
    {
        list.Clear();
        (seen ??= []).Clear();
        if (hole.Contains(false))
            Among(x, y, hole, neighbours, holesOnly: false, seen, list);
        Among(x, y, hole, holeNeighbours, holesOnly: true, seen, list);
    }

    /// <summary>Those of the holes alone.</summary>
    public static void OfHoles(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        int holeNeighbours,
        List<Triangle> list
    )
    {
        list.Clear();
        Among(x, y, hole, holeNeighbours, holesOnly: true, [], list);
    }

    private static void Among(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        int neighbours,
        bool holesOnly,
        HashSet<long> seen,
        List<Triangle> list
    )
    {
        var n = x.Length;
        var k = Math.Min(neighbours, n - 1);
        if (k < 2)
            return;
        Span<int> near = stackalloc int[k];
        Span<float> distance = stackalloc float[k];
        for (var i = 0; i < n; i++)
        {
            if (holesOnly && !hole[i])
                continue;
            var found = 0;
            for (var j = 0; j < n; j++)
            {
                if (j == i || holesOnly && !hole[j])
                    continue;
                float dx = x[j] - x[i],
                    dy = y[j] - y[i],
                    d = dx * dx + dy * dy;
                if (found == k && d >= distance[k - 1])
                    continue;
                var at = found < k ? found++ : k - 1;
                while (at > 0 && distance[at - 1] > d)
                {
                    distance[at] = distance[at - 1];
                    near[at] = near[at - 1];
                    at--;
                }
                (distance[at], near[at]) = (d, j);
            }
            for (var a = 0; a < found; a++)
            for (var b = a + 1; b < found; b++)
                if (seen.Add(Name(i, near[a], near[b])) && Make(x, y, hole, i, near[a], near[b]) is { } t)
                    list.Add(t);
        }
    }

    private static long Name(int a, int b, int c)
    {
        if (a > b)
            (a, b) = (b, a);
        if (b > c)
            (b, c) = (c, b);
        if (a > b)
            (a, b) = (b, a);
        return ((long)a << 42) | ((long)b << 21) | (uint)c;
    }

    private static Triangle? Make(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        int a,
        int b,
        int c
    )
    {
        float la = Side(x, y, b, c),
            lb = Side(x, y, a, c),
            lc = Side(x, y, a, b);
        if (la > lb)
            (a, b, la, lb) = (b, a, lb, la);
        if (lb > lc)
            (b, c, lb, lc) = (c, b, lc, lb);
        if (la > lb)
            (a, b, la, lb) = (b, a, lb, la);
        if (la < MinSideMm || lc > LongestSideMm)
            return null;
        return new(a, b, c, la, lb, lc, (byte)((hole[a] ? 1 : 0) + (hole[b] ? 1 : 0) + (hole[c] ? 1 : 0)));
    }

    private static float Side(ReadOnlySpan<float> x, ReadOnlySpan<float> y, int a, int b)
    {
        float dx = x[a] - x[b],
            dy = y[a] - y[b];
        return MathF.Sqrt(dx * dx + dy * dy);
    }

    public static int Step(float side) => Math.Min(255, (int)(side / StepMm));

    /// <summary>A mixed number for three steps and the count of holes.</summary>
    public static uint Hash(int a, int b, int c, int holes)
    {
        var h = (uint)((((a << 8) | b) << 8) | c) * 4u + (uint)holes;
        h *= 0x9E3779B1;
        h ^= h >> 15;
        h *= 0x85EBCA77;
        h ^= h >> 13;
        return h;
    }

    /// <summary>
    /// Fills the hashes a measured triangle may stand under when sides are off by up to <paramref name="tolerance"/>.
    /// </summary>
    public static int Probes(in Triangle t, float tolerance, Span<uint> into)
    {
        Span<int> low = [Step(t.Short - tolerance), Step(t.Middle - tolerance), Step(t.Long - tolerance)];
        Span<int> high = [Step(t.Short + tolerance), Step(t.Middle + tolerance), Step(t.Long + tolerance)];
        var n = 0;
        for (var a = low[0]; a <= high[0]; a++)
        for (var b = low[1]; b <= high[1]; b++)
        for (var c = low[2]; c <= high[2]; c++)
            if (a <= b && b <= c && n < into.Length)
                into[n++] = Hash(a, b, c, t.Holes);
        return n;
    }
}
