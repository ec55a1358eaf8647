using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A library of a few boards: what tells them apart, and how it is said.</summary>
public class TwinSearchTests
{
    private static Board Make(
        string id,
        ulong seed,
        double diameter = 2.8,
        double height = 1.2,
        PartKind kind = PartKind.Memory
    )
    {
        var d = new NormalDraws(seed);
        Point2 Anywhere() => new(100 * d.Uniform() - 50, 80 * d.Uniform() - 40);
        return Sample.Board() with
        {
            Id = id,
            Model = $"Tern {id}",
            Holes =
            [
                .. Enumerable
                    .Range(0, 8)
                    .Select(i => (i, At: Anywhere()))
                    .Select(h => new BoardHole($"H{h.i}", h.At.X, h.At.Y, diameter, HoleRole.Retention)),
            ],
            Parts =
            [
                .. Enumerable
                    .Range(0, 8)
                    .Select(i => (i, At: Anywhere()))
                    .Select(p => Sample.Part($"M{p.i}", kind, p.At.X, p.At.Y, 14, 12, height, Cooling.Must)),
            ],
        };
    }

    private static IdentifyResult Search(Constellation seen, int most = 5, params Board[] boards)
    {
        var index = TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.From(b)))]);
        return TwinSearch.Run(seen, 0.1, [index], id => boards.FirstOrDefault(b => b.Id == id), _ => [], most);
    }

    private static Constellation Seen(Board board, Func<SeenPoint, SeenPoint>? told = null)
    {
        var pose = new Placement(20, -35, 70);
        return new([
            .. Constellation
                .From(board)
                .Points.Select(p => told?.Invoke(p) ?? p)
                .Select(p => p with { X = pose.Apply(p.At).X, Y = pose.Apply(p.At).Y }),
        ]);
    }

    [Fact]
    public void The_right_one_is_told_with_how_many_points_meet_how_near()
    {
        Board[] boards = [Make("a", 1), Make("b", 2), Make("c", 3)];
        var r = Search(Seen(boards[1]), boards: boards);
        var one = Assert.Single(r.Candidates);
        Assert.Equal(("b", 16, 16), (one.BoardId, one.Met, one.Seen));
        Assert.True(one.Chance > 0.999 && r.NoneChance < 1e-3);
        Assert.Equal(0, one.RmsMm, 1e-3);
        Assert.Empty(one.Twins);
        Assert.Empty(one.DifferencesUnderBlock);
        Assert.Equal(
            "Harrow & Tull Tern b R1, 99.9 %: 16 of 16 points meet within 0.00 mm rms; nothing seen differs under the block.",
            r.Text
        );
    }

    [Fact]
    public void What_was_not_seen_does_not_differ_and_what_was_seen_otherwise_is_counted()
    {
        Board[] boards = [Make("a", 1), Make("b", 2)];
        var whole = Seen(boards[0]).Points;
        var less = Search(new([.. whole.Take(6), .. whole.Skip(8)]), boards: boards);
        Assert.EndsWith("nothing seen differs under the block.", less.Text, StringComparison.Ordinal);
        Assert.Equal(
            ["not-seen", "not-seen"],
            less.Candidates[0].DifferencesUnderBlock.Concat(less.Candidates[0].OtherDifferences).Select(d => d.Code)
        );
        Assert.Equal((14, 14), (less.Candidates[0].Met, less.Candidates[0].Seen));
        // a chip half a millimetre taller, well within the hull
        var inner = boards[0].Parts.MinBy(p => p.At.Length)!.Id;
        var taller = Search(Seen(boards[0], p => p.Id == inner ? p with { HeightMm = 1.7 } : p), boards: boards);
        Assert.Equal(["height"], taller.Candidates[0].DifferencesUnderBlock.Select(d => d.Code));
        Assert.EndsWith("1 difference under the block.", taller.Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("diameter")]
    [InlineData("height")]
    [InlineData("kind")]
    public void What_was_measured_beside_the_place_tells_like_boards_apart(string what)
    {
        Board[] boards =
        [
            Make("plain", 4),
            what switch
            {
                "diameter" => Make("other", 4, diameter: 3.2),
                "height" => Make("other", 4, height: 1.5),
                _ => Make("other", 4, kind: PartKind.Controller),
            },
        ];
        foreach (var truth in boards)
        {
            var r = Search(Seen(truth), boards: boards);
            Assert.Equal(truth.Id, r.Candidates[0].BoardId);
            Assert.True(r.Candidates[0].Chance > 0.99);
        }
        // with places alone it may be either, and both are told
        var blind = Search(Seen(boards[0], p => new(p.X, p.Y, p.IsHole)), boards: boards);
        Assert.Equal(["other", "plain"], blind.Candidates.Select(c => c.BoardId).Order());
        Assert.All(blind.Candidates, c => Assert.Equal(0.5, c.Chance, 0.01));
        Assert.Single(Search(Seen(boards[0], p => new(p.X, p.Y, p.IsHole)), 1, boards).Candidates);
    }

    [Fact]
    public void Boards_that_are_one_under_the_block_are_one_class_in_whatever_frame()
    {
        var board = Make("a", 5);
        var turn = new Placement(30, 12, 90);
        var turned = board with
        {
            Id = "z",
            Holes = [.. board.Holes.Select(h => h with { X = turn.Apply(h.At).X, Y = turn.Apply(h.At).Y })],
            Parts = [.. board.Parts.Select(p => p with { X = turn.Apply(p.At).X, Y = turn.Apply(p.At).Y })],
        };
        var r = Search(Seen(board), boards: [board, turned, Make("b", 6)]);
        var one = Assert.Single(r.Candidates);
        Assert.Equal(["a", "z"], one.Twins.Append(one.BoardId).Order());
        Assert.True(one.Chance > 0.999);
    }

    [Theory]
    // in one frame a tenth tells boards apart; between frames, which are only as sure as the fit, half a millimetre
    [InlineData(0, 0, 0, false)]
    [InlineData(1.2, 0, 0, true)]
    [InlineData(0, 1.2, 0, true)]
    [InlineData(0, 0, 2, true)]
    [InlineData(40, -12, 130, true)]
    public void A_part_a_third_of_a_millimetre_aside_tells_boards_of_one_frame_apart(
        double x,
        double y,
        double turnDeg,
        bool twins
    )
    {
        var board = Make("a", 5);
        var frame = new Placement(x, y, turnDeg);
        var inner = board.Parts.MinBy(p => p.At.Length)!.Id;
        Point2 Laid(Point2 p, string id) => frame.Apply(id == inner ? p + new Point2(0.33, 0) : p);
        var other = board with
        {
            Id = "z",
            Holes = [.. board.Holes.Select(h => h with { X = Laid(h.At, h.Id).X, Y = Laid(h.At, h.Id).Y })],
            Parts = [.. board.Parts.Select(p => p with { X = Laid(p.At, p.Id).X, Y = Laid(p.At, p.Id).Y })],
        };
        // what would tell them apart was not seen
        var seen = new Constellation([.. Seen(board).Points.Where(p => p.Id != inner)]);
        var r = Search(seen, boards: [board, other, Make("b", 6)]);
        Assert.Equal(twins ? 1 : 2, r.Candidates.Count);
        Assert.Equal(twins ? 1 : 0, r.Candidates[0].Twins.Count);
    }

    [Fact]
    public void A_stranger_is_nobodys_twin_and_a_board_that_is_gone_is_passed_over()
    {
        Board[] boards = [Make("a", 1), Make("b", 2)];
        var r = Search(Seen(Make("c", 9)), boards: boards);
        Assert.Empty(r.Candidates);
        Assert.True(r.NoneChance > 0.9);
        Assert.StartsWith("None is close: ", r.Text, StringComparison.Ordinal);
        Assert.EndsWith(
            "% that no board of the library is this one. Add holes, or survey it as a new board.",
            r.Text,
            StringComparison.Ordinal
        );
        var index = TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.From(b)))]);
        Assert.Empty(TwinSearch.Run(Seen(boards[0]), 0.1, [index], _ => null, _ => []).Candidates);
        Assert.Empty(TwinSearch.Run(Seen(boards[0]), 0.1, [], _ => null, _ => []).Candidates);
    }

    /// <summary>So many points of a board, and strangers beside them, in another frame and a little off.</summary>
    private static Constellation Partly(Board board, int known, ulong seed, double offMm = 0.05)
    {
        var d = new NormalDraws(seed);
        var pose = new Placement(20, -35, 70);
        var all = Constellation.From(board).Points;
        return new([
            .. all.Take(known)
                .Select(p => p with { X = p.X + offMm * d.Next(), Y = p.Y + offMm * d.Next() })
                .Concat(all.Skip(known).Select(p => p with { X = 110 * d.Uniform() - 55, Y = 90 * d.Uniform() - 45 }))
                .Select(p => p with { X = pose.Apply(p.At).X, Y = pose.Apply(p.At).Y }),
        ]);
    }

    [Fact]
    public void Chances_add_up_and_where_none_is_likelier_than_all_none_is_shown()
    {
        Board[] boards = [.. Enumerable.Range(1, 4).Select(i => Make($"b{i}", (ulong)i))];
        int open = 0,
            shown = 0;
        for (ulong seed = 1; seed <= 60; seed++)
        for (var known = 4; known <= 7; known++)
        {
            var r = Search(Partly(boards[1], known, seed, 0.05 + 0.005 * seed), boards: boards);
            if (r.NoneChance > 0.5)
            {
                Assert.Empty(r.Candidates);
                Assert.Equal(
                    FormattableString.Invariant(
                        $"None is close: {r.NoneChance:0 %} that no board of the library is this one. Add holes, or survey it as a new board."
                    ),
                    r.Text
                );
                open += r.NoneChance < 0.995 ? 1 : 0;
                continue;
            }
            shown++;
            Assert.Equal(r.Candidates.OrderByDescending(c => c.Chance), r.Candidates);
            Assert.InRange(r.NoneChance + r.Candidates.Sum(c => c.Chance), 0.98, 1 + 1e-9);
            Assert.All(r.Candidates, c => Assert.True(c.Chance >= 0.005));
        }
        // both are met, and some that are none by a little only
        Assert.True(open > 0 && shown > 0, $"{open} open, {shown} shown");
    }

    [Fact]
    public void In_a_larger_library_each_board_is_as_much_less_likely_beforehand()
    {
        Board[] one = [Make("a", 1)];
        Board[] many = [.. one, .. Enumerable.Range(2, 29).Select(i => Make($"s{i}", (ulong)i))];
        var met = 0;
        for (ulong seed = 1; seed <= 12; seed++)
        for (var known = 4; known <= 8; known++)
        {
            var seen = Partly(one[0], known, seed);
            IdentifyResult alone = Search(seen, boards: one),
                crowd = Search(seen, boards: many);
            if (crowd.Candidates is not [{ BoardId: "a" } b] || alone.Candidates is not [{ BoardId: "a" } a])
                continue;
            if (crowd.NoneChance < 1e-9 || crowd.NoneChance + b.Chance < 0.9999)
                continue;
            met++;
            Assert.Equal(30, crowd.NoneChance / b.Chance / (alone.NoneChance / a.Chance), 0.1);
        }
        Assert.True(met > 0);
    }

    [Fact]
    public void Three_points_are_the_least()
    {
        var board = Make("a", 1);
        Constellation First(int n) => new([.. Constellation.From(board).Points.Take(n)]);
        Assert.Equal("holes", Assert.Throws<InputException>(() => Search(First(2), boards: board)).Faults[0].Field);
        // three are looked for, and too few to be sure by
        Assert.InRange(Search(First(3), boards: board).NoneChance, 0.01, 1);
    }

    [Fact]
    public void No_more_are_shown_than_asked_for_and_a_board_that_is_gone_is_none()
    {
        // three boards alike but for what lies under the block
        Board Alike(string id, double x) =>
            Make(id, 1) with
            {
                Parts = [.. Make(id, 1).Parts.Select((p, i) => i == 7 ? p with { X = x } : p)],
            };
        Board[] boards = [Alike("a", 10), Alike("b", 14), Alike("c", 18)];
        var seen = new Constellation([.. Seen(boards[0]).Points.Where((_, i) => i != 15)]);
        var index = TwinIndex.Build([.. boards.Select(b => (b.Id, Constellation.From(b)))]);
        IdentifyResult Of(int most, params string[] here) =>
            TwinSearch.Run(
                seen,
                0.1,
                [index],
                id => here.Contains(id) ? boards.First(b => b.Id == id) : null,
                _ => [Sample.Rect(0, 0, 200, 200)],
                most
            );
        Assert.Equal(3, Of(5, "a", "b", "c").Candidates.Count);
        Assert.Equal(2, Of(2, "a", "b", "c").Candidates.Count);
        Assert.Equal(["b"], Of(5, "b").Candidates.Select(c => c.BoardId));
        Assert.Equal(1, Of(5).NoneChance, 9);
        // where it does not matter they are one class
        var one = Assert.Single(
            TwinSearch
                .Run(seen, 0.1, [index], id => boards.First(b => b.Id == id), _ => [Sample.Rect(-90, 0, 10, 10)])
                .Candidates
        );
        Assert.Equal(2, one.Twins.Count);
        Assert.True(one.Chance > 0.99);
    }
}
