namespace FaithfulBracket.Core.Match.Identify;

/// <summary>
/// Finds boards that share local triangles with a constellation: an inverted file from triangle to boards (geometric
/// hashing, Lamdan and Wolfson 1988), weighted by rarity. Immutable; 100 000 boards of 45 points take about 200 MB.
/// </summary>
public sealed class TwinIndex
{
    private const int NeighboursKept = 5,
        NeighboursAsked = 8,
        HolesKept = 6,
        HolesAsked = 10;
    private const int MaxPostings = 600_000;

    private readonly int[] _start,
        _offsets,
        _postings;
    private readonly float[] _x,
        _y;
    private readonly bool[] _hole;
    private readonly uint _mask;

    private TwinIndex(
        IReadOnlyList<string> ids,
        int[] start,
        float[] x,
        float[] y,
        bool[] hole,
        int[] offsets,
        int[] postings
    ) =>
        (Ids, _start, _x, _y, _hole, _offsets, _postings, _mask) = (
            ids,
            start,
            x,
            y,
            hole,
            offsets,
            postings,
            (uint)offsets.Length - 2
        );

    public IReadOnlyList<string> Ids { get; }

    /// <summary>Memory its arrays take, bytes.</summary>
    public long Bytes =>
        4L * (_start.Length + _offsets.Length + _postings.Length + _x.Length + _y.Length) + _hole.Length;

    /// <param name="boards">Id and constellation of each; read twice.</param>
    public static TwinIndex Build(
        IReadOnlyList<(string Id, Constellation Points)> boards,
        CancellationToken cancel = default
    )
    {
        var start = new int[boards.Count + 1];
        for (var b = 0; b < boards.Count; b++)
            start[b + 1] = start[b] + boards[b].Points.Points.Count;
        float[] x = new float[start[^1]],
            y = new float[start[^1]];
        var hole = new bool[start[^1]];
        for (var b = 0; b < boards.Count; b++)
        {
            for (var i = 0; i < boards[b].Points.Points.Count; i++)
            {
                var p = boards[b].Points.Points[i];
                (x[start[b] + i], y[start[b] + i], hole[start[b] + i]) = ((float)p.X, (float)p.Y, p.IsHole);
            }
        }
        var buckets = 1;
        while (buckets < 1 << 21 && buckets < 64L * boards.Count)
            buckets <<= 1;
        var offsets = new int[buckets + 1];
        var of = new uint[boards.Count][];
        Parallel.For(
            0,
            boards.Count,
            new() { CancellationToken = cancel },
            () => new Bench(),
            (b, _, bench) =>
            {
                var (from, length) = (start[b], start[b + 1] - start[b]);
                Triangles.Collect(
                    x.AsSpan(from, length),
                    y.AsSpan(from, length),
                    hole.AsSpan(from, length),
                    NeighboursKept,
                    HolesKept,
                    bench.Triangles,
                    bench.Seen
                );
                bench.Own.Clear();
                foreach (var t in bench.Triangles)
                    bench.Own.Add(
                        Triangles.Hash(
                            Triangles.Step(t.Short),
                            Triangles.Step(t.Middle),
                            Triangles.Step(t.Long),
                            t.Holes
                        ) & (uint)(buckets - 1)
                    );
                of[b] = [.. bench.Own];
                return bench;
            },
            _ => { }
        );
        foreach (var own in of)
        foreach (var bucket in own)
            offsets[bucket + 1]++;
        for (var k = 0; k < buckets; k++)
            offsets[k + 1] += offsets[k];
        var postings = new int[offsets[^1]];
        var next = offsets.AsSpan(0, buckets).ToArray();
        for (var b = 0; b < of.Length; b++)
            foreach (var bucket in of[b])
                postings[next[bucket]++] = b;
        return new([.. boards.Select(b => b.Id)], start, x, y, hole, offsets, postings);
    }

    /// <summary>Lists that one thread fills again for each board.</summary>
    private sealed class Bench
    {
        public List<Triangle> Triangles { get; } = [];
        public HashSet<long> Seen { get; } = [];
        public HashSet<uint> Own { get; } = [];
    }

    internal (ReadOnlyMemory<float> X, ReadOnlyMemory<float> Y, ReadOnlyMemory<bool> Hole) PointsOf(int board) =>
        (
            _x.AsMemory(_start[board], Length(board)),
            _y.AsMemory(_start[board], Length(board)),
            _hole.AsMemory(_start[board], Length(board))
        );

    private int Length(int board) => _start[board + 1] - _start[board];

    /// <summary>
    /// Boards with the highest vote, best first; rare triangles count more (inverse document frequency).
    /// </summary>
    internal List<int> Vote(IReadOnlyList<Triangle> asked, float tolerance, int most)
    {
        var score = new float[Ids.Count];
        var lookups = new List<(int Count, uint Bucket)>();
        Span<uint> probes = stackalloc uint[64];
        foreach (var t in asked)
        {
            var n = Triangles.Probes(t, tolerance, probes);
            for (var k = 0; k < n; k++)
            {
                var bucket = probes[k] & _mask;
                var count = _offsets[bucket + 1] - _offsets[bucket];
                if (count > 0)
                    lookups.Add((count, bucket));
            }
        }
        lookups.Sort();
        var spent = 0;
        foreach (var (count, bucket) in lookups)
        {
            if ((spent += count) > MaxPostings)
                break;
            var weight = MathF.Log(1 + (float)Ids.Count / count);
            foreach (var b in _postings.AsSpan(_offsets[bucket], count))
                score[b] += weight;
        }
        return Best(score, most);
    }

    private static List<int> Best(float[] score, int most)
    {
        var queue = new PriorityQueue<int, float>(most + 1);
        for (var b = 0; b < score.Length; b++)
        {
            if (score[b] <= 0)
                continue;
            if (queue.Count < most)
                queue.Enqueue(b, score[b]);
            else if (queue.TryPeek(out _, out var least) && score[b] > least)
                queue.EnqueueDequeue(b, score[b]);
        }
        var list = new List<int>(queue.Count);
        while (queue.TryDequeue(out var b, out _))
            list.Add(b);
        list.Reverse();
        return list;
    }

    internal static void TrianglesAsked(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        List<Triangle> into
    ) => Triangles.Collect(x, y, hole, NeighboursAsked, HolesAsked, into);

    internal static void TrianglesKept(
        ReadOnlySpan<float> x,
        ReadOnlySpan<float> y,
        ReadOnlySpan<bool> hole,
        bool holesOnly,
        List<Triangle> into
    )
    {
        if (holesOnly)
            Triangles.OfHoles(x, y, hole, HolesKept, into);
        else
            Triangles.Collect(x, y, hole, NeighboursKept, HolesKept, into);
    }
}
