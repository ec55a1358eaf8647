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
                var pads = EdgePads.Of(carrier);
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
}
