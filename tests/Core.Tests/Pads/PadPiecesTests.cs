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
        var pieces = PadPieces.Of(Board, Pads, strips: true);
        Assert.Equal(["A–C", "D", "E"], pieces.Select(p => p.Id));
        Assert.Equal(["Q1", "Q2", "Q3"], pieces[0].Parts);
        // from the left edge of the first to the right edge of the last, wide enough for the one that sits higher
        Assert.Equal(24, pieces[0].WidthMm, 3);
        Assert.Equal(6.2, pieces[0].DepthMm, 3);
        Assert.Equal(5, PadPieces.Of(Board, Pads, strips: false).Count);
    }

    [Fact]
    public void A_strip_is_of_one_thickness()
    {
        var pads = Pads;
        pads[1] = Pad("Q2", 1, 1.5);
        Assert.All(
            PadPieces.Of(Board, pads, strips: true).Where(p => p.Parts.Count > 1),
            p => Assert.DoesNotContain("Q2", p.Parts)
        );
        Assert.Equal(
            Places.Select(p => p.Id).Order(),
            PadPieces.Of(Board, pads, strips: true).SelectMany(p => p.Parts).Order()
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
        Assert.Empty(Leftovers.WorthKeeping(sheet));
        Assert.Single(
            Leftovers.WorthKeeping(
                CutPlanner.Plan([new("A", 40, 40, 1, "soft", 1)], [new("s", 60, 40, 1, "soft", 1, false)]).Sheets[0]
            )
        );
    }
}
