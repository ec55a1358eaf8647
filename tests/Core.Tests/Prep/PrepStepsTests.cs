using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prep;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which faces are cleaned with what, how long it works, and what the block needs before it is laid on.</summary>
public class PrepStepsTests
{
    private static PrepResult Prep(
        Board? board = null,
        Block? block = null,
        Drawer? drawer = null,
        Dictionary<string, string>? ways = null,
        ShopSettings? shop = null
    ) =>
        JobPlanner
            .Plan(
                new()
                {
                    Order = WorkOrder.Plain(board ?? Sample.Board(), block ?? Sample.Block()),
                    Drawer = drawer ?? new() { Materials = [Sample.Soft] },
                    Ways = ways ?? [],
                    Shop = shop ?? new(),
                }
            )
            .Prep;

    private static WorkStep Step(PrepResult prep, string target) => prep.Sheet.Steps.Single(s => s.Id.Target == target);

    [Fact]
    public void Only_faces_that_the_block_meets_are_cleaned_die_first()
    {
        // an inductor far outside the plate, a power stage under no land
        var board = Sample.Board(
            more:
            [
                Sample.Part("L1", PartKind.Inductor, 55, 0, 6, 6, 3),
                Sample.Part("Q1", PartKind.PowerStage, -35, 0, 5, 5, 0.8),
            ]
        );
        var prep = Prep(board);
        Assert.Equal(["clean-die", "clean-memory", "block", "dry-fit"], prep.Sheet.Steps.Select(s => s.Id.Target));
        Assert.Equal(("2 faces to clean, dry fit", false), (prep.Sheet.Summary, prep.Sheet.Trouble));
        Assert.Equal("Clean the die", Step(prep, "clean-die").Title);
        Assert.Equal("Clean the memory, 2 faces", Step(prep, "clean-memory").Title);
        Assert.Equal(["M1", "M2"], Step(prep, "clean-memory").Targets);
        Assert.All(
            prep.Sheet.Steps.Where(s => s.Kind == StepKind.Clean),
            s => Assert.Contains("Alcohol is flammable", s.Caution, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void The_remover_works_as_long_as_the_drawer_says_and_else_as_the_shop_does()
    {
        var shop = new ShopSettings { RemoverWaitS = 75 };
        var plain = Step(Prep(shop: shop), "clean-die");
        Assert.Equal(75, plain.TimerS);
        Assert.StartsWith("Put the remover on, wait 75 s", plain.Detail, StringComparison.Ordinal);
        Assert.Equal([new Fact("75 s", "wait before wiping")], plain.Facts);
        var own = new Drawer
        {
            Materials = [Sample.Soft],
            Consumables = [new("a", "Alcohol", 100, "mL", 0, null), new("c", "Citrus remover", 50, "mL", 0, 120)],
        };
        var named = Step(Prep(drawer: own, shop: shop), "clean-die");
        Assert.Equal(120, named.TimerS);
        Assert.StartsWith("Put the Citrus remover on, wait 120 s", named.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void Memory_is_wiped_with_alcohol_unless_the_shop_takes_remover_for_all()
    {
        var alcohol = Step(Prep(), "clean-memory");
        Assert.Null(alcohol.TimerS);
        Assert.Empty(alcohol.Facts);
        Assert.StartsWith("Use alcohol and a lint-free cloth.", alcohol.Detail, StringComparison.Ordinal);
        // alcohol chosen, no remover is asked of anybody, on no face
        var chosen = Step(Prep(ways: new() { ["cleaning"] = "alcohol" }), "clean-die");
        Assert.Null(chosen.TimerS);
        Assert.StartsWith("Use alcohol", chosen.Detail, StringComparison.Ordinal);
        var remover = Step(Prep(ways: new() { ["cleaning"] = "remover" }), "clean-memory");
        Assert.Equal(60, remover.TimerS);
    }

    [Fact]
    public void Factory_metal_comes_off_before_the_die_is_wiped()
    {
        Board Bonded(bool metal) =>
            Sample.Board() with
            {
                Assembly = new()
                {
                    Pieces = [new("cooler", "cooler", Face.Front)],
                    Bonds = [new("B", ["cooler", "board"], BondKind.Paste, null, ["U1"], false) { Metal = metal }],
                },
            };
        Assert.Equal(
            ["metal-off", "clean-die", "clean-memory"],
            Prep(Bonded(true)).Sheet.Steps.Take(3).Select(s => s.Id.Target)
        );
        Assert.Contains("Gallium", Step(Prep(Bonded(true)), "metal-off").Caution, StringComparison.Ordinal);
        Assert.DoesNotContain(Prep(Bonded(false)).Sheet.Steps, s => s.Id.Target == "metal-off");
    }

    [Theory]
    [InlineData(null, null)]
    [InlineData("nickel-plated copper", "Cold plate: nickel-plated copper.")]
    [InlineData("Nickel on copper", "Cold plate: Nickel on copper.")]
    [InlineData("copper", "Cold plate: copper. Bare copper tarnishes under fingers: gloves.")]
    public void Bare_copper_is_handled_with_gloves(string? metal, string? detail)
    {
        var block = Sample.Block() with { ColdPlate = metal is null ? null : new(metal, null, null, null) };
        Assert.Equal(detail, Step(Prep(block: block), "block").Detail);
    }

    [Fact]
    public void The_dry_fit_counts_what_there_is_to_look_at_and_stops_at_trouble()
    {
        var good = Step(Prep(), "dry-fit");
        Assert.Equal((2, CountOf.Checks), (good.Count, good.Counted));
        Assert.Equal("The documents see nothing in the way.", good.Detail);
        Assert.Null(good.Caution);
        var plug = Step(Prep(Sample.Board(more: Sample.Part("J1", PartKind.Connector, 35, 0, 8, 4, 0.5))), "dry-fit");
        Assert.Contains("J1 lies under the plate", plug.Caution, StringComparison.Ordinal);
        Assert.Equal(["J1"], plug.Targets);
    }

    [Theory]
    [InlineData(true, 2, "Open the block over a tray: O-ring, terminal drop out")]
    [InlineData(true, 0, "Open the block over a tray and take its halves apart")]
    [InlineData(false, 2, null)]
    public void A_block_that_comes_assembled_is_opened_and_what_falls_out_is_counted(
        bool opens,
        int parts,
        string? title
    )
    {
        var block = Sample.Block() with
        {
            Halves = [new("h", Face.Front, "main", opens, parts == 0 ? [] : ["O-ring", "terminal"])],
        };
        var step = OpenedBlock
            .Steps(WorkOrder.Plain(Sample.Board(), block), new(Pair.FirstKey, block))
            .SingleOrDefault();
        Assert.Equal(title, step?.Title);
        if (step is null)
            return;
        Assert.EndsWith(
            parts > 0 ? "Count them into a cell of the tray." : "Nothing falls out of it.",
            step.Detail,
            StringComparison.Ordinal
        );
        Assert.Equal(parts > 0 ? "Open, 2 parts in the tray" : "Open", step.Done);
        Assert.Equal(
            (parts > 0 ? parts : null, parts > 0 ? CountOf.Checks : null, parts > 0),
            (step.Count, step.Counted, step.Caution is not null)
        );
    }

    [Fact]
    public void Without_a_block_it_waits()
    {
        var prep = JobPlanner.Plan(new() { Order = WorkOrder.Plain(Sample.Board()) }).Prep;
        Assert.Equal(("waits for a block", true, 0), (prep.Sheet.Summary, prep.Sheet.Trouble, prep.Sheet.Steps.Count));
    }

    [Fact]
    public void The_two_first_things_to_look_at_stand_at_the_dry_fit()
    {
        var block = Sample.Block() with
        {
            Ports =
            [
                new("A", "G1/4", 0, 0, "up", null),
                new("B", "G1/4", 9, 0, "left", null),
                new("C", "G1/4", 9, 9, "right", null),
            ],
        };
        var dry = Step(Prep(block: block), "dry-fit");
        Assert.Contains("Ports A face up", dry.Detail, StringComparison.Ordinal);
        Assert.Contains("Ports B face left", dry.Detail, StringComparison.Ordinal);
        Assert.DoesNotContain("right", dry.Detail, StringComparison.Ordinal);
        Assert.Equal(5, dry.Count);
    }

    [Fact]
    public void Metal_is_known_from_the_card_as_a_whole()
    {
        var card = new Assembly
        {
            Pieces = [new("cooler", "cooler", Face.Front)],
            Bonds = [new("B", ["cooler", "board"], BondKind.Paste, null, ["U1"], false) { Metal = true }],
        };
        var order = new WorkOrder
        {
            Pieces = [new("A", Sample.Board() with { Assembly = new() })],
            Pairs = [new("P", Sample.Block())],
            Assembly = card,
        };
        var prep = JobPlanner
            .Plan(
                new()
                {
                    Order = order,
                    Drawer = new() { Materials = [Sample.Soft] },
                }
            )
            .Prep;
        Assert.Equal("metal-off", prep.Sheet.Steps[0].Id.Target);
    }
}
