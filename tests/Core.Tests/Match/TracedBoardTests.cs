using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class TracedBoardTests
{
    /// <summary>Straight from above, ten pixels a millimetre, v down, the board turned on the sheet.</summary>
    private static (List<TargetMark> Marks, List<PhotoFeature> Features) View(double turnDeg, Board board)
    {
        (double U, double V) Px(Point2 p) => (2000 + 10 * p.X, 1500 - 10 * p.Y);
        var lay = new Placement(12, -7, turnDeg);
        var marks = TargetSheet
            .Marks.Select(m =>
            {
                var (u, v) = Px(new(m.XMm, m.YMm - 150));
                return new TargetMark(m.XMm, m.YMm - 150, u, v);
            })
            .ToList();
        List<PhotoFeature> features =
        [
            .. board.Holes.Select(h =>
            {
                var (u, v) = Px(lay.Apply(h.At));
                return new PhotoFeature(h.Id, true, u, v, null, null, null, HoleRole.Retention, 2.8, 0, 0);
            }),
        ];
        foreach (var p in board.Parts)
        {
            // straight above, a raised corner hardly moves; none at the height of the sheet
            var corners = p.Corners();
            var ((u1, v1), (u2, v2)) = (Px(lay.Apply(corners[0])), Px(lay.Apply(corners[2])));
            features.Add(new(p.Id, false, u1, v1, u2, v2, p.Kind, null, null, 0, 0.1));
        }
        return (marks, features);
    }

    private static Board Names =>
        new()
        {
            Id = "t",
            Maker = "m",
            Model = "M",
            BoardCode = "none",
            Revision = "none",
            Kind = BoardKind.GraphicsCard,
            Outline = Sample.Rect(0, 0, 1, 1),
            ThicknessMm = 1.6,
        };

    [Theory]
    [InlineData(0)]
    [InlineData(17)]
    [InlineData(-31)]
    public void The_board_is_squared_by_its_rows_of_holes_and_centred_on_its_die(double turn)
    {
        var (marks, features) = View(turn, Sample.Board());
        var traced = TracedBoard.Of(marks, features, 4000, 3000, 0, Names).Board;
        foreach (var h in Sample.Board().Holes)
            Assert.True((traced.Holes.Single(x => x.Id == h.Id).At - h.At).Length < 0.01, h.Id);
        var die = traced.FindPart("U1")!;
        Assert.Equal((0.0, 0.0), (Math.Round(die.X, 2), Math.Round(die.Y, 2)));
        Assert.Equal(24, die.WidthMm, 0.05);
        Assert.Equal(22, die.DepthMm, 0.05);
        Assert.Equal(EvidenceGrade.C, traced.Evidence);
        Assert.True(traced.PositionSigmaMm > 0);
    }

    [Fact]
    public void Nothing_is_judged_before_heights_and_diameters_are_measured()
    {
        var (marks, features) = View(0, Sample.Board());
        features =
        [
            .. features.Select(f =>
                f.Id switch
                {
                    "U1" => f with { HeightMm = null },
                    "H2" => f with { DiameterMm = null },
                    _ => f,
                }
            ),
        ];
        var refused = Assert
            .Throws<InputException>(() => TracedBoard.Of(marks, features, 4000, 3000, 0, Names))
            .Faults[0]
            .Message;
        Assert.Contains("the diameter of H2, the height of U1", refused, StringComparison.Ordinal);
    }

    [Fact]
    public void Quarter_turns_turn_it_on()
    {
        var (marks, features) = View(0, Sample.Board(0, Sample.Part("M9", PartKind.Memory, 40, 10, 8, 4, 1)));
        var turned = TracedBoard.Of(marks, features, 4000, 3000, 1, Names).Board.FindPart("M9")!;
        Assert.Equal(-10, turned.X, 0.05);
        Assert.Equal(40, turned.Y, 0.05);
        Assert.Equal((4.0, 8.0), (Math.Round(turned.WidthMm, 1), Math.Round(turned.DepthMm, 1)));
    }

    [Fact]
    public void Every_turn_of_every_code_names_its_own_mark()
    {
        foreach (var mark in TargetSheet.Marks)
            for (var k = 0; k < 8; k++)
                Assert.Equal(mark.Id, TargetSheet.Find((byte)(mark.Code >> k | mark.Code << (8 - k)))!.Id);
        Assert.Equal(12, TargetSheet.Marks.Select(m => TargetSheet.Canonical(m.Code)).Distinct().Count());
    }

    [Fact]
    public void The_sheets_codes_can_not_be_mixed_up_and_its_marks_are_drawn_as_they_say()
    {
        foreach (var mark in TargetSheet.Marks)
        {
            int[] turns = [.. Enumerable.Range(0, 8).Select(k => (mark.Code >> k | mark.Code << (8 - k)) & 255)];
            Assert.Equal(8, turns.Distinct().Count());
            Assert.Equal(mark.Code, turns.Min());
            Assert.InRange(System.Numerics.BitOperations.PopCount(mark.Code), 3, 5);
            bool Dark(double r, double deg) =>
                TargetSheet.IsDark(new Point2(mark.XMm, mark.YMm) + new Point2(r, 0).Turned(deg * Math.PI / 180));
            for (var sector = 0; sector < 8; sector++)
            {
                var named = (mark.Code >> sector & 1) == 1;
                foreach (var deg in new[] { 45 * sector + 1.0, 45 * sector + 44 })
                {
                    // ring, gap, sector, gap, dot
                    Assert.Equal(
                        [false, true, true, false, false, named, named, false, false, true],
                        new[] { 7.01, 6.99, 5.61, 5.59, 4.81, 4.79, 2.91, 2.89, 1.61, 1.59 }.Select(r => Dark(r, deg))
                    );
                }
            }
        }
        Assert.Equal(Enumerable.Range(1, 12), TargetSheet.Marks.Select(m => m.Id));
        Assert.Equal((14, 14), (TargetSheet.Marks[0].XMm, TargetSheet.Marks[0].YMm));
        Assert.Equal((196, 134), (TargetSheet.Marks[11].XMm, TargetSheet.Marks[11].YMm));
        Assert.Null(TargetSheet.Find(0b0101_0101));
        Assert.Null(TargetSheet.Find(0));
        Assert.False(TargetSheet.IsDark(new(100, 40)));
    }

    [Fact]
    public void A_click_beside_a_hole_is_drawn_to_its_middle_and_a_click_on_nothing_stays()
    {
        var pixels = new byte[120 * 120];
        Array.Fill(pixels, (byte)180);
        for (var y = 0; y < 120; y++)
        for (var x = 0; x < 120; x++)
            if (Math.Sqrt(Math.Pow(x + 0.5 - 62.3, 2) + Math.Pow(y + 0.5 - 55.8, 2)) <= 9)
                pixels[y * 120 + x] = 20;
        var snap = HoleSnap.Find(new(120, 120, pixels), 58, 58, 16);
        Assert.True(snap.Snapped);
        Assert.Equal(62.3, snap.UPx, 0.15);
        Assert.Equal(55.8, snap.VPx, 0.15);
        Assert.Equal(18, snap.DiameterPx, 0.5);
        var nothing = HoleSnap.Find(new(120, 120, [.. Enumerable.Repeat((byte)180, 120 * 120)]), 58, 58, 16);
        Assert.Equal((58.0, 58.0, false), (nothing.UPx, nothing.VPx, nothing.Snapped));
    }

    [Fact]
    public void The_hole_nearest_its_slack_is_the_one_to_measure()
    {
        // one hole sits 0.12 mm off, the slack is 0.15
        var board = Sample.Board(0.06) with
        {
            Holes = [.. Sample.Board().Holes.Select(h => h.Id == "H3" ? h with { X = h.X + 0.34 } : h)],
        };
        var fit = Fit.Judge(board, Sample.Block());
        Assert.InRange(fit.ChanceOfSeating, 0.02, 0.98);
        var next = NextMeasure.For(board, Sample.Block(), fit);
        Assert.All(next, n => Assert.InRange(n.ChanceThen ?? 0, 0, 1));
        var first = next.First(n => n.What == "hole");
        Assert.Equal(
            next.Where(n => n.What == "hole").Max(n => Math.Abs(n.ChanceThen!.Value - fit.ChanceOfSeating)),
            Math.Abs(first.ChanceThen!.Value - fit.ChanceOfSeating)
        );
        Assert.Empty(NextMeasure.For(Sample.Board(), Sample.Block(), Fit.Judge(Sample.Board(), Sample.Block())));
    }
}
