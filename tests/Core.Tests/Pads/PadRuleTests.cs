using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which pad is taken and why, which places change together, strips along a carrier's edge.</summary>
public class PadRuleTests
{
    private static readonly Dictionary<string, PadMaterial> Materials = new()
    {
        ["soft"] = Sample.Soft,
        ["firm"] = Sample.Soft with { Id = "firm", SquashMax = 0.2 },
    };

    private static Block Kit(params KitPad[] pads) => Sample.Block() with { Kit = new() { Pads = pads } };

    private static KitPad Sheet(double mm, string material) => new(mm, 100, 20, 1, material, "both");

    private static Land Land(double? mm) =>
        new()
        {
            Id = "L",
            Outline = Sample.Rect(0, 0, 10, 10),
            For = PartKind.Memory,
            Through = Through.Pad,
            PadMm = mm,
        };

    private static (PadFit? Chosen, PadFit? Declared, IReadOnlyList<PadFit> WouldDo) For(
        Block block,
        double? declared,
        double min,
        double max,
        params StockedPad[] stock
    ) => new PadChoice(block, Materials, stock).For(Land(declared), min, max);

    private static string Said(PadFit? f) =>
        f is null ? "none" : FormattableString.Invariant($"{f.Source} {f.ThicknessMm:0.0#} {f.Material} {f.State}");

    [Fact]
    public void The_supplied_pad_goes_first_then_the_kits_others_then_the_drawers_thinnest()
    {
        var kit = Kit(Sheet(1.5, "soft"), Sheet(1, "soft"));
        StockedPad[] drawer = [new(1.2, "soft"), new(0.9, "soft"), new(1, "soft")];
        // a gap of 0.6 to 0.7: 1.0 squashes 30 to 40 %, 1.5 more than half
        var asked = For(kit, 1, 0.6, 0.7, drawer);
        Assert.Equal("kit 1.0 soft Good", Said(asked.Chosen));
        Assert.Same(asked.Chosen, asked.Declared);
        // each once, the kit's first, the drawer's by thickness
        Assert.Equal(["kit 1.0 soft Good", "drawer 0.9 soft Good"], asked.WouldDo.Select(Said));
        // the supplied one would be starved
        var wide = For(kit, 1, 0.95, 1.05, drawer);
        Assert.Equal(("kit 1.5 soft Good", "kit 1.0 soft Starved"), (Said(wide.Chosen), Said(wide.Declared)));
        // none of the kit's does
        var odd = For(Kit(Sheet(2, "soft")), 2, 0.6, 0.7, drawer);
        Assert.Equal(("drawer 0.9 soft Good", "kit 2.0 soft Crushed"), (Said(odd.Chosen), Said(odd.Declared)));
        // nothing does: the supplied one is told with its fault
        Assert.Equal("kit 2.0 soft Crushed", Said(For(Kit(Sheet(2, "soft")), 2, 0.1, 0.2).Chosen));
        // without one, the nearest
        Assert.Equal("kit 1.5 soft Starved", Said(For(kit, null, 2, 2.1).Chosen));
    }

    [Fact]
    public void A_supplied_pad_that_fills_is_taken_before_others_that_would_do()
    {
        var kit = Kit(Sheet(0.9, "soft"), Sheet(1, "firm"), Sheet(1, "soft"));
        // the first of its thickness in the kit, though 0.9 stands before it
        var asked = For(kit, 1, 0.83, 0.85, new StockedPad(1, "soft"));
        Assert.Equal(("kit 1.0 firm Good", "kit 1.0 firm Good"), (Said(asked.Chosen), Said(asked.Declared)));
        // the kit's before the drawer's of the same thickness, whatever the kit's order
        var drawer = For(
            Kit(Sheet(0.9, "soft")),
            1.2,
            1.0,
            1.05,
            new StockedPad(1.2, "firm"),
            new StockedPad(1.2, "soft")
        );
        Assert.Equal("drawer 1.2 firm Good", Said(drawer.Declared));
        // of two that would do the supplied one, though it stands second
        Assert.Equal("kit 1.0 soft Good", Said(For(Kit(Sheet(0.9, "soft"), Sheet(1, "soft")), 1, 0.7, 0.75).Chosen));
        // nothing does: the supplied one is told, though another misses less
        Assert.Equal("kit 2.0 soft Crushed", Said(For(Kit(Sheet(2, "soft"), Sheet(0.9, "soft")), 2, 0.1, 0.2).Chosen));
        // nothing fills and none is supplied: the one that misses least
        Assert.Equal(
            "kit 0.9 soft Starved",
            Said(For(Kit(Sheet(0.5, "soft"), Sheet(0.9, "soft"), Sheet(0.7, "soft")), null, 1.0, 1.2).Chosen)
        );
    }

    [Fact]
    public void A_thickness_that_is_nowhere_is_calculated_in_the_kits_material()
    {
        var asked = For(Kit(Sheet(1, "firm")), 3, 2.5, 2.6);
        Assert.Equal("declared 3.0 firm Good", Said(asked.Declared));
        Assert.Equal("declared 3.0 firm Good", Said(asked.Chosen));
        // in the first known one where the kit holds none
        Assert.Equal("declared 3.0 soft Good", Said(For(Kit(), 3, 2.5, 2.6).Declared));
        Assert.Null(new PadChoice(Kit(), new Dictionary<string, PadMaterial>(), []).For(Land(3), 2.5, 2.6).Chosen);
        // the drawer's counts as the supplied one where the kit has none of that thickness
        Assert.Equal(
            "drawer 3.0 soft Good",
            Said(For(Kit(Sheet(1, "firm")), 3, 2.5, 2.6, new StockedPad(3, "soft")).Declared)
        );
    }

    [Fact]
    public void The_reason_names_gap_pad_and_squash()
    {
        string Why(double step, params StockedPad[] stock) =>
            Compute
                .Gaps(Sample.Board(), Sample.Block(step), Sample.Materials, stock)
                .Pairs.Single(p => p.Part == "M1")
                .Why;
        Assert.Equal("M1: gap 0.58–0.82 mm; the kit's 1.0 mm soft squashes 18 to 42 %, good.", Why(-0.23));
        Assert.Equal(
            "M1: gap 0.84–1.08 mm; the kit's 1.0 mm soft squashes 0 to 16 %, too little. "
                + "The drawer's 1.5 mm soft squashes 28 to 44 %, good.",
            Why(0.03, new StockedPad(1.5, "soft"))
        );
        Assert.Equal("M1: gap 0.31–0.55 mm; the kit's 1.0 mm soft squashes 45 to 69 %, too much.", Why(-0.5));
        var bare = Compute.Gaps(
            Sample.Board(),
            Sample.Block() with
            {
                Kit = new(),
            },
            new Dictionary<string, PadMaterial>()
        );
        Assert.Equal(
            "M1: gap 0.58–0.82 mm; no pad is known for land L-m1.",
            bare.Pairs.Single(p => p.Part == "M1").Why
        );
    }

    [Theory]
    // a pad thinner than its own tolerance is calculated as thin as makes no difference
    [InlineData(1, 1.2, 0.9, -89, 1 - 0.9 / 2.2)]
    [InlineData(1, 0.1, 0.9, 0, 1 - 0.9 / 1.1)]
    public void Squash_is_told_over_the_pads_own_tolerance(double mm, double tol, double gap, double least, double most)
    {
        var fit = PadSquash.In(gap, gap, mm, Sample.Soft with { ThicknessTolMm = tol }, "kit");
        Assert.Equal(least, fit.SquashMin, 9);
        Assert.Equal(most, fit.SquashMax, 9);
    }

    [Fact]
    public void How_far_a_pad_misses_its_window_and_what_it_fills()
    {
        PadFit In(double min, double max) => PadSquash.In(min, max, 1, Sample.Soft, "kit");
        // 10 to 45 % of one millimetre
        Assert.Equal((0.55, 0.9), (In(0.7, 0.7).FillsMinMm, In(0.7, 0.7).FillsMaxMm));
        Assert.Equal(PadState.Good, In(0.55, 0.9).State);
        Assert.Equal(0, In(0.55, 0.9).MissBy);
        Assert.Equal((PadState.Starved, 0.05), (In(0.7, 0.95).State, Math.Round(In(0.7, 0.95).MissBy, 9)));
        Assert.Equal((PadState.Crushed, 0.05), (In(0.5, 0.8).State, Math.Round(In(0.5, 0.8).MissBy, 9)));
        // past both: by the worse
        Assert.Equal((PadState.Crushed, 0.15), (In(0.4, 0.95).State, Math.Round(In(0.4, 0.95).MissBy, 9)));
        Assert.Equal((PadState.Starved, 0.1), (In(0.5, 1).State, Math.Round(In(0.5, 1).MissBy, 9)));
    }

    [Fact]
    public void A_squash_is_told_between_not_touching_and_flat()
    {
        string Told(double min, double max) => PadSquash.In(min, max, 1, Sample.Soft, "kit").SquashText;
        Assert.Equal("18–42 %", Told(0.58, 0.82));
        Assert.Equal("0–16 %", Told(0.84, 1.08));
        Assert.Equal("no touch", Told(1, 1.08));
        Assert.Equal("0–1 %", Told(0.99, 1.08));
        Assert.Equal("80–100 %", Told(-0.3, 0.2));
        Assert.Equal("flat", Told(-0.3, 0));
        // and so in the sentence
        string Why(double step) =>
            Compute.Gaps(Sample.Board(), Sample.Block(step), Sample.Materials).Pairs.Single(p => p.Part == "M1").Why;
        Assert.Equal("M1: gap 1.81–2.05 mm; the kit's 1.0 mm soft does not touch, too little.", Why(1));
        Assert.Equal(
            "M1 stands 0.15 to 0.39 mm into land L-m1; the kit's 1.0 mm soft is pressed flat, too much.",
            Why(-1.2)
        );
        Assert.StartsWith("M1: gap up to 0.05 mm, or none; the kit's", Why(-1), StringComparison.Ordinal);
    }

    private static PlacedPad Placed(string part, PartKind kind, Face face = Face.Front) =>
        new("", part, "L", kind, face, 1, "soft", 10, 10, null, false, false) { Pair = "P", Board = "A" };

    [Fact]
    public void Pads_of_a_kind_on_a_face_change_together()
    {
        PlacedPad[] pads =
        [
            Placed("M1", PartKind.Memory),
            Placed("M2", PartKind.Memory),
            Placed("Q1", PartKind.PowerStage),
            Placed("M3", PartKind.Memory, Face.Back),
            Placed("M4", PartKind.Memory),
        ];
        Assert.Equal(["M2", "M1", "M4"], LikePads.Places(pads, "M2"));
        Assert.Equal(["M3"], LikePads.Places(pads, "M3"));
        Assert.Empty(LikePads.Places(pads, "U1"));
        Assert.Empty(LikePads.Places(pads, null));
    }

    private static Carrier Carrier(double? thick = 1, params (double X, double Diameter)[] bolts) =>
        new(
            "c1",
            Face.Front,
            Sample.Rect(0, 0, 100, 8),
            [.. bolts.Select((b, i) => new CarrierBolt($"b{i}", b.X, 4, b.Diameter))],
            0.5,
            thick,
            2
        );

    [Fact]
    public void Strips_on_a_carriers_edge_keep_clear_of_its_bolts()
    {
        // out of order; half the hole and the pad's own spread stay free
        var pads = EdgePads.Compute(Carrier(1, (30, 2.2), (-20, 3)));
        Assert.Equal([(-50, -22.5), (-17.5, 27.9), (32.1, 50.0)], pads.Select(p => (p.FromMm, p.ToMm)));
        Assert.All(pads, p => Assert.Equal(("c1", 2, 1), (p.Carrier, p.WidthMm, p.ThicknessMm)));
        Assert.Equal(27.5, pads[0].LengthMm);
        // a thin pad gives way by half a millimetre
        Assert.Equal((0.5, 0.5, 0.8), (EdgePads.SpreadMm(0.3), EdgePads.SpreadMm(0.5), EdgePads.SpreadMm(0.8)));
        Assert.Equal(28.4, EdgePads.Compute(Carrier(0.3, (30, 2.2)))[0].ToMm, 9);
        Assert.Empty(EdgePads.Compute(Carrier(null, (30, 2.2))));
        Assert.Equal([(-50, 50.0)], EdgePads.Compute(Carrier(1)).Select(p => (p.FromMm, p.ToMm)));
    }

    [Theory]
    // from the left end of the edge to a bolt's rim
    [InlineData(-43.8, 2)]
    [InlineData(-44.2, 1)]
    public void A_strip_shorter_than_four_millimetres_is_not_cut(double x, int strips) =>
        Assert.Equal(strips, EdgePads.Compute(Carrier(1, (x, 2.2))).Count);

    [Fact]
    public void Bolts_that_crowd_each_other_and_the_end_leave_what_is_left()
    {
        var pads = EdgePads.Compute(Carrier(1, (0, 2.2), (1, 2.2), (49, 2.2), (60, 2.2)));
        Assert.Equal([(-50, -2.1), (3.1, 46.9)], pads.Select(p => (p.FromMm, p.ToMm)));
    }

    [Fact]
    public void Strips_are_lettered_through_the_order_in_the_kits_material()
    {
        WorkOrder Order(params KitPad[] kit) =>
            WorkOrder.Plain(
                Sample.Board(),
                Kit(kit) with
                {
                    Carriers = [Carrier(1, (30, 2.2)), Carrier(1) with { Id = "c2", Face = Face.Back }],
                }
            );
        var pieces = EdgePads.Pieces(Order(Sheet(2, "firm"), Sheet(1, "soft")), i => $"E{i + 1}");
        Assert.Equal(["E1", "E2", "E3"], pieces.Select(p => p.Id));
        Assert.All(pieces, p => Assert.Equal(("soft", true, 2), (p.Material, p.OnBlock, p.DepthMm)));
        Assert.Equal(["edge of c1", "edge of c1", "edge of c2"], pieces.Select(p => p.Where));
        Assert.Equal(Face.Back, pieces[2].Face);
        var box = pieces[0].Outline!.Bounds;
        Assert.Equal(
            (-50, 27.9, 3, 5),
            (Math.Round(box.MinX, 9), Math.Round(box.MaxX, 9), Math.Round(box.MinY, 9), Math.Round(box.MaxY, 9))
        );
        // another thickness of the kit lends its material; without a kit there is nothing to cut from
        Assert.Equal("firm", EdgePads.Pieces(Order(Sheet(2, "firm")), i => $"{i}")[0].Material);
        Assert.Empty(EdgePads.Pieces(Order(), i => $"{i}"));
    }

    [Fact]
    public void What_is_at_hand_is_drawer_and_kit_each_thickness_once()
    {
        var drawer = Drawer.Empty with
        {
            Pads =
            [
                new("a", "soft", 1, 100, 20, 1, false),
                new("b", "soft", 1, 50, 20, 1, true),
                new("c", "firm", 1, 100, 20, 1, false),
            ],
        };
        Assert.Equal(
            [new(1, "soft"), new(1, "firm"), new StockedPad(1.5, "soft")],
            LikePads.AtHand(drawer, Kit(Sheet(1.5, "soft"), Sheet(1, "firm")))
        );
    }
}
