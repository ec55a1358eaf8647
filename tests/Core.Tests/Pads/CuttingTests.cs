using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads.Cutting;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class CuttingTests
{
    [Fact]
    public void An_offcut_is_used_before_a_new_sheet()
    {
        var plan = CutPlanner.Plan(
            [new("A", 20, 10, 1, "soft", 2)],
            [new("new", 100, 100, 1, "soft", 1, false), new("old", 42, 12, 1, "soft", 1, true)]
        );
        Assert.Equal(0, plan.NewSheets);
        Assert.Equal("old", plan.Sheets.Single().StockId);
        Check(plan);
    }

    [Fact]
    public void An_offcut_that_holds_all_is_used_before_a_new_sheet_that_they_fill_exactly()
    {
        var plan = CutPlanner.Plan(
            [new("A", 50, 20, 1, "soft", 2)],
            [new("new", 50, 40, 1, "soft", 1, false), new("old", 60, 45, 1, "soft", 1, true)]
        );
        Assert.Equal("old", plan.Sheets.Single().StockId);
        Assert.Equal(0, plan.NewSheets);
        Check(plan);
    }

    [Fact]
    public void What_can_not_be_placed_says_why()
    {
        var plan = CutPlanner.Plan(
            [new("big", 200, 10, 1, "soft", 1), new("thick", 10, 10, 2, "soft", 1), new("many", 50, 50, 1, "soft", 9)],
            [new("s", 100, 100, 1, "soft", 2, false)]
        );
        Assert.Contains("large enough", plan.Unplaced.Single(u => u.PieceId == "big").Reason, StringComparison.Ordinal);
        Assert.Contains("2.0 mm", plan.Unplaced.Single(u => u.PieceId == "thick").Reason, StringComparison.Ordinal);
        Assert.Contains("used up", plan.Unplaced.Single(u => u.PieceId == "many").Reason, StringComparison.Ordinal);
        Assert.Equal(8, plan.Sheets.Sum(s => s.Placements.Count));
    }

    [Fact]
    public void Materials_and_thicknesses_do_not_mix()
    {
        var plan = CutPlanner.Plan(
            [new("A", 10, 10, 1, "soft", 1), new("B", 10, 10, 1, "firm", 1), new("C", 10, 10, 1.5, "soft", 1)],
            [
                new("s1", 50, 50, 1, "soft", 1, false),
                new("f1", 50, 50, 1, "firm", 1, false),
                new("s15", 50, 50, 1.5, "soft", 1, false),
            ]
        );
        Assert.Equal(3, plan.NewSheets);
        Assert.Equal(["A"], plan.Sheets.Single(s => s.StockId == "s1").Placements.Select(p => p.PieceId));
    }

    [Theory]
    [InlineData(2024, 100, 100)]
    [InlineData(7, 120, 75)]
    public void Sheets_cut_up_at_random_are_packed_back_without_waste(ulong seed, double w, double h)
    {
        var draws = new NormalDraws(seed);
        int found = 0,
            cases = 400;
        for (var i = 0; i < cases; i++)
        {
            var pieces = CutUp(draws, w, h, 4 + i % 17);
            var plan = CutPlanner.Plan(pieces, [new("s", w, h, 1, null, 1, false)], passes: 60);
            Check(plan);
            if (plan.Unplaced.Count == 0 && plan.WasteFraction < 1e-6)
                found++;
        }
        Assert.True(found >= 0.99 * cases, $"{found} of {cases} packed back");
    }

    [Fact]
    public void A_fill_that_can_not_be_cut_edge_to_edge_is_never_claimed()
    {
        // the pinwheel of four 3 × 2 round a unit square fills 5 × 5, but no cut goes from edge to edge
        var plan = CutPlanner.Plan(
            [new("arm", 3, 2, 1, null, 4), new("hub", 1, 1, 1, null, 1)],
            [new("s", 5, 5, 1, null, 1, false)]
        );
        Check(plan);
        Assert.NotEmpty(plan.Unplaced);
    }

    [Fact]
    public void More_than_a_moment_can_plan_is_refused_with_its_limit()
    {
        string Refused(IReadOnlyList<CutPiece> pieces, IReadOnlyList<CutStock> stock) =>
            Assert.Throws<InputException>(() => CutPlanner.Plan(pieces, stock)).Faults[0].Field;
        CutStock sheet = new("s", 100, 100, 1, null, 1, false);
        Assert.Equal("pieces", Refused([new("A", 5, 5, 1, null, 1001)], [sheet]));
        Assert.Equal("stock", Refused([new("A", 5, 5, 1, null, 1)], [.. Enumerable.Repeat(sheet, 501)]));
    }

    [Fact]
    public void A_thousand_pieces_and_slivers_of_stock_still_make_a_plan()
    {
        CutPiece[] pieces = [.. Enumerable.Range(0, 500).Select(i => new CutPiece($"p{i}", 5 + i % 20, 7, 1, null, 2))];
        CutStock[] slivers =
        [
            .. Enumerable.Range(0, 499).Select(i => new CutStock($"v{i}", 0.1, 5000, 1, null, 100_000, true)),
        ];
        var plan = CutPlanner.Plan(pieces, [.. slivers, new("s", 100, 100, 1, null, 100_000, false)]);
        Check(plan);
        Assert.Empty(plan.Unplaced);
        Assert.DoesNotContain(plan.Sheets, s => s.StockId.StartsWith('v'));
    }

    [Fact]
    public void Sixty_pieces_stay_within_two_percent_of_the_area_bound_or_are_proven()
    {
        var draws = new NormalDraws(5);
        List<CutPiece> pieces =
        [
            .. Enumerable
                .Range(0, 60)
                .Select(i => new CutPiece(
                    $"p{i}",
                    5 + Math.Round(draws.Uniform() * 20),
                    5 + Math.Round(draws.Uniform() * 12),
                    1,
                    "soft",
                    1
                )),
        ];
        var plan = CutPlanner.Plan(pieces, [new("s", 100, 100, 1, "soft", 20, false)]);
        Check(plan);
        Assert.Empty(plan.Unplaced);
        var bound = (int)Math.Ceiling(pieces.Sum(p => p.WidthMm * p.DepthMm) / 10_000);
        Assert.Equal(bound, plan.NewSheets);
    }

    [Fact]
    public void Random_plans_pass_the_checker_and_waste_less_than_shelves()
    {
        var draws = new NormalDraws(77);
        double ours = 0,
            shelves = 0;
        for (var i = 0; i < 25; i++)
        {
            List<CutPiece> pieces =
            [
                .. Enumerable
                    .Range(0, 60)
                    .Select(k => new CutPiece($"p{k}", 4 + draws.Uniform() * 30, 4 + draws.Uniform() * 18, 1, null, 1)),
            ];
            var plan = CutPlanner.Plan(pieces, [new("s", 60, 40, 1, null, 60, false)], passes: 200);
            Check(plan);
            Assert.Empty(plan.Unplaced);
            ours += plan.NewSheets;
            shelves += Shelves(pieces, 60, 40);
        }
        Assert.True(ours < shelves, $"{ours} sheets, shelves {shelves}");
    }

    /// <summary>Inside, no overlap, and every cut goes edge to edge and separates what lies on its sides.</summary>
    private static void Check(CutPlan plan)
    {
        foreach (var sheet in plan.Sheets)
        {
            var all = sheet
                .Placements.Select(p => (p.XMm, p.YMm, p.WidthMm, p.DepthMm))
                .Concat(sheet.Leftovers.Select(l => (l.XMm, l.YMm, l.WidthMm, l.DepthMm)))
                .ToList();
            foreach (var (x, y, w, h) in all)
                Assert.True(x >= -1e-6 && y >= -1e-6 && x + w <= sheet.WidthMm + 1e-4 && y + h <= sheet.DepthMm + 1e-4);
            for (var i = 0; i < all.Count; i++)
            for (var j = i + 1; j < all.Count; j++)
            {
                var (a, b) = (all[i], all[j]);
                Assert.True(
                    a.XMm + a.WidthMm <= b.XMm + 1e-4
                        || b.XMm + b.WidthMm <= a.XMm + 1e-4
                        || a.YMm + a.DepthMm <= b.YMm + 1e-4
                        || b.YMm + b.DepthMm <= a.YMm + 1e-4
                );
            }
            // cut by cut: each must run edge to edge through exactly one of the pieces that are left
            var parts = new List<(double X, double Y, double W, double H)> { (0, 0, sheet.WidthMm, sheet.DepthMm) };
            foreach (var cut in sheet.Cuts.OrderBy(c => c.Order))
            {
                var at = parts.FindIndex(p =>
                    cut.Axis == 'x'
                        ? cut.AtMm > p.X + 1e-7
                            && cut.AtMm < p.X + p.W - 1e-7
                            && Near(cut.FromMm, p.Y)
                            && Near(cut.ToMm, p.Y + p.H)
                        : cut.AtMm > p.Y + 1e-7
                            && cut.AtMm < p.Y + p.H - 1e-7
                            && Near(cut.FromMm, p.X)
                            && Near(cut.ToMm, p.X + p.W)
                );
                Assert.True(at >= 0, $"cut {cut.Order} does not go edge to edge");
                var q = parts[at];
                parts.RemoveAt(at);
                if (cut.Axis == 'x')
                {
                    parts.Add((q.X, q.Y, cut.AtMm - q.X, q.H));
                    parts.Add((cut.AtMm, q.Y, q.X + q.W - cut.AtMm, q.H));
                }
                else
                {
                    parts.Add((q.X, q.Y, q.W, cut.AtMm - q.Y));
                    parts.Add((q.X, cut.AtMm, q.W, q.Y + q.H - cut.AtMm));
                }
            }
            foreach (var p in sheet.Placements)
                Assert.Contains(
                    parts,
                    q =>
                        Near(q.X, p.XMm)
                        && Near(q.Y, p.YMm)
                        && Math.Abs(q.W - p.WidthMm) < 1e-4
                        && Math.Abs(q.H - p.DepthMm) < 1e-4
                );
        }
    }

    private static bool Near(double a, double b) => Math.Abs(a - b) < 1e-6;

    private static List<CutPiece> CutUp(NormalDraws draws, double w, double h, int n)
    {
        var parts = new List<(double W, double H)> { (w, h) };
        while (parts.Count < n)
        {
            var i = (int)(draws.Uniform() * parts.Count);
            var (pw, ph) = parts[i];
            var along = draws.Uniform() < pw / (pw + ph);
            var size = along ? pw : ph;
            var at = Math.Round(size * (0.2 + 0.6 * draws.Uniform()));
            if (at < 3 || size - at < 3)
                continue;
            parts.RemoveAt(i);
            parts.Add(along ? (at, ph) : (pw, at));
            parts.Add(along ? (size - at, ph) : (pw, size - at));
        }
        return
        [
            .. parts
                .OrderBy(_ => draws.Uniform())
                .Select(
                    (p, i) =>
                        draws.Uniform() < 0.5
                            ? new CutPiece($"p{i}", p.W, p.H, 1, null, 1)
                            : new CutPiece($"p{i}", p.H, p.W, 1, null, 1)
                ),
        ];
    }

    /// <summary>Plain first-fit shelves, tallest first, no turning.</summary>
    private static int Shelves(List<CutPiece> pieces, double w, double h)
    {
        var sheets = new List<List<(double Used, double Height)>>();
        foreach (var p in pieces.OrderByDescending(p => p.DepthMm))
        {
            var done = false;
            foreach (var sheet in sheets)
            {
                for (var k = 0; k < sheet.Count && !done; k++)
                    if (sheet[k].Used + p.WidthMm <= w && p.DepthMm <= sheet[k].Height)
                    {
                        sheet[k] = (sheet[k].Used + p.WidthMm, sheet[k].Height);
                        done = true;
                    }
                if (!done && sheet.Sum(s => s.Height) + p.DepthMm <= h)
                {
                    sheet.Add((p.WidthMm, p.DepthMm));
                    done = true;
                }
                if (done)
                    break;
            }
            if (!done)
                sheets.Add([(p.WidthMm, p.DepthMm)]);
        }
        return sheets.Count;
    }
}
