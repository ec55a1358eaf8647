using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class PadPiecesTests
{
    /// <summary>Three stages close together, one far away in the same row, one in another row.</summary>
    private static readonly (string Id, double X, double Y)[] Places =
    [
        ("Q1", 0, 30),
        ("Q2", 9, 30),
        ("Q3", 18, 30.2),
        ("Q4", 60, 30),
        ("Q5", 0, 50),
    ];

    private static Board Board =>
        Sample.Board(more: [.. Places.Select(p => Sample.Part(p.Id, PartKind.PowerStage, p.X, p.Y, 6, 6, 0.9))]);

    private static PlacedPad Pad(string part, int i, double thickness = 1) =>
        new(
            $"{(char)('A' + i)}",
            part,
            "L",
            PartKind.PowerStage,
            Face.Front,
            thickness,
            "soft",
            6,
            6,
            null,
            false,
            false
        )
        {
            Pair = "P",
            Board = "A",
        };

    private static PlacedPad[] Pads => [.. Places.Select((p, i) => Pad(p.Id, i))];

    [Fact]
    public void Strips_join_a_row_that_stands_close_and_nothing_else()
    {
        var pieces = PadPieces.Compute(Board, Pads, strips: true);
        Assert.Equal(["A–C", "D", "E"], pieces.Select(p => p.Id));
        Assert.Equal(["Q1", "Q2", "Q3"], pieces[0].Parts);
        // from the left edge of the first to the right edge of the last, wide enough for the one that sits higher
        Assert.Equal(24, pieces[0].WidthMm, 3);
        Assert.Equal(6.2, pieces[0].DepthMm, 3);
        Assert.Equal(5, PadPieces.Compute(Board, Pads, strips: false).Count);
    }

    [Fact]
    public void A_strip_is_of_one_thickness()
    {
        var pads = Pads;
        pads[1] = Pad("Q2", 1, 1.5);
        Assert.All(
            PadPieces.Compute(Board, pads, strips: true).Where(p => p.Parts.Count > 1),
            p => Assert.DoesNotContain("Q2", p.Parts)
        );
        Assert.Equal(
            Places.Select(p => p.Id).Order(),
            PadPieces.Compute(Board, pads, strips: true).SelectMany(p => p.Parts).Order()
        );
    }

    [Fact]
    public void A_begun_plan_stands_and_only_changed_pads_are_cut_anew()
    {
        CutStock[] stock = [new("s10", 60, 40, 1, "soft", 2, false), new("s15", 60, 40, 1.5, "soft", 1, false)];
        CutPiece[] pieces =
        [
            new("A", 14, 12, 1, "soft", 1),
            new("B", 14, 12, 1, "soft", 1),
            new("C", 8, 8, 1, "soft", 1),
        ];
        var begun = new BegunCutting(CutPlanner.Plan(pieces, stock), []);
        // an offcut that turns up afterwards changes nothing
        Assert.Same(begun.Plan, begun.Continue(pieces, [new("gift", 30, 20, 1, "soft", 1, true), .. stock]));
        // B becomes thicker: one sheet more, the others stay
        CutPiece[] changed = [pieces[0], pieces[1] with { ThicknessMm = 1.5 }, pieces[2]];
        var more = begun.Continue(changed, stock);
        Assert.Equal(begun.Plan.Sheets.Count + 1, more.Sheets.Count);
        Assert.Equal(["B"], more.Sheets[^1].Placements.Select(p => p.PieceId));
        Assert.Equal(1.5, more.Sheets[^1].ThicknessMm);
        Assert.Empty(more.Unplaced);
    }

    [Fact]
    public void Sheets_under_the_knife_are_not_cut_twice()
    {
        CutStock[] stock = [new("only", 30, 20, 1, "soft", 1, false)];
        var begun = new BegunCutting(CutPlanner.Plan([new("A", 20, 15, 1, "soft", 1)], stock), []);
        Assert.Single(begun.Continue([new("A", 20, 15, 1, "soft", 1), new("B", 8, 8, 1, "soft", 1)], stock).Unplaced);
        // put away, its rest counts as what the drawer says
        Assert.Empty(
            (begun with { PutAway = [1] })
                .Continue(
                    [new("A", 20, 15, 1, "soft", 1), new("B", 8, 8, 1, "soft", 1)],
                    [new("rest", 10, 20, 1, "soft", 1, true)]
                )
                .Unplaced
        );
    }

    [Fact]
    public void Rests_too_narrow_to_use_are_not_kept()
    {
        var sheet = CutPlanner.Plan([new("A", 55, 40, 1, "soft", 1)], [new("s", 60, 40, 1, "soft", 1, false)]).Sheets[
            0
        ];
        Assert.Empty(Leftovers.Usable(sheet));
        Assert.Single(
            Leftovers.Usable(
                CutPlanner.Plan([new("A", 40, 40, 1, "soft", 1)], [new("s", 60, 40, 1, "soft", 1, false)]).Sheets[0]
            )
        );
    }

    /// <summary>A board with these parts and no other.</summary>
    private static Board Bare(Part[] parts) => Sample.Board() with { Parts = parts };

    /// <summary>Stages of 6 × 6 mm at these places, as strips.</summary>
    private static string[] Strips((double X, double Y)[] at, Func<PlacedPad, PlacedPad>? change = null)
    {
        var board = Bare([.. at.Select((p, i) => Sample.Part($"Q{i}", PartKind.PowerStage, p.X, p.Y, 6, 6, 0.9))]);
        PlacedPad[] pads = [.. at.Select((_, i) => (change ?? (p => p))(Pad($"Q{i}", i)))];
        return [.. PadPieces.Compute(board, pads, strips: true).Select(p => string.Join(" ", p.Parts))];
    }

    [Fact]
    public void A_row_is_joined_to_both_sides_of_where_it_is_met_along_x_and_along_y()
    {
        Assert.Equal(["Q1 Q0 Q2"], Strips([(10, 0), (0, 0), (20, 0)]));
        Assert.Equal(["Q1 Q0 Q2"], Strips([(0, 10), (0, 0), (0, 20)]));
        // twelve millimetres between them and no more, on either side
        Assert.Equal(["Q1 Q0 Q2"], Strips([(0, 0), (-18, 0), (18, 0)]));
        Assert.Equal(["Q0", "Q1", "Q2"], Strips([(0, 0), (-18.1, 0), (18.1, 0)]));
        Assert.Equal(["Q0 Q2", "Q1"], Strips([(0, 0), (-18.1, 0), (18, 0)]));
        // six tenths out of line
        Assert.Equal(["Q0 Q1"], Strips([(0, 0), (9, 0.59)]));
        Assert.Equal(["Q0", "Q1"], Strips([(0, 0), (9, 0.61)]));
        Assert.Equal(["Q0", "Q1"], Strips([(0, 0), (9, -0.61)]));
    }

    [Fact]
    public void Where_two_rows_cross_the_longer_is_cut_and_of_equals_the_one_along_x()
    {
        Assert.Equal(["Q0 Q2 Q3", "Q1"], Strips([(0, 0), (9, 0), (0, 9), (0, 18)]));
        Assert.Equal(["Q0 Q1", "Q2"], Strips([(0, 0), (9, 0), (0, 9)]));
        // what was cut in one strip is not cut again
        Assert.Equal(["Q0 Q1 Q2", "Q3"], Strips([(0, 0), (9, 0), (18, 0), (9, 9)]));
    }

    [Fact]
    public void A_strip_is_of_one_face_land_and_material_and_may_lie_on_several_kinds()
    {
        (double, double)[] two = [(0, 0), (9, 0)];
        Func<PlacedPad, PlacedPad> Second(Func<PlacedPad, PlacedPad> change) => p => p.Part == "Q1" ? change(p) : p;
        Assert.Equal(["Q0 Q1"], Strips(two));
        Assert.Single(Strips(two, Second(p => p with { Kind = PartKind.Memory })));
        Assert.Equal(2, Strips(two, Second(p => p with { Face = Face.Back })).Length);
        Assert.Equal(2, Strips(two, Second(p => p with { Land = "other" })).Length);
        Assert.Equal(2, Strips(two, Second(p => p with { Material = "firm" })).Length);
    }

    [Theory]
    // as high as the lower of its neighbours may stand under a strip: its own tolerance counts
    [InlineData(0.85, 9, 0, 1)]
    [InlineData(0.86, 9, 0, 2)]
    // beside the strip anything may stand
    [InlineData(3, 9, 5, 1)]
    // a strip from 6 to 6.2 mm is met
    [InlineData(3, 9, 3.9, 2)]
    public void Nothing_between_two_parts_stands_as_high_as_a_strip_lies(double height, double x, double y, int pieces)
    {
        var board = Bare([
            Sample.Part("Q0", PartKind.PowerStage, 0, 0, 6, 6, 0.9),
            Sample.Part("Q1", PartKind.PowerStage, 18, 0, 6, 6, 0.9),
            Sample.Part("C1", PartKind.Capacitor, x, y, 2, 2, height),
        ]);
        Assert.Equal(pieces, PadPieces.Compute(board, [Pad("Q0", 0), Pad("Q1", 1)], strips: true).Count);
    }

    [Theory]
    [InlineData(0.9, 1)]
    [InlineData(1.1, 1)]
    [InlineData(1.11, 2)]
    public void Heights_differ_by_no_more_than_the_squash_takes_up(double second, int pieces)
    {
        var board = Bare([
            Sample.Part("Q0", PartKind.PowerStage, 0, 0, 6, 6, 0.9),
            Sample.Part("Q1", PartKind.PowerStage, 9, 0, 6, 6, second),
        ]);
        // a pad of 1 mm that works between 10 and 30 % takes up 0.2 mm
        var fit = new PadFit(1, "soft", 0.15, 0.25, PadState.Good, 0, "kit") { FillsMinMm = 0.7, FillsMaxMm = 0.9 };
        PlacedPad[] pads = [Pad("Q0", 0) with { Fit = fit }, Pad("Q1", 1) with { Fit = fit }];
        Assert.Equal(pieces, PadPieces.Compute(board, pads, strips: true).Count);
        pads[1] = pads[1] with { Fit = fit with { State = PadState.Starved } };
        Assert.Equal(2, PadPieces.Compute(board, pads, strips: true).Count);
    }

    [Fact]
    public void A_strip_carries_what_its_pads_are()
    {
        var piece = PadPieces.Compute(Board, Pads, strips: true)[0];
        Assert.Equal(
            (PartKind.PowerStage, Face.Front, 1, "soft", "P", "A", false),
            (piece.Kind, piece.Face, piece.ThicknessMm, piece.Material, piece.Pair, piece.Board, piece.OnBlock)
        );
        var alone = PadPieces.Compute(Board, Pads, strips: false)[1];
        Assert.Equal(("B", 6, 6, "P", "A"), (alone.Id, alone.WidthMm, alone.DepthMm, alone.Pair, alone.Board));
        Assert.Equal(["Q2"], alone.Parts);
    }
}
