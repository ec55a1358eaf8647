using CsCheck;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Teardown;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What the further kinds of work rest on: pieces that come back, flows that add up, pads clear of holes, a star over all bolts.</summary>
public class KindTests
{
    private const int Cases = 600;

    /// <summary>Pieces one on top of the other and beside each other; some return, some stay; screws hold each to what lies below.</summary>
    private static readonly Gen<Assembly> Assemblies = Gen.Select(
        Gen.Int[1, 7],
        Gen.Int[0, 1 << 20],
        (n, bits) =>
        {
            var rng = new Random(bits);
            var pieces = Enumerable
                .Range(0, n)
                .Select(i => new Piece($"p{i}", $"piece {i}", rng.Next(2) == 0 ? Face.Front : Face.Back)
                {
                    Returns = rng.Next(2) == 0,
                    Stays = rng.Next(6) == 0,
                })
                .Select(p => p.Stays ? p with { Returns = false } : p)
                .ToList();
            var screws = pieces
                .Select(
                    (p, i) =>
                        new FastenerGroup
                        {
                            Id = $"f{i}",
                            Driver = rng.Next(2) == 0 ? "T6" : "PH1",
                            Thread = "M2.5",
                            LengthMm = 4 + rng.Next(3),
                            Count = 1 + rng.Next(4),
                            Face = p.Face,
                            Joins = [p.Id, rng.Next(2) == 0 || i == 0 ? Assembly.BoardId : $"p{rng.Next(i)}"],
                            HiddenBy = i + 1 < n && rng.Next(3) == 0 ? $"p{i + 1 + rng.Next(n - i - 1)}" : null,
                        }
                )
                .ToList();
            var leads = pieces
                .Where(_ => rng.Next(3) == 0)
                .Select(p => new Lead($"w{p.Id}", "fan", [p.Id, Assembly.BoardId], "squeeze", 30, Face.Front)
                {
                    MovesTo = rng.Next(4) == 0 ? "block" : null,
                })
                .ToList();
            return new Assembly
            {
                Pieces = pieces,
                Fasteners = screws,
                Leads = leads,
            };
        }
    );

    [Fact]
    public void Every_piece_that_returns_is_there_at_the_end_in_an_order_the_assembly_allows() =>
        Assemblies.Sample(
            assembly =>
            {
                var board = Sample.Board() with { Assembly = assembly };
                TeardownPlan plan;
                try
                {
                    plan = TeardownPlanner.Plan(board);
                }
                catch (InputException)
                {
                    // pieces that wait for each other can not come apart at all
                    return true;
                }
                var acts = ComesBack.Of(assembly, plan).Select(a => a.Step).ToList();
                var set = acts.Where(a => a.Action == RestoreAction.Set).Select(a => a.Target).ToHashSet();
                Assert.Equal(assembly.Pieces.Where(p => p.Returns).Select(p => p.Id).ToHashSet(), set);
                Assert.Equal(acts.Count, acts.Select(a => a.Target).Distinct().Count());
                // what stays is touched by no step
                var stays = assembly.Pieces.Where(p => p.Stays).Select(p => p.Id).ToHashSet();
                Assert.DoesNotContain(plan.Steps, s => stays.Contains(s.Target));
                int At(string id) => acts.FindIndex(a => a.Target == id);
                foreach (var f in assembly.Fasteners.Where(f => At(f.Id) >= 0))
                {
                    // a screw goes in once all it holds is there, and before what hides it
                    foreach (var p in f.Joins.Where(set.Contains))
                        Assert.True(At(p) < At(f.Id), $"{f.Id} before {p}");
                    if (f.HiddenBy is { } cover && set.Contains(cover))
                        Assert.True(At(f.Id) < At(cover), $"{f.Id} after {cover}");
                }
                foreach (var lead in assembly.Leads.Where(l => l.MovesTo is not null))
                    Assert.True(At(lead.Id) >= 0, $"{lead.Id} was not moved over");
                return true;
            },
            iter: Cases
        );

    [Fact]
    public void A_piece_that_stays_is_no_step_and_what_only_holds_it_stays_in()
    {
        var assembly = new Assembly
        {
            Pieces =
            [
                new("cooler", "cooler", Face.Front),
                new("plate", "stock back plate", Face.Back) { Stays = true },
            ],
            Fasteners =
            [
                Screws("F1", ["cooler", "plate", Assembly.BoardId]),
                Screws("F2", ["plate", Assembly.BoardId]),
            ],
        };
        var plan = TeardownPlanner.Plan(Sample.Board() with { Assembly = assembly });
        Assert.Equal(["F1", "cooler"], plan.Steps.Select(s => s.Target));
        Assert.Empty(ComesBack.Of(assembly, plan));
    }

    [Fact]
    public void A_power_lead_moves_over_and_its_bracket_takes_its_own_longer_screw()
    {
        var assembly = new Assembly
        {
            Pieces = [new("shroud", "shroud", Face.Front), new("clip", "lead bracket", Face.Front) { Returns = true }],
            Fasteners =
            [
                Screws("F1", ["shroud", Assembly.BoardId]),
                Screws("F2", ["clip", "shroud"]) with
                {
                    LengthMm = 9,
                    Count = 1,
                },
            ],
            Leads =
            [
                new("W1", "power", ["shroud", Assembly.BoardId], "squeeze", 60, Face.Front, "clip")
                {
                    MovesTo = "block",
                },
            ],
        };
        var plan = TeardownPlanner.Plan(Sample.Board() with { Assembly = assembly });
        var targets = plan.Steps.Select(s => s.Target).ToList();
        Assert.True(targets.IndexOf("clip") < targets.IndexOf("W1"), "the lead is hidden until its bracket is off");
        Assert.Equal(2, plan.Tray.Count);
        var acts = ComesBack.Of(assembly, plan);
        Assert.Equal(["W1", "clip", "F2"], acts.Select(a => a.Step.Target));
        Assert.Equal([true, false, true], acts.Select(a => a.IntoBlock));
    }

    private static FastenerGroup Screws(string id, string[] joins) =>
        new()
        {
            Id = id,
            Driver = "T6",
            Thread = "M2.5",
            LengthMm = 5,
            Count = 4,
            Face = Face.Back,
            Joins = joins,
        };

    // ---- flow

    private static readonly Gen<LoopBlock> LoopBlocks = Gen.Select(
        Gen.Double[0.5, 12],
        Gen.Double[1.1, 3],
        Gen.Double[0, 400],
        (at2, n, watts) => new LoopBlock("P", DropCurve.Of([new(2, at2), new(4, at2 * Math.Pow(2, n))])!, watts)
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
                var loop = LoopFlow.Of(blocks, parallel: true, Pump)!;
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
                var loop = LoopFlow.Of(blocks, parallel: false, Pump)!;
                Assert.All(loop.Pairs, p => Assert.Equal(loop.FlowLMin, p.FlowLMin, 12));
                Assert.Equal(loop.BlocksKPa, loop.Pairs.Sum(p => p.DropKPa), loop.BlocksKPa * 1e-9);
                // the pump's pressure is what loop and blocks take
                Assert.Equal(Pump.KPa(loop.FlowLMin), loop.BlocksKPa + loop.RestKPa, 6);
                // the last inlet is warmer by the heat of all before it: W = ρ·c·Q·ΔT with Q in L/min
                var before = blocks.SkipLast(1).Sum(b => b.Watts);
                Assert.Equal(before / (0.997 * 4180 * loop.FlowLMin / 60), loop.Pairs[^1].InletRiseK, 9);
                // never more flow than side by side
                Assert.True(loop.FlowLMin <= LoopFlow.Of(blocks, true, Pump)!.FlowLMin + 1e-9);
            },
            iter: 300
        );

    [Fact]
    public void Two_equal_square_law_blocks_settle_where_the_quadratic_says()
    {
        // Δp = k·Q² each; pump and rest square too: everything in Q², so Q² = head / (head/free² + rest/16 + 2k)
        var square = new Pump(40, 20, 0);
        var k = 3.0 / 4;
        var curve = DropCurve.Of([new(2, k * 4), new(4, k * 16)])!;
        var loop = LoopFlow.Of([new("P", curve, 0), new("Q", curve, 0)], parallel: false, square)!;
        Assert.Equal(Math.Sqrt(40 / (40 / 400.0 + 2 * k)), loop.FlowLMin, 9);
        var beside = LoopFlow.Of([new("P", curve, 0), new("Q", curve, 0)], parallel: true, square)!;
        Assert.Equal(Math.Sqrt(40 / (40 / 400.0 + k / 4)), beside.FlowLMin, 9);
    }

    [Fact]
    public void A_drop_that_does_not_rise_is_no_drop_curve_and_a_single_point_is_turbulent()
    {
        Assert.Null(DropCurve.Of([new(2, 5), new(4, 5)]));
        Assert.Null(DropCurve.Of([]));
        Assert.Equal(5 * Math.Pow(2, 1.75), DropCurve.Of([new(2, 5)])!.KPa(4), 9);
        var curve = DropCurve.Of([new(2, 4.1), new(4, 13)])!;
        Assert.Equal(4.1, curve.KPa(2), 9);
        Assert.Equal(13, curve.KPa(4), 9);
        Assert.Equal(3.3, curve.FlowAt(curve.KPa(3.3)), 9);
    }

    // ---- carriers

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
