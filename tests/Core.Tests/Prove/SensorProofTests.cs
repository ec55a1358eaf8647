using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Sockets;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Sensors against the whole way to the coolant, by intervals: bare dies, lids, cards and modules on one scale.</summary>
public class SensorProofTests
{
    private const double Flow = 3,
        CoolantC = 28;

    private static readonly JobPlan Card = Plan(
            WorkOrder.Plain(Demo.Board("tern-460-r2"), Demo.Block("brineworks-full-460"))
        ),
        Lidded = Plan(Socketed(bare: false)),
        Bare = Plan(Socketed(bare: true)),
        Modules = Plan(
            CarrierOrder.Compose(
                new()
                {
                    Pieces = [new("A", Demo.Board("shingle-16"))],
                    Pairs = [new("P", Demo.Block("lathe-loch-row-m"), "A")],
                }
            )
        );

    private static WorkOrder Socketed(bool bare) =>
        SeatedOrder.Compose(
            new()
            {
                Pieces =
                [
                    new("A", Demo.Board("orrery-p8"))
                    {
                        Seated = new(Demo.Socket("gull"), Demo.Board("orrery-p8"), null, bare),
                    },
                ],
                Pairs = [new("P", Demo.Block("lathe-loch-jet-p"))],
            }
        );

    private static JobPlan Plan(WorkOrder order) => JobPlanner.Plan(Context(order));

    private static JobContext Context(WorkOrder order)
    {
        // every material that a kit names, alike
        var soft = Sample.Soft with
        {
            ConductivityWPerMK = 6,
        };
        var named = order.Pairs.SelectMany(p => p.Block.Kit?.Pads ?? []).Select(p => p.Material).Distinct();
        return new()
        {
            Order = order,
            Drawer = new()
            {
                Materials = [.. named.Select(id => soft with { Id = id })],
                Pastes = [new("t", Sample.Grey with { ConductivityWPerMK = 8 }, 5, 24)],
            },
        };
    }

    private static ExpectResult Expected(JobPlan plan, double powerW) =>
        ExpectedOf.Compute(plan.Pads.Pairs[0], new(powerW, CoolantC, Flow), ExpectedOf.FromNothing);

    private static Reading Run(double dieC, double powerW = 200, double? memoryC = null) =>
        new(Phase.After, 21, CoolantC, dieC, null, memoryC, powerW, Flow, null);

    private static IReadOnlyList<SensorProof> Judge(JobPlan plan, params Reading[] runs)
    {
        // the plates go with the power: one is enough
        var told = new Dictionary<HeatConditions, ExpectResult>();
        var pair = plan.Pads.Pairs[0];
        return SensorProofs.Compute(
            runs,
            ExpectedOf.Board(pair),
            at =>
                told.TryGetValue(at, out var known)
                    ? known
                    : told[at] = ExpectedOf.Compute(pair, at, ExpectedOf.FromNothing)
        );
    }

    [Fact]
    public void Lidded_and_bare_are_as_expected_where_the_direct_die_model_puts_them()
    {
        const double watts = 300;
        var (socket, processor, block) = (Demo.Socket("gull"), Demo.Board("orrery-p8"), Demo.Block("lathe-loch-jet-p"));
        double Film(JobPlan p) => p.Pads.Pairs[0].Seating!.Dies[0].BondLinesUm.Average();
        double Paste(JobPlan p) => p.Pads.Pairs[0].Stack!.Paste.ConductivityWPerMK;
        // its block is told from the wet side: the base under the lid is taken off the curve
        var flow = block.Flow!;
        var curve = flow.AKPerW + flow.BKPerW * Math.Pow(Flow, -flow.N);
        DirectDieResult At(double wet) =>
            DirectDie.Compute(
                new(socket, processor, block, watts, wet, Paste(Lidded), new(Film(Bare), Paste(Bare)), Film(Lidded))
            );
        var first = At(curve);
        var wet = curve - first.LiddedLayers.Single(l => l.Layer == "base").K / watts;
        var model = At(wet);
        var mean = CoolantC + Coolant.RiseK(watts, Flow) / 2;
        foreach (var (plan, kPerW) in new[] { (Lidded, model.LiddedKPerW), (Bare, model.DirectKPerW) })
        {
            var proof = Assert.Single(Judge(plan, Run(mean + watts * (kPerW + wet), watts)));
            Assert.Equal((PartKind.Die, SensorState.AsExpected), (proof.Kind, proof.State));
        }
        // what the lid costs would be noticed on a bare die
        Assert.Equal(SensorState.Open, Judge(Bare, Run(mean + watts * (model.LiddedKPerW + wet), watts))[0].State);
    }

    [Fact]
    public void A_modules_chips_are_told_by_pad_carrier_edge_and_curve()
    {
        var carried = Modules.Pads.Pairs[0].Carried!;
        var told = Expected(Modules, 7.2);
        Assert.Equal(7.2, told.Parts.Sum(p => p.Watts), 9);
        var (block, module) = (carried.Block, carried.Board);
        var flow = block.Flow!;
        var chips = module.Parts.Where(p => p is { Kind: PartKind.Memory, Face: Face.Front }).ToList();
        var front = block.Carriers.Single(c => c.Face == Face.Front);
        var edge = EdgePads.Compute(front);
        var soft = carried.Materials[carried.Pads[0].Material];
        double Way(double gap, double area) =>
            gap * 1e-3 / ((soft.ConductivityWPerMK ?? soft.ClaimedWPerMK)!.Value * area * 1e-6)
            + 2 * (soft.ContactMm2KPerW ?? 10) / area;
        var top = front.Outline.Bounds.MaxY;
        // all chips of a face in one row: everything flows up from the same height
        var up = chips.Sum(c => c.DissipationW) * (top - chips[0].Top().Centroid.Y) * 1e-3 / (150 * 2e-3 * 0.13);
        var c =
            told.CoolantMeanC
            + 7.2 * (flow.AKPerW + flow.BKPerW * Math.Pow(Flow, -flow.N))
            + chips.Sum(x => x.DissipationW) * Way(0.5 * 0.7, edge.Sum(e => e.LengthMm * e.WidthMm))
            + up
            + 0.45 * Way(carried.Pads[0].ThicknessMm * 0.7, 9 * 11);
        Assert.Equal(c, told.Parts.Single(p => p.Part == chips[0].Id).C, 6);
        // its own sensor is the module's
        Assert.Equal(
            (PartKind.Memory, SensorState.Poor),
            Judge(Modules, Run(c + 9, 7.2)).Select(p => (p.Kind, p.State)).Single()
        );
    }

    [Fact]
    public void A_mainboards_meter_counts_the_package_and_a_cards_the_whole_card()
    {
        double Board(Board b, double readW) => JobConditions.From(Run(50, readW), b).PowerW!.Value;
        var main = Sample.Board(
            0,
            Sample.Part("Q1", PartKind.PowerStage, -50, 0, 8, 8, 3) with
            {
                DissipationW = 60,
            }
        ) with
        {
            Kind = BoardKind.Mainboard,
        };
        var die = main.Parts.Where(p => p.Kind == PartKind.Die).Sum(p => p.DissipationW);
        var all = main.Parts.Sum(p => p.DissipationW);
        Assert.Equal(all, Board(main, die), 9);
        Assert.Equal(die, Board(main with { Kind = BoardKind.GraphicsCard }, die), 9);
    }

    [Fact]
    public void A_power_stage_under_another_block_of_the_board_is_judged_with_its_boards_first()
    {
        var board = Demo.Board("bora-b3-r1");
        var plan = JobPlanner.Plan(
            Context(
                new()
                {
                    Pieces = [new("A", board)],
                    Pairs = [new("P", Demo.Block("copperwell-chip-45")), new("Q", Demo.Block("copperwell-rung-68"))],
                }
            ) with
            {
                Readings = [Run(40, 79) with { PowerStageC = 160 }],
            }
        );
        var first = plan.Prove.Pairs[0].Comparison.Sensors;
        Assert.Contains(first, s => s is { Kind: PartKind.PowerStage, State: SensorState.Poor });
        Assert.StartsWith("poor, power stage", plan.Prove.Sheet.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void Runs_at_several_powers_are_one_fit_and_not_the_last_ones_word()
    {
        double Die(double watts) => Expected(Card, watts).Parts.Single(p => p.Part == "U1").C;
        // 1 K over at the last's power at every power, then one run that is off by 4 K
        Reading[] runs = [.. new double[] { 120, 180, 240, 240 }.Select(w => Run(Die(w) + w / 240, w))];
        runs[^1] = runs[^1] with { DieC = runs[^1].DieC + 4 };
        var proof = Judge(Card, runs).Single();
        // a run counts by the square of its power: 1/4, 9/16, 1, 1
        Assert.Equal((4, Math.Round(1 + 4 / (0.25 + 0.5625 + 2), 9)), (proof.Runs, Math.Round(proof.OverK, 9)));
        Assert.Equal(SensorState.AsExpected, proof.State);
        // runs of another day do not count
        Assert.Equal(
            1,
            Judge(Card, runs[0] with { On = new(2026, 1, 1) }, runs[1] with { On = new(2026, 6, 1) })[0].Runs
        );
    }

    [Fact]
    public void What_is_warmer_than_chance_but_not_yet_proved_asks_for_more_runs_that_can_settle_it()
    {
        double die = Expected(Card, 200).Parts.Single(p => p.Part == "U1").C,
            memory = Expected(Card, 200).Parts.Where(p => p.Part.StartsWith('M')).Max(p => p.C);
        var open = Judge(Card, Run(die + 3, 200, memory + 9));
        Assert.Equal([SensorState.Open, SensorState.Poor], open.Select(p => p.State));
        Assert.Equal(2, open[0].MoreRuns);
        Assert.Null(open[1].MoreRuns);
        Assert.Equal(
            "poor, memory 9 K over expected",
            Comparison.Create([Run(die + 3, 200, memory + 9)], open).Verdict
        );
        Assert.Null(Judge(Card, Run(die + 3), Run(die + 3), Run(die + 3))[0].MoreRuns);
        Assert.Equal(SensorState.Better, Judge(Card, Run(die - 6))[0].State);
        Assert.Empty(Judge(Card, Run(die) with { FlowLMin = null }));
    }

    [Fact]
    public void Few_sound_jobs_are_called_poor_and_few_faults_pass_unasked()
    {
        const int each = 250;
        var draws = new NormalDraws(7);
        (JobPlan Plan, double Watts, PartKind Kind)[] kinds =
        [
            (Card, 240, PartKind.Die),
            (Lidded, 170, PartKind.Die),
            (Bare, 170, PartKind.Die),
            (Modules, 7.2, PartKind.Memory),
        ];
        int poor = 0,
            missed = 0;
        foreach (var (plan, watts, kind) in kinds)
        {
            var told = Expected(plan, watts);
            var board = ExpectedOf.Board(plan.Pads.Pairs[0]);
            var part = told.Parts.Where(p => board.FindPart(p.Part)!.Kind == kind).MaxBy(p => p.C)!;
            for (var k = 0; k < each; k++)
            {
                // the card is off the model as the model says it may be, and its sensors are off
                var true_ =
                    part.C
                    + Math.Sqrt(HeatError.Variance(0, part.C - told.CoolantMeanC - part.ThroughK)) * draws.Next()
                    + part.ThroughK * HeatError.Own * draws.Next();
                var read =
                    CoolantC + (true_ - CoolantC) * (1 + 0.03 * draws.Next()) + draws.Next() + 0.3 * draws.Next();
                SensorState State(double c) =>
                    SensorProofs.Compute([Run(c, watts)], board, _ => told).Single(p => p.Kind == kind).State;
                poor += State(read) == SensorState.Poor ? 1 : 0;
                missed += State(read + 5) is SensorState.Poor or SensorState.Open ? 0 : 1;
            }
        }
        Assert.InRange(poor, 0, 0.05 * each * kinds.Length);
        Assert.InRange(missed, 0, 0.10 * each * kinds.Length);
    }
}
