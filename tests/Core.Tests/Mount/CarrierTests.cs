using CsCheck;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Carriers of memory modules: pads clear of holes, a star over all bolts, heights by the chips.</summary>
public class CarrierTests
{
    private const int Cases = 600;

    private static readonly Gen<Carrier> Carriers = Gen.Select(
        Gen.Double[60, 140],
        Gen.Double[0.3, 2],
        Gen.Double[-70, 70].List[0, 6],
        Gen.Double[1.5, 5],
        (length, thick, at, hole) =>
            new Carrier(
                "c",
                Face.Front,
                Polygon.Rectangle(new(0, 0), length, 20),
                [.. at.Select((x, i) => new CarrierBolt($"T{i}", x, 10, hole))],
                0.5,
                thick,
                4
            )
    );

    [Fact]
    public void Edge_pads_never_cover_a_hole_and_leave_room_to_spread() =>
        Carriers.Sample(
            carrier =>
            {
                var pads = EdgePads.Compute(carrier);
                var edge = carrier.Outline.Bounds;
                foreach (var pad in pads)
                {
                    Assert.True(pad.LengthMm >= EdgePads.ShortestMm - 1e-3);
                    Assert.InRange(pad.FromMm, edge.MinX - 1e-3, edge.MaxX);
                    Assert.InRange(pad.ToMm, edge.MinX, edge.MaxX + 1e-3);
                    foreach (var bolt in carrier.BoltHoles)
                    {
                        var clear = bolt.DiameterMm / 2 + EdgePads.SpreadMm(pad.ThicknessMm) - 2e-3;
                        Assert.False(
                            pad.FromMm < bolt.X + clear && pad.ToMm > bolt.X - clear,
                            $"{pad.FromMm}..{pad.ToMm} over {bolt.X} ± {clear}"
                        );
                    }
                }
                // and they never lie over each other
                foreach (var (a, b) in pads.Zip(pads.Skip(1)))
                    Assert.True(a.ToMm <= b.FromMm + 1e-9);
            },
            iter: Cases
        );

    private static Block Row(params Carrier[] carriers) =>
        Sample.Block() with
        {
            Kind = BlockKind.Memory,
            Plates = [],
            BackPlate = null,
            Carriers = carriers,
        };

    private static Carrier Plain(string id, Face face, params double[] bolts) =>
        new(
            id,
            face,
            Polygon.Rectangle(new(0, 0), 120, 26),
            [.. bolts.Select((x, i) => new CarrierBolt($"{id}{i + 1}", x, 13))],
            0.5,
            null,
            null
        );

    [Fact]
    public void The_star_takes_every_bolt_of_every_module_once_and_each_next_one_lies_opposite()
    {
        var block = Row(Plain("F", Face.Front, -48, 48), Plain("B", Face.Back, 0));
        var module = Sample.Board() with { Kind = BoardKind.MemoryModule };
        var order = new WorkOrder
        {
            Pieces = [.. "ABCD".Select(k => new Workpiece($"{k}", module))],
            Pairs = [.. "ABCD".Select((k, i) => new Pair($"{(char)('P' + i)}", block, $"{k}"))],
        };
        var star = MemoryBridge.Star(order.Pairs, order);
        Assert.Equal(12, star.Count);
        Assert.Equal(12, star.Select(b => b.Id).Distinct().Count());
        Point2 middle = new(star.Average(b => b.At.X), star.Average(b => b.At.Y));
        // after the first, as long as both sides are left, the next bolt is across the middle
        for (var i = 1; i < 8; i++)
        {
            var (a, b) = (star[i].At - middle, star[i + 1].At - middle);
            Assert.True(a.X * b.X + a.Y * b.Y <= 1e-9, $"{star[i].Id} then {star[i + 1].Id}");
        }
        Assert.Single(order.Boxes);
    }

    [Fact]
    public void A_carrier_lies_as_high_as_its_chips_and_the_pad_a_hand_presses()
    {
        var module = Sample.Board() with
        {
            Kind = BoardKind.MemoryModule,
            Parts = [SocketTests.Part("M1", PartKind.Memory, 0, 0, 9, 11, 1.1)],
        };
        var order = CarrierOrder.Compose(
            new WorkOrder { Pieces = [new("A", module)], Pairs = [new("P", Row(Plain("F", Face.Front)), "A")] }
        );
        var plate = Assert.Single(order.Pairs[0].Block.Plates);
        Assert.Equal(1.1 + 0.5 * 0.7, plate.StandoffMm!.Value, 9);
        Assert.Equal(PartKind.Memory, Assert.Single(plate.Lands).For);
    }

    private static IReadOnlyList<WorkStep> Bridge(int modules, ModulesIn way = ModulesIn.First)
    {
        var block = Row(Plain("F", Face.Front, -48, 48), Plain("B", Face.Back, 0)) with
        {
            Kit = new() { Screws = [new("M3", 6, 4, "T10", null), new("M2", 6, 12, "T5", null)] },
        };
        var module = Sample.Board() with { Kind = BoardKind.MemoryModule };
        var keys = "ABCD"[..modules];
        return
        [
            .. MemoryBridge.Steps(
                new()
                {
                    Pieces = [.. keys.Select(k => new Workpiece($"{k}", module))],
                    Pairs = [.. keys.Select((k, i) => new Pair($"{(char)('P' + i)}", block, $"{k}"))],
                },
                new() { ModulesIn = way },
                []
            ),
        ];
    }

    [Fact]
    public void Every_bolt_is_turned_snug_then_an_eighth_more()
    {
        var steps = Bridge(4, ModulesIn.WithBlock);
        Assert.Equal(
            "Stand the 4 modules in a row: bolt holes of all carriers in one line, labels all one way",
            steps[0].Title
        );
        Assert.Equal("Set Full on all 4 modules and start 12 bolts loose", steps[1].Title);
        Assert.Equal((12, CountOf.Screws, "T5"), (steps[1].Count!.Value, steps[1].Counted!.Value, steps[1].Driver));
        var passes = steps.Where(s => s.Kind == StepKind.Turn).ToList();
        Assert.Equal(["All snug", "All home"], passes.Select(p => p.Done));
        Assert.Equal(
            ["Pass 1 of 2: each until it is snug, bolts 1 to 12", "Pass 2 of 2: an eighth turn each, bolts 1 to 12"],
            passes.Select(p => p.Title.ToString())
        );
        Assert.All(passes, p => Assert.Equal(Enumerable.Range(1, 12), p.Turns.Select(t => t.Number)));
        // both passes in the same star, each bolt on its own module
        Assert.Equal(passes[0].Targets, passes[1].Targets);
        Assert.All(
            passes[0].Turns,
            t => Assert.StartsWith(t.Where["module ".Length..], t.Hole, StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(1, "Press the module into the second slot from the processor", "The notch fits one way only.")]
    [InlineData(
        2,
        "Press both modules, one by one, into the second and the fourth slot",
        "The notch fits one way only."
    )]
    [InlineData(3, "Press the 3 modules, one by one, into 3 slots side by side", "The notch fits one way only.")]
    [InlineData(4, "Press the 4 modules, one by one, into 4 slots side by side", "Every slot taken.")]
    public void Where_they_go_depends_on_how_many_there_are(int modules, string title, string detail)
    {
        // pressed in before the block is bolted over them, unless somebody wants it the other way
        Assert.Equal("slots", Bridge(modules, ModulesIn.WithBlock)[^1].Id.Target);
        var slots = Bridge(modules)[0];
        Assert.StartsWith(title, slots.Title, StringComparison.Ordinal);
        Assert.StartsWith(detail, slots.Detail, StringComparison.Ordinal);
        Assert.Equal([new Fact($"{modules}", "latched")], slots.Facts);
    }

    [Fact]
    public void One_module_stands_in_no_row()
    {
        Assert.StartsWith("Stand the module up", Bridge(1, ModulesIn.WithBlock)[0].Title, StringComparison.Ordinal);
        Assert.Equal("Set Full on the module and start 3 bolts loose", Bridge(1, ModulesIn.WithBlock)[1].Title);
    }

    [Fact]
    public void A_block_without_bolts_is_set_on_and_nothing_is_counted()
    {
        var module = Sample.Board() with { Kind = BoardKind.MemoryModule };
        var order = new WorkOrder { Pieces = [new("A", module)], Pairs = [new("P", Row(Plain("F", Face.Front)))] };
        var set = MemoryBridge.Steps(order, new(), []).Single(s => s.Id.Target == "bridge");
        Assert.Equal(((int?)null, (CountOf?)null, (string?)null), (set.Count, set.Counted, set.Driver));
        Assert.Equal(0, MemoryBridge.Bolts(order));
        Assert.Empty(MemoryBridge.Steps(WorkOrder.Plain(module, Sample.Block()), new(), []));
    }

    [Fact]
    public void Two_modules_go_crosswise_from_the_bolt_nearest_the_middle()
    {
        WorkOrder Of(Block block)
        {
            var module = Sample.Board() with { Kind = BoardKind.MemoryModule };
            return new()
            {
                Pieces = [new("A", module), new("B", module)],
                Pairs = [new("P", block), new("Q", block, "B")],
            };
        }
        var corners = Of(Row(Plain("F", Face.Front, -48, 48)));
        Assert.Equal(["A-F1", "B-F2", "B-F1", "A-F2"], MemoryBridge.Star(corners.Pairs, corners).Select(b => b.Id));
        var middle = Of(Row(Plain("F", Face.Front, -48, 4, 48)));
        Assert.EndsWith("-F2", MemoryBridge.Star(middle.Pairs, middle)[0].Id, StringComparison.Ordinal);
        Assert.Empty(MemoryBridge.Star([], middle));
        Assert.Equal(6, MemoryBridge.Bolts(middle));
    }
}
