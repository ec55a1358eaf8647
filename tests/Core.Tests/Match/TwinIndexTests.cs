using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Boards that share triangles, counted by a plain look at every board's own.</summary>
public class TwinIndexTests
{
    private static Constellation Drawn(ulong seed, int n, double span = 90)
    {
        var d = new NormalDraws(seed);
        return new([
            .. Enumerable
                .Range(0, n)
                .Select(_ => new SeenPoint(span * d.Uniform(), span * d.Uniform(), d.Uniform() < 0.4)),
        ]);
    }

    private static List<Triangle> Asked(Constellation seen)
    {
        var into = new List<Triangle>();
        TwinIndex.TrianglesAsked(
            [.. seen.Points.Select(p => (float)p.X)],
            [.. seen.Points.Select(p => (float)p.Y)],
            [.. seen.Points.Select(p => p.IsHole)],
            into
        );
        return into;
    }

    private static List<Triangle> Kept(TwinIndex index, int board, bool holesOnly = false)
    {
        var (x, y, hole) = index.PointsOf(board);
        var into = new List<Triangle>();
        TwinIndex.TrianglesKept(x.Span, y.Span, hole.Span, holesOnly, into);
        return into;
    }

    [Fact]
    public void Its_points_are_the_boards_own()
    {
        Constellation[] boards = [Drawn(1, 9), Drawn(2, 0), Drawn(3, 4)];
        var index = TwinIndex.Build([.. boards.Select((b, i) => ($"b{i}", b))]);
        Assert.Equal(["b0", "b1", "b2"], index.Ids);
        for (var b = 0; b < boards.Length; b++)
        {
            var (x, y, hole) = index.PointsOf(b);
            Assert.Equal(boards[b].Points.Select(p => (float)p.X), x.ToArray());
            Assert.Equal(boards[b].Points.Select(p => (float)p.Y), y.ToArray());
            Assert.Equal(boards[b].Points.Select(p => p.IsHole), hole.ToArray());
        }
        // 13 points of two numbers and a mark, where each board's begin, and the lists
        Assert.InRange(index.Bytes, 13 * 9 + 4 * 4, 100_000);
    }

    [Fact]
    public void Votes_are_the_rarity_of_every_triangle_shared()
    {
        var boards = Enumerable.Range(1, 40).Select(k => Drawn((ulong)k, 20)).ToList();
        var index = TwinIndex.Build([.. boards.Select((b, i) => ($"b{i}", b))]);
        const float tolerance = 0.25f;
        var seen = boards[17];
        var asked = Asked(seen);
        var hashes = boards
            .Select(
                (_, b) =>
                    Kept(index, b)
                        .Select(t =>
                            Triangles.Hash(
                                Triangles.Step(t.Short),
                                Triangles.Step(t.Middle),
                                Triangles.Step(t.Long),
                                t.Holes
                            )
                        )
                        .ToHashSet()
            )
            .ToList();
        // the index folds hashes into as many lists as the next power of two over 64 for each board
        const uint lists = 4096;
        var folded = hashes.ConvertAll(h => h.Select(x => x % lists).ToHashSet());
        var score = new double[boards.Count];
        Span<uint> probes = stackalloc uint[64];
        foreach (var t in asked)
        {
            var n = Triangles.Probes(t, tolerance, probes);
            for (var k = 0; k < n; k++)
            {
                var list = probes[k] % lists;
                var holders = Enumerable.Range(0, boards.Count).Where(b => folded[b].Contains(list)).ToList();
                foreach (var b in holders)
                    score[b] += Math.Log(1 + (double)boards.Count / holders.Count);
            }
        }
        var expected = Enumerable
            .Range(0, boards.Count)
            .Where(b => score[b] > 0)
            .OrderByDescending(b => score[b])
            .ToList();
        var voted = index.Vote(asked, tolerance, boards.Count);
        Assert.Equal(17, voted[0]);
        Assert.Equal(expected.Take(12), voted.Take(12));
        Assert.Equal(expected.Count, voted.Count);
        foreach (var most in (int[])[1, 2, 5])
            Assert.Equal(voted.Take(most), index.Vote(asked, tolerance, most));
    }

    [Fact]
    public void Who_shares_nothing_gets_no_vote()
    {
        var index = TwinIndex.Build([("near", Drawn(1, 12)), ("far", Drawn(2, 3, 4000)), ("none", new([]))]);
        Assert.Equal([0], index.Vote(Asked(Drawn(1, 12)), 0.2f, 5));
        Assert.Empty(index.Vote([], 0.2f, 5));
        Assert.Empty(TwinIndex.Build([]).Vote(Asked(Drawn(1, 12)), 0.2f, 5));
    }

    [Fact]
    public void Of_the_holes_alone_only_triangles_of_holes_are_kept()
    {
        var index = TwinIndex.Build([("a", Drawn(6, 25))]);
        Assert.All(Kept(index, 0, holesOnly: true), t => Assert.Equal(3, t.Holes));
        Assert.Contains(Kept(index, 0), t => t.Holes < 3);
        Assert.NotEmpty(Kept(index, 0, holesOnly: true));
    }
}
