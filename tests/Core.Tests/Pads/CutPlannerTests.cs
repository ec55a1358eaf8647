using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What a cut plan prefers, what it says of what is left over, and its sums.</summary>
public class CutPlannerTests
{
    private static CutStock Sheet(
        string id,
        double w,
        double d,
        int count = 1,
        bool offcut = false,
        double mm = 1,
        string? material = "soft"
    ) => new(id, w, d, mm, material, count, offcut);

    private static CutPiece Piece(
        string id,
        double w,
        double d,
        int count = 1,
        double mm = 1,
        string? material = "soft"
    ) => new(id, w, d, mm, material, count);

    [Fact]
    public void Waste_is_of_all_sheets_together()
    {
        var plan = CutPlanner.Plan(
            [Piece("A", 10, 10), Piece("B", 20, 10, mm: 1.5)],
            [Sheet("s", 20, 20), Sheet("t", 20, 20, mm: 1.5)]
        );
        Assert.Equal(2, plan.NewSheets);
        Assert.Equal(1 - 300.0 / 800, plan.WasteFraction, 9);
        Assert.Equal(0, CutPlanner.Plan([], [Sheet("s", 20, 20)]).WasteFraction);
        Assert.Empty(CutPlanner.Plan([Piece("A", 5, 5, 0)], [Sheet("s", 20, 20)]).Sheets);
    }

    [Fact]
    public void What_is_left_over_says_what_of_and_how_many()
    {
        string Why(CutPiece piece, params CutStock[] stock) => CutPlanner.Plan([piece], stock).Unplaced.Single().Reason;
        Assert.Equal("No 1.0 mm soft is in stock.", Why(Piece("A", 5, 5)));
        Assert.Equal("No 1.0 mm is in stock.", Why(Piece("A", 5, 5, material: null)));
        Assert.Equal("No 1.25 mm soft is in stock.", Why(Piece("A", 5, 5, mm: 1.25), Sheet("s", 9, 9)));
        Assert.Equal(
            "No 1.0 mm soft sheet is large enough for 12.5 × 9 mm.",
            Why(Piece("A", 12.5, 9), Sheet("s", 12, 12), Sheet("t", 8, 99))
        );
        Assert.Equal(
            "The 1.0 mm soft in stock is used up: 3 of this piece left over.",
            Why(Piece("A", 9, 9, 5), Sheet("small", 5, 5), Sheet("s", 9, 9, 2))
        );
        // turned it would fit, so it is used up
        Assert.StartsWith("The 1.0 mm soft", Why(Piece("A", 9, 4, 2), Sheet("s", 4, 9)), StringComparison.Ordinal);
        // each kind of piece for itself
        Assert.Equal(
            ["A", "B"],
            CutPlanner.Plan([Piece("A", 9, 9, 2), Piece("B", 8, 8, 2)], []).Unplaced.Select(u => u.PieceId).Order()
        );
    }

    [Fact]
    public void A_sheet_without_a_material_serves_any_and_a_piece_without_one_takes_any_last()
    {
        Assert.Empty(CutPlanner.Plan([Piece("A", 9, 9)], [Sheet("any", 9, 9, material: null)]).Unplaced);
        var plan = CutPlanner.Plan(
            [Piece("free", 9, 9, material: null), Piece("soft", 9, 9)],
            [Sheet("s", 9, 9), Sheet("f", 9, 9, material: "firm")]
        );
        Assert.Empty(plan.Unplaced);
        Assert.Equal("f", plan.Sheets.Single(s => s.Placements[0].PieceId == "free").StockId);
        Assert.Equal(
            ("firm", 1),
            (plan.Sheets.Single(s => s.StockId == "f").Material, plan.Sheets[0].ThicknessMm!.Value)
        );
    }

    [Fact]
    public void Thicknesses_are_told_apart() =>
        Assert.Single(CutPlanner.Plan([Piece("A", 9, 9, mm: 1.00001)], [Sheet("s", 9, 9)]).Unplaced);

    [Fact]
    public void Of_equal_plans_the_one_with_the_largest_rest_then_the_fewest_cuts()
    {
        // two strips of 10 × 4 off 30 × 20: side by side along the edge they leave 30 × 16 or 20 × 20 and less
        var plan = CutPlanner.Plan([Piece("A", 15, 4, 2)], [Sheet("s", 30, 20)]);
        var sheet = Assert.Single(plan.Sheets);
        Assert.Equal(30 * 16, sheet.Leftovers.Max(l => l.WidthMm * l.DepthMm), 6);
        Assert.Equal(2, sheet.Cuts.Count);
        Assert.Equal([1, 2], sheet.Cuts.Select(c => c.Order));
        // one piece: two cuts, and the larger rest on its longer side
        var one = CutPlanner.Plan([Piece("A", 10, 10)], [Sheet("s", 30, 20)]).Sheets[0];
        Assert.Equal(2, one.Cuts.Count);
        Assert.Equal(20 * 20, one.Leftovers.Max(l => l.WidthMm * l.DepthMm), 6);
    }

    [Fact]
    public void Fewer_new_sheets_come_before_a_larger_rest()
    {
        // the offcut holds one only; the other takes a sheet whatever is left of it
        var plan = CutPlanner.Plan(
            [Piece("A", 10, 10, 3)],
            [Sheet("new", 20, 10, 5), Sheet("old", 11, 11, 1, offcut: true)]
        );
        Assert.Equal(1, plan.NewSheets);
        Assert.Equal(2, plan.Sheets.Count);
        Assert.Equal(3, plan.Sheets.Sum(s => s.Placements.Count));
    }

    [Fact]
    public void A_sheet_that_the_pieces_fill_exactly_is_found_among_others()
    {
        CutPiece[] pieces = [Piece("a", 7, 5), Piece("b", 6, 5), Piece("c", 13, 4), Piece("d", 4, 9), Piece("e", 9, 9)];
        var plan = CutPlanner.Plan(pieces, [Sheet("big", 60, 60), Sheet("exact", 26, 9), Sheet("near", 26.01, 9)]);
        Assert.Equal("exact", Assert.Single(plan.Sheets).StockId);
        Assert.Equal(0, plan.WasteFraction, 9);
    }

    [Fact]
    public void Sheets_taken_by_one_material_are_gone_for_the_next()
    {
        var plan = CutPlanner.Plan(
            [Piece("A", 9, 9), Piece("B", 9, 9, material: "firm")],
            [Sheet("any", 9, 9, material: null)]
        );
        Assert.Equal(["B"], plan.Unplaced.Select(u => u.PieceId));
    }

    [Fact]
    public void Limits_are_told_with_what_was_found()
    {
        string[] Told(int kinds, int count, int sheets) =>
            [
                .. Assert
                    .Throws<InputException>(() =>
                        CutPlanner.Plan(
                            [.. Enumerable.Range(0, kinds).Select(i => Piece($"p{i}", 5, 5, count))],
                            [.. Enumerable.Range(0, sheets).Select(i => Sheet($"s{i}", 9, 9))]
                        )
                    )
                    .Faults.Select(f => f.Message),
            ];
        Assert.Equal(["Expected at most 500 kinds of piece, found 501."], Told(501, 1, 1));
        Assert.Equal(["Expected at most 1000 pieces together, found 1002."], Told(2, 501, 1));
        Assert.Equal(["Expected at most 500 kinds of sheet, found 501."], Told(1, 1, 501));
        CutPlanner.Plan(
            [.. Enumerable.Range(0, 500).Select(i => Piece($"p{i}", 50, 50))],
            [.. Enumerable.Range(0, 500).Select(i => Sheet($"s{i}", 9, 9))]
        );
    }
}
