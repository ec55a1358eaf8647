using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>One greedy pass by hand: which rest is taken, how it is turned, which cut goes across.</summary>
public class GreedyFillTests
{
    private static (List<(int Sheet, CutNode Root)> Opened, List<int> Unplaced) Run(
        (double, double, int)[] sheets,
        FreeChoice choice,
        SplitRule split,
        params (double, double)[] pieces
    ) => GreedyFill.Run(pieces, [.. Enumerable.Range(0, pieces.Length)], sheets, choice, split)!.Value;

    private static CutNode Placed(CutNode n, int piece) => Find(n, piece) ?? throw new InvalidOperationException();

    private static CutNode? Find(CutNode n, int piece) =>
        n.Piece == piece ? n
        : n.First is null ? null
        : Find(n.First, piece) ?? Find(n.Second!, piece);

    [Theory]
    // a square of 3 in 10 × 6 leaves 7 beside it and 3 above
    [InlineData(10, 6, SplitRule.ShorterLeftover, 'x')]
    [InlineData(10, 6, SplitRule.LongerLeftover, 'y')]
    // 7 × 6 beside it is the larger rest
    [InlineData(10, 6, SplitRule.LargerRest, 'x')]
    [InlineData(6, 10, SplitRule.ShorterLeftover, 'y')]
    [InlineData(6, 10, SplitRule.LongerLeftover, 'x')]
    [InlineData(6, 10, SplitRule.LargerRest, 'y')]
    // as much either way: across first
    [InlineData(8, 8, SplitRule.LargerRest, 'x')]
    [InlineData(8, 8, SplitRule.ShorterLeftover, 'x')]
    [InlineData(8, 8, SplitRule.LongerLeftover, 'y')]
    public void The_first_cut_goes_where_the_rule_says(double w, double h, object rule, char axis)
    {
        var root = Run([(w, h, 1)], FreeChoice.BestArea, (SplitRule)rule, (3, 3)).Opened[0].Root;
        Assert.Equal((axis, 3), (root.Axis, root.At));
        Assert.Equal(axis == 'x' ? new Rect(3, 0, w - 3, h) : new Rect(0, 3, w, h - 3), root.Second!.Rect);
        Assert.Equal(axis == 'x' ? new Rect(0, 3, 3, h - 3) : new Rect(3, 0, w - 3, 3), root.First!.Second!.Rect);
        Assert.Equal(new Rect(0, 0, 3, 3), Placed(root, 0).Rect);
    }

    [Theory]
    // rests of 4 × 5 and 6 × 2
    [InlineData(10, 5, 6, 3, FreeChoice.BestArea, 0, 3)]
    [InlineData(10, 5, 6, 3, FreeChoice.BestShortSide, 0, 3)]
    [InlineData(10, 5, 6, 3, FreeChoice.BestLongSide, 6, 0)]
    // rests of 3 × 3 and 9 × 1.5
    [InlineData(12, 3, 9, 1.5, FreeChoice.BestArea, 9, 0)]
    [InlineData(12, 3, 9, 1.5, FreeChoice.BestShortSide, 0, 1.5)]
    [InlineData(12, 3, 9, 1.5, FreeChoice.BestLongSide, 9, 0)]
    public void The_rest_that_fits_best_is_taken(
        double w,
        double h,
        double pw,
        double ph,
        object choice,
        double x,
        double y
    )
    {
        var run = Run([(w, h, 1)], (FreeChoice)choice, SplitRule.ShorterLeftover, (pw, ph), (1, 1));
        var at = Placed(run.Opened[0].Root, 1).Rect;
        Assert.Equal(new Rect(x, y, 1, 1), at);
        Assert.Empty(run.Unplaced);
    }

    [Fact]
    public void A_piece_is_turned_where_it_fits_better_and_a_side_that_fits_saves_a_cut()
    {
        // 4 × 2 upright fills the width of 2 × 9
        var root = Run([(2, 9, 1)], FreeChoice.BestArea, SplitRule.ShorterLeftover, (4, 2)).Opened[0].Root;
        var at = Placed(root, 0);
        Assert.True(at.Rotated);
        Assert.Equal(new Rect(0, 0, 2, 4), at.Rect);
        Assert.Equal(('y', 4), (root.Axis, root.At));
        Assert.Null(root.First!.First);
        // both ways fit: the one with the shorter rest
        var turned = Run([(10, 6, 1)], FreeChoice.BestShortSide, SplitRule.ShorterLeftover, (4, 3)).Opened[0].Root;
        Assert.Equal(new Rect(0, 0, 3, 4), Placed(turned, 0).Rect);
        // a rest as wide as the piece goes before one that leaves less
        var exact = Run([(10, 8.5, 1)], FreeChoice.BestArea, SplitRule.LongerLeftover, (7, 5), (3, 2.5));
        Assert.Equal(new Rect(7, 0, 3, 2.5), Placed(exact.Opened[0].Root, 1).Rect);
    }

    [Fact]
    public void Sheets_are_opened_in_their_order_where_no_rest_holds_the_piece()
    {
        // the first kind is too small for the second piece, and there is one of it
        var run = Run(
            [(5, 5, 1), (9, 9, 2)],
            FreeChoice.BestArea,
            SplitRule.LargerRest,
            (4, 4),
            (8, 8),
            (4, 4),
            (8, 8),
            (8, 8)
        );
        Assert.Equal([0, 1, 1], run.Opened.Select(o => o.Sheet));
        // beside eight by eight no four by four lies: it takes a sheet of its own, and the large ones find none
        Assert.Equal([3, 4], run.Unplaced);
    }

    [Fact]
    public void What_is_a_hair_too_large_still_fits()
    {
        Assert.True(GreedyFill.Holds(10, 5, 10 + 9e-7, 5 + 9e-7));
        Assert.False(GreedyFill.Holds(10, 5, 10 + 2e-6, 5));
        Assert.False(GreedyFill.Holds(10, 5, 10, 5 + 2e-6));
        // and is not cut off by nothing
        var root = Run([(10, 5, 1)], FreeChoice.BestArea, SplitRule.LargerRest, (10 + 9e-7, 5)).Opened[0].Root;
        Assert.Equal((0, null), (root.Piece, root.First));
    }

    [Fact]
    public void Of_plans_that_place_all_the_largest_rest_wins_then_the_fewest_cuts()
    {
        // two of 5 × 10 side by side leave 10 × 10 whole, one over the other would too; two cuts do
        var plan = CutPlanner.Plan([new("A", 5, 10, 1, "soft", 2)], [new("s", 10, 20, 1, "soft", 1, false)]);
        var sheet = plan.Sheets.Single();
        Assert.Equal(100, sheet.Leftovers.Max(l => l.WidthMm * l.DepthMm), 6);
        Assert.Equal(2, sheet.Cuts.Count);
        Assert.Equal(0.5, plan.WasteFraction, 9);
        Assert.Equal([1, 2], sheet.Cuts.Select(c => c.Order));
    }

    [Fact]
    public void The_smallest_sheet_that_holds_all_is_cut_and_materials_that_are_named_come_first()
    {
        CutStock[] stock =
        [
            new("large", 100, 100, 1, "soft", 1, false),
            new("small", 21, 12, 1, "soft", 1, false),
            new("any", 40, 40, 1, null, 1, false),
        ];
        Assert.Equal("small", CutPlanner.Plan([new("A", 10, 10, 1, "soft", 2)], stock).Sheets.Single().StockId);
        // a sheet of no material serves any; what asks for none takes what is left
        var plan = CutPlanner.Plan(
            [new("free", 20, 10, 1, null, 1), new("soft", 20, 10, 1, "soft", 1), new("firm", 30, 30, 1, "firm", 1)],
            stock
        );
        Assert.Equal("small", plan.Sheets.Single(s => s.Placements.Any(p => p.PieceId == "soft")).StockId);
        Assert.Equal("any", plan.Sheets.Single(s => s.Placements.Any(p => p.PieceId == "firm")).StockId);
        Assert.Equal("large", plan.Sheets.Single(s => s.Placements.Any(p => p.PieceId == "free")).StockId);
        Assert.Equal((3, 0), (plan.NewSheets, plan.Unplaced.Count));
        Assert.Equal(0, CutPlanner.Plan([new("A", 1, 1, 1, null, 0)], stock).WasteFraction);
    }

    [Fact]
    public void Thousands_of_kinds_are_refused_at_the_limit()
    {
        CutPiece One(int i) => new($"p{i}", 5, 5, 1, null, 1);
        CutStock sheet = new("s", 100, 100, 1, null, 9, false);
        Assert.Empty(CutPlanner.Plan([.. Enumerable.Range(0, 500).Select(One)], [sheet], passes: 24).Unplaced);
        var e = Assert.Throws<InputException>(() =>
            CutPlanner.Plan([.. Enumerable.Range(0, 501).Select(One)], [sheet])
        );
        Assert.Equal("Expected at most 500 kinds of piece, found 501.", e.Faults.Single().Message);
        e = Assert.Throws<InputException>(() => CutPlanner.Plan([One(0) with { Count = 1001 }], [sheet]));
        Assert.Equal("Expected at most 1000 pieces together, found 1001.", e.Faults.Single().Message);
        Assert.Empty(CutPlanner.Plan([One(0) with { Count = 1000 }], [sheet], passes: 24).Unplaced);
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() =>
            CutPlanner.Plan([One(0) with { Count = 40 }], [sheet], cancel: stop.Token)
        );
    }

    [Fact]
    public void A_pass_that_is_given_up_could_not_have_been_better()
    {
        var draws = new NormalDraws(5);
        int Whole(int most) => 1 + (int)(draws.Uniform() * most);
        var given = 0;
        for (var n = 0; n < 3000; n++)
        {
            var pieces = Enumerable.Range(0, 2 + n % 12).Select(_ => ((double)Whole(20), (double)Whole(20))).ToArray();
            (double W, double H, int Count)[] sheets = [(Whole(30), Whole(30), 1), (40, 30, 3)];
            bool[] offcut = [n % 2 == 0, false];
            int[] order = [.. Enumerable.Range(0, pieces.Length)];
            (int, int, double) Score((List<(int Sheet, CutNode Root)> Opened, List<int> Unplaced) run)
            {
                double Largest(CutNode c) =>
                    c.First is not null ? Math.Max(Largest(c.First), Largest(c.Second!))
                    : c.Piece < 0 ? c.Rect.Area
                    : 0;
                return (
                    run.Unplaced.Count,
                    run.Opened.Count(o => !offcut[o.Sheet]),
                    -run.Opened.Max(o => Largest(o.Root))
                );
            }
            (int Unplaced, int New, double Leftover) Of(FreeChoice c, SplitRule s) =>
                Score(GreedyFill.Run(pieces, order, sheets, c, s)!.Value);
            var best = Of(FreeChoice.BestArea, SplitRule.ShorterLeftover);
            foreach (var split in Enum.GetValues<SplitRule>())
            {
                var run = GreedyFill.Run(
                    pieces,
                    order,
                    sheets,
                    FreeChoice.BestShortSide,
                    split,
                    new(offcut, best.Unplaced, best.New, -best.Leftover)
                );
                given += run is null ? 1 : 0;
                var whole = Of(FreeChoice.BestShortSide, split);
                if (run is null)
                    Assert.True(whole.CompareTo(best) > 0);
                else
                    Assert.Equal(whole, Score(run.Value));
            }
        }
        Assert.True(given > 500, $"{given}");
    }
}
