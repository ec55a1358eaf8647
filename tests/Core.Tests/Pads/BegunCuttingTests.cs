using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A plan that somebody has begun to cut stands; only what it does not hold is cut anew.</summary>
public class BegunCuttingTests
{
    private static readonly CutStock[] Stock =
    [
        new("s10", 60, 40, 1, "soft", 5, false),
        new("s15", 60, 40, 1.5, "soft", 5, false),
        new("f10", 60, 40, 1, "firm", 5, false),
    ];
    private static readonly CutPiece[] Pieces = [new("A", 14, 12, 1, "soft", 1), new("B", 20, 8, 1, "soft", 1)];
    private static readonly BegunCutting Begun = new(CutPlanner.Plan(Pieces, Stock), []);

    private static string[] Anew(params CutPiece[] pieces) =>
        [
            .. Begun
                .Continue(pieces, Stock)
                .Sheets.Skip(Begun.Plan.Sheets.Count)
                .SelectMany(s => s.Placements)
                .Select(p => p.PieceId)
                .Order(),
        ];

    [Fact]
    public void It_stands_from_the_first_cut_and_anew_when_sheets_are_added()
    {
        var first = BegunCutting.Begin(Begun.Plan, null);
        Assert.Same(Begun.Plan, first!.Plan);
        Assert.Empty(first.PutAway);
        Assert.Null(BegunCutting.Begin(Begun.Plan, first));
        var more = Begun.Continue([.. Pieces, new("C", 9, 9, 1.5, "soft", 1)], Stock);
        var again = BegunCutting.Begin(more, first with { PutAway = [1] });
        Assert.Same(more, again!.Plan);
        Assert.Equal([1], again.PutAway);
    }

    [Fact]
    public void A_piece_is_held_by_its_name_size_thickness_and_material()
    {
        Assert.Empty(Anew(Pieces));
        // turned it is the same piece
        Assert.Empty(Anew(Pieces[0] with { WidthMm = 12, DepthMm = 14 }, Pieces[1]));
        Assert.Empty(Anew(Pieces[0] with { Material = null }, Pieces[1]));
        Assert.Equal(["A2"], Anew(Pieces[0] with { Id = "A2" }, Pieces[1]));
        Assert.Equal(["A"], Anew(Pieces[0] with { WidthMm = 14.1 }, Pieces[1]));
        Assert.Equal(["A"], Anew(Pieces[0] with { DepthMm = 12.1 }, Pieces[1]));
        Assert.Equal(["A"], Anew(Pieces[0] with { WidthMm = 12, DepthMm = 14.1 }, Pieces[1]));
        Assert.Equal(["B"], Anew(Pieces[0], Pieces[1] with { ThicknessMm = 1.5 }));
        Assert.Equal(["B"], Anew(Pieces[0], Pieces[1] with { Material = "firm" }));
        // one cut piece serves one
        Assert.Equal(["A"], Anew(Pieces[0], Pieces[0], Pieces[1]));
    }

    [Fact]
    public void A_sheet_that_says_no_thickness_or_material_holds_any()
    {
        var plan = Begun.Plan with
        {
            Sheets = [.. Begun.Plan.Sheets.Select(s => s with { ThicknessMm = null, Material = null })],
        };
        var old = new BegunCutting(plan, []);
        Assert.Same(plan, old.Continue([Pieces[0] with { ThicknessMm = 1.5, Material = "firm" }, Pieces[1]], Stock));
    }

    [Fact]
    public void Sheets_under_the_knife_are_taken_off_the_drawer_each_once()
    {
        CutStock[] two = [new("s", 30, 20, 1, "soft", 2, false)];
        var plan = CutPlanner.Plan([new("A", 28, 18, 1, "soft", 1)], two);
        CutPiece[] more =
        [
            new("A", 28, 18, 1, "soft", 1),
            new("B", 28, 18, 1, "soft", 1),
            new("C", 28, 18, 1, "soft", 1),
        ];
        // one of two is under the knife: one is left for B
        Assert.Equal(["C"], new BegunCutting(plan, []).Continue(more, two).Unplaced.Select(u => u.PieceId));
        Assert.Empty(new BegunCutting(plan, [1]).Continue(more, two).Unplaced);
        // another sheet's number frees nothing
        Assert.Single(new BegunCutting(plan, [2]).Continue(more, two).Unplaced);
        // the drawer counts fewer than lie under the knife
        Assert.Equal(2, new BegunCutting(plan, []).Continue(more, [two[0] with { Count = 0 }]).Unplaced.Count);
    }

    [Fact]
    public void New_sheets_and_waste_are_of_all_sheets_together()
    {
        CutStock[] stock =
        [
            new("s", 30, 20, 1, "soft", 1, false),
            new("rest", 20, 10, 1, "soft", 1, true),
            new("t", 20, 20, 1.5, "soft", 1, false),
        ];
        var begun = new BegunCutting(CutPlanner.Plan([new("A", 10, 10, 1, "soft", 1)], stock), []);
        Assert.Equal(("rest", 0), (begun.Plan.Sheets[0].StockId, begun.Plan.NewSheets));
        var more = begun.Continue([new("A", 10, 10, 1, "soft", 1), new("B", 20, 10, 1.5, "soft", 1)], stock);
        Assert.Equal(1, more.NewSheets);
        // 100 of 200 and 200 of 400
        Assert.Equal(0.5, more.WasteFraction, 9);
        Assert.Equal(
            1 - 500.0 / 800,
            begun.Continue([new("A", 10, 10, 1, "soft", 1), new("D", 20, 20, 1, "soft", 1)], stock).WasteFraction,
            9
        );
    }

    [Fact]
    public void Every_piece_of_a_sheet_counts_and_new_sheets_are_those_that_are_no_offcuts()
    {
        CutStock[] stock =
        [
            new("rest", 20, 10, 1, "soft", 1, true),
            new("t", 20, 20, 1.5, "soft", 1, false),
            new("f", 20, 20, 1, "firm", 1, false),
        ];
        CutPiece[] two = [new("A", 10, 10, 1, "soft", 1), new("B", 10, 10, 1, "soft", 1)];
        var begun = new BegunCutting(CutPlanner.Plan(two, stock), []);
        var more = begun.Continue([.. two, new("C", 20, 10, 1.5, "soft", 1), new("D", 20, 10, 1, "firm", 1)], stock);
        Assert.Equal((3, 2), (more.Sheets.Count, more.NewSheets));
        // 200 of 200, 200 of 400, 200 of 400
        Assert.Equal(0.4, more.WasteFraction, 9);
    }
}
