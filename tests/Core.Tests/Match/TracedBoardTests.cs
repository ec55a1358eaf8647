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
        var traced = TracedBoard.Create(marks, features, 4000, 3000, 0, Names).Board;
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
            .Throws<InputException>(() => TracedBoard.Create(marks, features, 4000, 3000, 0, Names))
            .Faults[0]
            .Message;
        Assert.Contains("the diameter of H2, the height of U1", refused, StringComparison.Ordinal);
    }

    [Fact]
    public void Quarter_turns_turn_it_on()
    {
        var (marks, features) = View(0, Sample.Board(0, Sample.Part("M9", PartKind.Memory, 40, 10, 8, 4, 1)));
        var turned = TracedBoard.Create(marks, features, 4000, 3000, 1, Names).Board.FindPart("M9")!;
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

    private static TracedBoardResult Traced(
        Func<PhotoFeature, PhotoFeature?>? change = null,
        Board? board = null,
        int quarters = 0,
        double turn = 0
    )
    {
        var (marks, features) = View(turn, board ?? Sample.Board());
        return TracedBoard.Create(
            marks,
            [.. features.Select(f => change is null ? f : change(f)).OfType<PhotoFeature>()],
            4000,
            3000,
            quarters,
            Names
        );
    }

    [Fact]
    public void What_was_not_told_of_a_feature_is_taken_as_least()
    {
        var plain = Traced(f => f with { Role = null, Kind = null, HeightTolMm = null }).Board;
        Assert.All(plain.Holes, h => Assert.Equal((HoleRole.Perimeter, 2.8), (h.Role, h.DiameterMm)));
        Assert.All(plain.Parts, p => Assert.Equal((PartKind.Other, 0.05, Cooling.No), (p.Kind, p.HeightTolMm, p.Cool)));
        var told = Traced(f => f with { Role = HoleRole.Standoff, HeightMm = 0.001 }).Board;
        Assert.All(told.Holes, h => Assert.Equal(HoleRole.Standoff, h.Role));
        Assert.All(told.Parts, p => Assert.Equal((0.1, 0.001), (p.HeightTolMm, p.HeightMm)));
    }

    [Theory]
    [InlineData(PartKind.Die, Cooling.Must)]
    [InlineData(PartKind.Lid, Cooling.Must)]
    [InlineData(PartKind.Memory, Cooling.Must)]
    [InlineData(PartKind.PowerStage, Cooling.Must)]
    [InlineData(PartKind.Inductor, Cooling.Must)]
    [InlineData(PartKind.Capacitor, Cooling.No)]
    [InlineData(PartKind.Connector, Cooling.No)]
    [InlineData(PartKind.BridgeChip, Cooling.No)]
    public void Hot_kinds_have_to_be_cooled(PartKind kind, Cooling cool) =>
        Assert.Equal(cool, Traced(f => f.Id == "M1" ? f with { Kind = kind } : f).Board.FindPart("M1")!.Cool);

    [Theory]
    [InlineData(0, 0)]
    [InlineData(17, 0)]
    [InlineData(0, 1)]
    public void The_frame_leads_from_the_sheet_to_the_board(double turn, int quarters)
    {
        var r = Traced(turn: turn, quarters: quarters);
        foreach (var p in r.Trace.Points.Where(p => p.Id.StartsWith('H')))
            Assert.True(
                (r.Frame.Apply(new Point2(p.XMm, p.YMm)) - r.Board.Holes.Single(h => h.Id == p.Id).At).Length < 0.002
            );
        Assert.Equal(0, Math.IEEERemainder(r.Frame.RotationDeg - 90 * quarters + turn, 360), 0.05);
    }

    [Fact]
    public void The_outline_goes_four_millimetres_round_all_that_was_marked()
    {
        var b = Traced().Board.Outline.Bounds;
        // chips at ±15, ±33 of 14 × 12; holes at ±29
        Assert.Equal((-33.0, 33.0), (Math.Round(b.MinX, 1), Math.Round(b.MaxX, 1)));
        Assert.Equal((-43.0, 43.0), (Math.Round(b.MinY, 1), Math.Round(b.MaxY, 1)));
        // off the middle where what was marked is
        var off = Traced(f => f.Id == "M2" ? null : f).Board.Outline.Bounds;
        Assert.Equal((-33.0, 43.0), (Math.Round(off.MinY, 1), Math.Round(off.MaxY, 1)));
        Assert.Equal((-33.0, 33.0), (Math.Round(off.MinX, 1), Math.Round(off.MaxX, 1)));
    }

    [Fact]
    public void Positions_are_as_sure_as_the_holes_are_on_the_mean()
    {
        var r = Traced();
        var holes = r.Trace.Points.Where(p => p.Id.StartsWith('H')).ToList();
        Assert.Equal(4, holes.Count);
        var mean = Math.Sqrt(holes.Sum(p => p.CovMm2[0] + p.CovMm2[2]) / 8);
        Assert.Equal(mean, r.SigmaMm, 1e-4);
        Assert.Equal(r.SigmaMm, r.Board.PositionSigmaMm);
    }

    [Fact]
    public void Without_a_die_the_middle_of_what_was_marked_is_the_origin()
    {
        // M1 at −15, 33 alone beside the four holes: a fifth of the way
        var board = Traced(f => f.Id is "U1" or "M2" ? null : f).Board;
        var m1 = board.FindPart("M1")!;
        Assert.Equal((-12.0, 26.4), (Math.Round(m1.X, 1), Math.Round(m1.Y, 1)));
        var lid = Traced(f => f.Id == "U1" ? f with { Kind = PartKind.Lid } : f).Board.FindPart("U1")!;
        Assert.Equal((0.0, 0.0), (Math.Round(lid.X, 2), Math.Round(lid.Y, 2)));
    }

    [Fact]
    public void Three_features_are_the_least_and_a_click_twice_is_half_a_millimetre_of_part()
    {
        var three = Traced(f => f.Id is "H1" or "H2" or "U1" ? f : null).Board;
        Assert.Equal((2, 1), (three.Holes.Count, three.Parts.Count));
        Assert.Throws<InputException>(() => Traced(f => f.Id is "H1" or "U1" ? f : null));
        var point = Traced(f => f.Id == "M1" ? f with { OppositeUPx = f.UPx, OppositeVPx = f.VPx } : f).Board;
        Assert.Equal((0.5, 0.5), (point.FindPart("M1")!.WidthMm, point.FindPart("M1")!.DepthMm));
    }
}
