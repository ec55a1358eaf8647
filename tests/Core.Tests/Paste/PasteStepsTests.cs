using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the paste station says at the bench: how, how much, and what must not be.</summary>
public class PasteStepsTests
{
    private static readonly PasteMaterial Metal = new("silverfish", 8, 0.1, 6.4) { LiquidMetal = true };

    private static Block Block(double kitPasteG = 0, string metal = "nickel-plated copper") =>
        Sample.Block() with
        {
            ColdPlate = new(metal, 3, null, null),
            Kit = Sample.Block().Kit! with { PasteG = kitPasteG },
        };

    private static JobPlan Plan(
        PasteMaterial paste,
        double gramsLeft,
        string? way = null,
        Block? block = null,
        Board? board = null
    ) =>
        JobPlanner.Plan(
            new()
            {
                Order = WorkOrder.Plain(board ?? Sample.Board(), block ?? Block()),
                PasteId = paste.Id,
                Ways = way is null ? new Dictionary<string, string>() : new() { ["paste-die"] = way },
                Drawer = new()
                {
                    Materials = [Sample.Soft],
                    Pads = [new("s1", "soft", 1, 100, 100, 1, false)],
                    Pastes = [new("t", paste, gramsLeft, 24)],
                },
            }
        );

    private static WorkStep Step(JobPlan plan) => Assert.Single(plan.Stations[(int)Station.Paste].Steps);

    [Theory]
    [InlineData("spread", "Spread {0:0.00} g of grey over U1, edge to edge")]
    [InlineData("cross", "Draw a cross on U1, arms {1:0} mm, bead 1.5 mm")]
    [InlineData("line", "Draw a line on U1, {2:0} mm long, bead 1.5 mm")]
    public void Each_way_says_its_own_measure(string way, string title)
    {
        var plan = Plan(Sample.Grey, 5, way);
        var a = plan.Paste.Faces[0].Amount;
        Assert.Equal(
            string.Format(
                System.Globalization.CultureInfo.InvariantCulture,
                title,
                a.MassG,
                a.CrossArmMm,
                a.LineLengthMm,
                a.DotDiameterMm
            ),
            Step(plan).Title
        );
        // a bare corner is warned of where it can be seen: at the spread
        Assert.Equal(way == "spread", Step(plan).Caution is not null);
        Assert.Equal(["paste", "of plunger", "of 1.5 mm bead"], Step(plan).Facts.Select(f => f.Label));
        Assert.Equal(["U1"], Step(plan).Targets);
    }

    [Fact]
    public void The_amount_is_of_the_face_and_of_the_load_that_the_seating_gives_it()
    {
        var face = Plan(Sample.Grey, 5).Paste.Faces[0];
        Assert.Equal(24 * 22, face.Amount.AreaMm2, 9);
        Assert.Equal(face.ClampN / (24 * 22), face.Amount.PressureMPa, 9);
        Assert.Equal((int)Math.Floor(5 / face.Amount.MassG), face.Applications);
        Assert.Equal((5, PasteSurface.BareDie, "paste-die"), (face.GramsLeft, face.Surface, face.School));
        Assert.Null(face.LiquidPerFaceUl);
    }

    [Fact]
    public void A_tube_that_is_short_is_told_and_the_kits_paste_counts()
    {
        var need = Plan(Sample.Grey, 5).Paste.MassG;
        var short_ = Plan(Sample.Grey, need / 2).Stations[(int)Station.Paste];
        Assert.True(short_.Trouble);
        Assert.EndsWith("spread, tube is short", short_.Summary, StringComparison.Ordinal);
        var enough = Plan(Sample.Grey, need / 2, block: Block(kitPasteG: need)).Stations[(int)Station.Paste];
        Assert.False(enough.Trouble);
        Assert.EndsWith(" g spread", enough.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void Liquid_metal_is_told_by_microlitres_and_its_two_first_cautions_stand_at_the_step()
    {
        var step = Step(Plan(Metal, 1));
        Assert.Equal("Put a film of silverfish on U1 and on its contact patch, 16 µL each", step.Title);
        Assert.Equal(["on each of two faces", "film", "of plunger"], step.Facts.Select(f => f.Label));
        Assert.Contains("short circuit", step.Caution, StringComparison.Ordinal);
        Assert.Contains("not for the drain", step.Caution, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_refused_is_trouble_and_says_so_at_the_step()
    {
        var plan = Plan(Metal, 1, block: Block(metal: "aluminium"));
        var sheet = plan.Stations[(int)Station.Paste];
        Assert.Equal(("not this on U1", true), (sheet.Summary, sheet.Trouble));
        Assert.StartsWith("Not here: The block's face is aluminium", Step(plan).Caution, StringComparison.Ordinal);
        Assert.Contains("gallium destroys it", Step(plan).Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_a_block_or_a_paste_the_station_waits()
    {
        var none = JobPlanner.Plan(new() { Order = WorkOrder.Plain(Sample.Board()) }).Stations[(int)Station.Paste];
        Assert.Equal(("waits for a block", true), (none.Summary, none.Trouble));
        var dry = JobPlanner
            .Plan(
                new()
                {
                    Order = WorkOrder.Plain(Sample.Board(), Block()),
                    Drawer = new() { Materials = [Sample.Soft] },
                }
            )
            .Stations[(int)Station.Paste];
        Assert.Equal(("no paste in the drawer", true), (dry.Summary, dry.Trouble));
    }

    // ---- reasons

    private static Part Lid(double width, double depth) =>
        Sample.Part("L1", PartKind.Lid, 0, 0, width, depth, 3, Cooling.Must);

    [Theory]
    [InlineData(45, 40, PasteSurface.Lid)]
    [InlineData(45.1, 40, PasteSurface.LargePlate)]
    [InlineData(40, 46, PasteSurface.LargePlate)]
    public void A_lid_over_45_mm_is_a_large_plate(double width, double depth, PasteSurface surface) =>
        Assert.Equal(surface, PasteMethods.SurfaceOf(Lid(width, depth)));

    [Fact]
    public void Every_other_face_is_a_die_or_a_bridge_chip_and_only_lids_ask_the_lids_question()
    {
        var die = Sample.Part("U1", PartKind.Die, 0, 0, 60, 60, 1);
        var bridge = Sample.Part("B1", PartKind.BridgeChip, 0, 0, 9, 9, 1);
        Assert.Equal(PasteSurface.BareDie, PasteMethods.SurfaceOf(die));
        Assert.Equal(PasteSurface.BridgeChip, PasteMethods.SurfaceOf(bridge));
        Assert.Equal("paste-die", PasteMethods.SchoolOf(die));
        Assert.Equal("paste-lid", PasteMethods.SchoolOf(Lid(30, 30)));
    }

    [Theory]
    [InlineData(PasteSurface.BareDie, PasteWay.Spread, "every square millimetre")]
    [InlineData(PasteSurface.BareDie, PasteWay.Dot, "look in the simulation")]
    [InlineData(PasteSurface.BridgeChip, PasteWay.Spread, "thin spread is enough")]
    [InlineData(PasteSurface.BridgeChip, PasteWay.Line, "small amount pressed out")]
    [InlineData(PasteSurface.LargePlate, PasteWay.Spread, "more than a small one takes")]
    [InlineData(PasteSurface.LargePlate, PasteWay.Cross, "arms do")]
    [InlineData(PasteSurface.Lid, PasteWay.Line, "A lid of 38 × 30 mm: a line along the long side.")]
    [InlineData(PasteSurface.Lid, PasteWay.Cross, "a pattern or a spread both do")]
    public void Each_way_on_each_face_has_its_reason(PasteSurface surface, PasteWay way, string says) =>
        Assert.Contains(says, PasteMethods.Why(surface, way, Lid(38, 30)), StringComparison.Ordinal);

    [Fact]
    public void Parts_in_reach_of_a_drop_are_named_six_at_most_and_those_coated_are_not()
    {
        Part Cap(int i, Face face = Face.Front) =>
            Sample.Part($"C{i}", PartKind.Capacitor, 15, -8 + 2 * i, 1, 1, 0.5) with
            {
                Face = face,
            };
        var board = Sample.Board(more: [.. Enumerable.Range(1, 8).Select(i => Cap(i)), Cap(9, Face.Back)]);
        var die = board.FindPart("U1")!;
        string Refused(params string[] coated) =>
            PasteMethods.LiquidMetal(board, Block(), die, coated).Refusals.SingleOrDefault()?.ToString() ?? "";
        Assert.Contains("C1, C2, C3, C4, C5, C6 and 2 more.", Refused(), StringComparison.Ordinal);
        Assert.Contains("drop: C3, C4, C5, C6, C7, C8. Coat", Refused("C1", "C2"), StringComparison.Ordinal);
        Assert.Equal("", Refused([.. Enumerable.Range(1, 8).Select(i => $"C{i}")]));
        // a plated face stains nothing: only the two cautions that always stand
        Assert.Equal(2, PasteMethods.LiquidMetal(board, Block(), die).Cautions.Count);
        Assert.Equal(3, PasteMethods.LiquidMetal(board, Block(metal: "copper"), die).Cautions.Count);
    }

    [Fact]
    public void A_drop_reaches_six_millimetres_from_the_dies_edge()
    {
        // the die's edge lies at 12 mm; a part of 1 mm at 18.4 begins at 17.9, at 18.6 at 18.1
        IReadOnlyList<Core.Words.Message> Refused(double x, PartKind kind) =>
            PasteMethods
                .LiquidMetal(
                    Sample.Board(more: Sample.Part("C1", kind, x, 0, 1, 1, 0.5)),
                    Block(),
                    Sample.Board().FindPart("U1")!
                )
                .Refusals;
        Assert.Single(Refused(18.4, PartKind.Capacitor));
        Assert.Single(Refused(18.4, PartKind.Other));
        Assert.Empty(Refused(18.6, PartKind.Capacitor));
        // a part in a package of its own shorts nothing
        Assert.Empty(Refused(18.4, PartKind.Inductor));
    }
}
