using CsCheck;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Where a pump settles on several blocks, against hand figures and what must hold for any of them.</summary>
public class LoopFlowTests
{
    private static readonly Gen<LoopBlock> LoopBlocks = Gen.Select(
        Gen.Double[0.5, 12],
        Gen.Double[1.1, 3],
        Gen.Double[0, 400],
        (at2, n, watts) => new LoopBlock("P", DropCurve.Compute([new(2, at2), new(4, at2 * Math.Pow(2, n))])!, watts)
    );

    private static readonly Gen<List<LoopBlock>> Loops = LoopBlocks
        .List[1, 6]
        .Select(list => list.Select((b, i) => b with { Pair = $"P{i}" }).ToList());

    private static readonly Pump Pump = new(45, 15, 12);

    [Fact]
    public void Flows_side_by_side_add_up_and_drop_alike() =>
        Loops.Sample(
            blocks =>
            {
                var loop = LoopFlow.Compute(blocks, parallel: true, Pump)!;
                Assert.Equal(loop.FlowLMin, loop.Pairs.Sum(p => p.FlowLMin), loop.FlowLMin * 1e-6);
                Assert.Equal(1, loop.Pairs.Sum(p => p.Share), 6);
                Assert.All(loop.Pairs, p => Assert.Equal(loop.BlocksKPa, p.DropKPa, loop.BlocksKPa * 1e-6));
                Assert.All(loop.Pairs, p => Assert.Equal(0, p.InletRiseK));
            },
            iter: 300
        );

    [Fact]
    public void One_after_the_other_every_block_gets_the_whole_flow_and_the_drops_add_up() =>
        Loops.Sample(
            blocks =>
            {
                var loop = LoopFlow.Compute(blocks, parallel: false, Pump)!;
                Assert.All(loop.Pairs, p => Assert.Equal(loop.FlowLMin, p.FlowLMin, 12));
                Assert.Equal(loop.BlocksKPa, loop.Pairs.Sum(p => p.DropKPa), loop.BlocksKPa * 1e-9);
                // the pump's pressure is what loop and blocks take
                Assert.Equal(Pump.KPa(loop.FlowLMin), loop.BlocksKPa + loop.RestKPa, 6);
                // the last inlet is warmer by the heat of all before it: W = ρ·c·Q·ΔT with Q in L/min
                var before = blocks.SkipLast(1).Sum(b => b.Watts);
                Assert.Equal(before / (0.997 * 4180 * loop.FlowLMin / 60), loop.Pairs[^1].InletRiseK, 9);
                // never more flow than side by side
                Assert.True(loop.FlowLMin <= LoopFlow.Compute(blocks, true, Pump)!.FlowLMin + 1e-9);
            },
            iter: 300
        );

    [Fact]
    public void Two_equal_square_law_blocks_settle_where_the_quadratic_says()
    {
        // Δp = k·Q² each; pump and rest square too: everything in Q², so Q² = head / (head/free² + rest/16 + 2k)
        var square = new Pump(40, 20, 0);
        var k = 3.0 / 4;
        var curve = DropCurve.Compute([new(2, k * 4), new(4, k * 16)])!;
        var loop = LoopFlow.Compute([new("P", curve, 0), new("Q", curve, 0)], parallel: false, square)!;
        Assert.Equal(Math.Sqrt(40 / (40 / 400.0 + 2 * k)), loop.FlowLMin, 9);
        var beside = LoopFlow.Compute([new("P", curve, 0), new("Q", curve, 0)], parallel: true, square)!;
        Assert.Equal(Math.Sqrt(40 / (40 / 400.0 + k / 4)), beside.FlowLMin, 9);
    }

    [Fact]
    public void A_drop_that_does_not_rise_is_no_drop_curve_and_a_single_point_is_turbulent()
    {
        Assert.Null(DropCurve.Compute([new(2, 5), new(4, 5)]));
        Assert.Null(DropCurve.Compute([]));
        Assert.Equal(5 * Math.Pow(2, 1.75), DropCurve.Compute([new(2, 5)])!.KPa(4), 9);
        var curve = DropCurve.Compute([new(2, 4.1), new(4, 13)])!;
        Assert.Equal(4.1, curve.KPa(2), 9);
        Assert.Equal(13, curve.KPa(4), 9);
        Assert.Equal(3.3, curve.FlowAt(curve.KPa(3.3)), 9);
    }

    [Fact]
    public void Between_its_points_a_curve_follows_each_pair_and_beyond_them_the_nearest()
    {
        // two laws that meet at 4 L/min: linear up to it, square after it; given out of order
        var curve = DropCurve.Compute([new(8, 40), new(2, 5), new(4, 10)])!;
        Assert.Equal(7.5, curve.KPa(3), 9);
        Assert.Equal(10 * 1.5 * 1.5, curve.KPa(6), 9);
        Assert.Equal(2.5, curve.KPa(1), 9);
        Assert.Equal(10 * 3 * 3, curve.KPa(12), 9);
        foreach (var flow in new[] { 0.5, 2, 3, 4, 6, 8, 12 })
            Assert.Equal(flow, curve.FlowAt(curve.KPa(flow)), 9);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    public void Nothing_flows_without_pressure_and_nothing_drops_without_flow(double none)
    {
        var curve = DropCurve.Compute([new(2, 5), new(4, 20)])!;
        Assert.Equal(0, curve.KPa(none));
        Assert.Equal(0, curve.FlowAt(none));
    }

    [Fact]
    public void Points_of_no_flow_or_no_drop_are_left_out_and_one_flow_counts_once()
    {
        Assert.Null(DropCurve.Compute([new(0, 5), new(4, 0), new(-1, 3), new(3, -1)]));
        var curve = DropCurve.Compute([new(0, 0), new(2, 5), new(2, 5), new(4, 20)])!;
        Assert.Equal(20 * 2.25, curve.KPa(6), 9);
        // one good point beside a bad one is a single point: turbulent
        Assert.Equal(5 * Math.Pow(3, 1.75), DropCurve.Compute([new(2, 5), new(4, 0)])!.KPa(6), 9);
        Assert.Equal(6, DropCurve.Compute([new(2, 5)])!.FlowAt(5 * Math.Pow(3, 1.75)), 9);
        Assert.Null(DropCurve.Compute([new(2, 5), new(4, 4.9)]));
    }

    [Fact]
    public void A_pump_gives_its_head_at_no_flow_and_its_free_flow_at_no_pressure()
    {
        Assert.Equal(45, Pump.KPa(0));
        Assert.Equal(0, Pump.KPa(15), 12);
        Assert.Equal(45 * (1 - 1 / 9.0), Pump.KPa(5), 12);
        Assert.Equal(12, Pump.Rest(4), 12);
        Assert.Equal(12 * Math.Pow(2, 1.75), Pump.Rest(8), 12);
        Assert.Equal(0, Pump.Rest(0));
    }

    [Fact]
    public void Each_blocks_coolant_comes_warmer_by_the_heat_of_those_before_it()
    {
        var curve = DropCurve.Compute([new(2, 2)])!;
        var loop = LoopFlow.Compute([new("P", curve, 100), new("Q", curve, 250), new("R", curve, 40)], false, Pump)!;
        var perWatt = 60 / (0.997 * 4180 * loop.FlowLMin);
        Assert.Equal([0, 100 * perWatt, 350 * perWatt], loop.Pairs.Select(p => p.InletRiseK), Close);
        Assert.Equal(["P", "Q", "R"], loop.Pairs.Select(p => p.Pair));
        Assert.All(loop.Pairs, p => Assert.Equal(1, p.Share, 12));
        Assert.Equal(Pump.Rest(loop.FlowLMin), loop.RestKPa, 12);
        Assert.False(loop.Parallel);
        Assert.Empty(loop.Unknown);
        Assert.Null(LoopFlow.Compute([], false, Pump));
        Assert.True(LoopFlow.Compute([new("P", curve, 1)], true, Pump)!.Parallel);
    }

    private static bool Close(double a, double b) => Math.Abs(a - b) < 1e-9;

    // ---- of an order

    private static Block With(params Point2[] drops) =>
        Sample.Block() with
        {
            Flow = drops.Length == 0 ? null : new(0.02, 0.03, 1, "K/W", drops),
        };

    private static readonly ShopSettings Shop = new();

    private static LoopResult? Loop(WorkOrder order, Ways? ways = null) =>
        OrderLoop.Compute(order, MatchStation.Judge(order, Shop), ways ?? new(), Shop);

    [Fact]
    public void An_order_without_a_block_or_without_a_stated_drop_has_no_loop()
    {
        Assert.Null(Loop(WorkOrder.Plain(Sample.Board())));
        Assert.Null(Loop(WorkOrder.Plain(Sample.Board(), With())));
        Assert.Null(Loop(WorkOrder.Plain(Sample.Board(), With(new Point2(0, 0)))));
    }

    [Fact]
    public void The_shops_pump_settles_on_the_block_and_a_block_without_a_drop_is_named()
    {
        var order = WorkOrder.Plain(Sample.Board(), With(new(2, 4), new(4, 14)));
        var loop = Loop(order)!;
        var alone = LoopFlow.Compute(
            [new(Pair.FirstKey, DropCurve.Compute([new(2, 4), new(4, 14)])!, 0)],
            false,
            new(Shop.PumpHeadKPa, Shop.PumpFreeLMin, Shop.LoopRestKPa)
        )!;
        Assert.Equal(alone.FlowLMin, loop.FlowLMin, 9);
        Assert.False(loop.Parallel);
        Assert.Empty(loop.Unknown);
        var two = Two(With(new(2, 4), new(4, 14)), With());
        Assert.Equal(["Q"], Loop(two)!.Unknown);
        Assert.Equal(["P"], Loop(two)!.Pairs.Select(p => p.Pair));
    }

    [Fact]
    public void What_a_block_covers_warms_the_coolant_of_the_next()
    {
        var drop = new Point2(3, 6);
        var order = Two(With(drop), With(drop));
        var loop = Loop(order)!;
        // the die under the first block: 240 W; the memory states none
        Assert.Equal([0, 240 * 60 / (0.997 * 4180 * loop.FlowLMin)], loop.Pairs.Select(p => p.InletRiseK), Close);
        var beside = Loop(order, new Ways { Loop = LoopJoin.Parallel })!;
        Assert.True(beside.Parallel);
        Assert.All(beside.Pairs, p => Assert.Equal(0.5, p.Share, 9));
    }

    [Fact]
    public void A_loop_holds_its_hose_by_bore_and_length_and_its_blocks_by_their_size()
    {
        var block = Sample.Block() with { Ports = [new Port("A", "G1/4", 0, 0, "front", null)] };
        var shop = new ShopSettings
        {
            HoseM = 2,
            HoseInnerMm = 10,
            ReservoirMl = 100,
            RadiatorMl = 50,
        };
        var volume = LoopVolume.Compute(WorkOrder.Plain(Sample.Board(), block), shop)!;
        Assert.Equal(2000 * Math.PI * 25 / 1000, volume.HoseMl, 9);
        Assert.Equal(block.Plates[0].Outline.Area / 1000, volume.BlocksMl, 9);
        Assert.Equal(volume.HoseMl + volume.BlocksMl + 150, volume.TotalMl, 0.5);
        // what has no port holds none
        Assert.Equal(0, LoopVolume.Compute(WorkOrder.Plain(Sample.Board(), Sample.Block()), shop)!.BlocksMl);
        Assert.Null(LoopVolume.Compute(WorkOrder.Plain(Sample.Board()), shop));
    }

    private static WorkOrder Two(Block first, Block second) =>
        new()
        {
            Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
            Pairs = [new("P", first with { Id = "k1" }, "A"), new("Q", second with { Id = "k2" }, "B")],
        };
}
