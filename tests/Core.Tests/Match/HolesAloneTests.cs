using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A caliper and holes, the commonest case: 18 holes a board, 30 % missing, 30 % strangers, no part seen.</summary>
public class HolesAloneTests
{
    private const int Boards = 1500,
        Queries = 100,
        Holes = 18,
        Strangers = 5;

    private static Point2 Anywhere(NormalDraws d) => new(-60 + 240 * d.Uniform(), -55 + 110 * d.Uniform());

    private static Board Make(int number, bool parts)
    {
        var d = new NormalDraws((ulong)number * 7 + 1);
        var half = 20 + Math.Round(d.Uniform() * 30) / 2;
        List<Point2> at = [.. Sample.Corners(half)];
        while (at.Count < Holes)
            if (Anywhere(d) is var p && at.TrueForAll(q => (q - p).Length > 4))
                at.Add(p);
        return Sample.Board() with
        {
            Id = $"b{number}",
            Holes = [.. at.Select((p, i) => new BoardHole($"H{i}", p.X, p.Y, 2.8, HoleRole.Perimeter))],
            Parts =
            [
                .. Enumerable
                    .Range(0, parts ? 30 : 0)
                    .Select(i => (i, At: Anywhere(d)))
                    .Select(p => new Part
                    {
                        Id = $"P{p.i}",
                        Kind = PartKind.Capacitor,
                        X = p.At.X,
                        Y = p.At.Y,
                        WidthMm = 5,
                        DepthMm = 5,
                        HeightMm = 1,
                    }),
            ],
        };
    }

    private static Constellation Measured(Board board, NormalDraws d)
    {
        var pose = new Placement(200 * d.Uniform() - 100, 200 * d.Uniform() - 100, 360 * d.Uniform());
        SeenPoint Seen(Point2 p) => new(p.X + 0.08 * d.Next(), p.Y + 0.08 * d.Next(), true);
        return new([
            .. board.Holes.Where(_ => d.Uniform() >= 0.3).Select(h => Seen(pose.Apply(h.At))).ToList(),
            .. Enumerable.Range(0, Strangers).Select(_ => Seen(pose.Apply(Anywhere(d)))).ToList(),
        ]);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void The_right_board_comes_first_and_a_stranger_is_refused(bool parts)
    {
        Board[] boards = [.. Enumerable.Range(0, Boards).Select(k => Make(k, parts))];
        var index = TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.From(b)))]);
        IdentifyResult Search(Constellation seen) =>
            TwinSearch.Run(seen, 0.08, [index], id => boards[int.Parse(id[1..])], _ => []);
        int right = 0,
            refused = 0;
        for (var k = 0; k < Queries; k++)
        {
            var d = new NormalDraws((ulong)(1_000_000 + k));
            var truth = (int)(d.Uniform() * Boards);
            right +=
                Search(Measured(boards[truth], d)).Candidates is [var first, ..] && first.BoardId == $"b{truth}"
                    ? 1
                    : 0;
            refused += Search(Measured(Make(Boards + k, parts), d)).Candidates.Count == 0 ? 1 : 0;
        }
        Assert.True(right >= 0.99 * Queries, $"{right} of {Queries} right");
        Assert.True(refused >= 0.99 * Queries, $"{refused} of {Queries} refused");
    }
}
