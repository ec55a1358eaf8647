using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Several boards and blocks: which of them is proved, and which verdict the station tells.</summary>
public class ProveStationTests
{
    private static readonly WorkOrder Order = new()
    {
        Pieces = [new("A", Sample.Board()), new("B", Sample.Board())],
        Pairs = [new("P", Sample.Block(), "A"), new("Q", Sample.Block(), "B")],
    };
    private static readonly JobPlan Plan = JobPlanner.Plan(
        new()
        {
            Order = Order,
            Drawer = new() { Materials = [Sample.Soft], Pastes = [new("t", Sample.Grey, 5, 24)] },
        }
    );

    private static ProveResult Of(
        PadsResult? pads = null,
        LoopResult? loop = null,
        WorkOrder? order = null,
        params Reading[] readings
    ) => Of(null, readings, pads, loop, order);

    private static ProveResult Of(
        PartKind? complaint,
        Reading[] readings,
        PadsResult? pads = null,
        LoopResult? loop = null,
        WorkOrder? order = null
    )
    {
        var earlier = EarlierResults.None.With(Plan.Match).With(pads ?? Plan.Pads).With(Plan.Paste);
        return new ProveStation { Readings = readings, ComplainedOf = complaint }.Plan(
            Sample.Context(order ?? Order, Drawer.Empty),
            loop is null ? earlier : earlier.With(loop)
        );
    }

    private static Reading At(Phase phase, double dieC, string? board = null) =>
        new(phase, 20, phase == Phase.After ? 30 : null, dieC, null, null, 200, phase == Phase.After ? 3 : null, null)
        {
            Board = board,
        };

    private static WorkStep[] After(ProveResult r) => [.. r.Sheet.Steps.Where(s => s.Id.Target == "after")];

    /// <summary>The second pair's die is not pressed.</summary>
    private static PadsResult Second(Func<PairPads, PairPads> change) =>
        Plan.Pads with
        {
            Pairs = [Plan.Pads.Pairs[0], change(Plan.Pads.Pairs[1])],
        };

    [Fact]
    public void Pairs_that_press_a_die_are_proved_each_on_its_own_board()
    {
        var both = Of();
        Assert.Equal([("P", "A"), ("Q", "B")], both.Pairs.Select(p => (p.Pair, p.Board)));
        Assert.Equal(["A", "B"], After(both).Select(s => s.Board));
        var none = Of(Second(p => p with { Seating = p.Seating! with { Dies = [] } }));
        Assert.Equal(["P"], none.Pairs.Select(p => p.Pair));
        Assert.Equal(["A"], After(none).Select(s => s.Board));
        Assert.Equal(["P"], Of(Second(p => p with { Seating = null })).Pairs.Select(p => p.Pair));
        // the first is proved whatever it presses
        var first = Plan.Pads with
        {
            Pairs = [Plan.Pads.Pairs[0] with { Seating = null }, Plan.Pads.Pairs[1]],
        };
        Assert.Equal(["P", "Q"], Of(first).Pairs.Select(p => p.Pair));
        var nothing = Of(Plan.Pads with { Pairs = [] });
        Assert.Null(nothing.First);
        Assert.Equal(("no readings yet", false), (nothing.Sheet.Summary, nothing.Sheet.Trouble));
        Assert.Equal(["A"], After(nothing).Select(s => s.Board));
    }

    [Fact]
    public void The_station_tells_what_is_wrong_first_else_the_first_pair()
    {
        Reading[] good = [At(Phase.Before, 80), At(Phase.After, 50)];
        var sound = Of(null, null, null, good);
        Assert.Equal(("30 K cooler", false), (sound.Sheet.Summary, sound.Sheet.Trouble));
        Assert.Same(sound.Pairs[0].Comparison, sound.First);
        var wrong = Of(null, null, null, [.. good, At(Phase.Before, 60, "B"), At(Phase.After, 90, "B")]);
        Assert.Equal(("30 K warmer than stock", true), (wrong.Sheet.Summary, wrong.Sheet.Trouble));
        Assert.Equal("30 K cooler", wrong.First!.Verdict);
        // what was measured on a board stands at its own step
        Assert.StartsWith("Before: die 60.0 K over", After(wrong)[0].Detail, StringComparison.Ordinal);
        Assert.StartsWith("Before: die 40.0 K over", After(wrong)[1].Detail, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.2, true)]
    [InlineData(1.7, true)]
    [InlineData(0.19, false)]
    public void Coolant_that_comes_in_warmer_is_read_at_the_block_itself(double rise, bool told)
    {
        var loop = new LoopResult(false, 3, 10, 5, [new("P", 3, 5, 1, 0), new("Q", 3, 5, 1, rise)]);
        var steps = After(Of(loop: loop));
        Assert.DoesNotContain("comes in", steps[0].Detail, StringComparison.Ordinal);
        Assert.Equal(
            told,
            steps[1]
                .Detail!.ToString()
                .EndsWith(
                    FormattableString.Invariant(
                        $" Its coolant comes in {rise:0.0} K warmer than at the first block: read it there."
                    ),
                    StringComparison.Ordinal
                )
        );
        // a pair that the loop knows nothing of
        Assert.DoesNotContain(
            "comes in",
            After(Of(loop: loop with { Pairs = [] }))[1].Detail,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Dies_that_give_heat_are_looked_at()
    {
        var board = Sample.Board(
            more:
            [
                Sample.Part("U2", PartKind.Die, 40, 0, 10, 8, 2.1),
                Sample.Part("U3", PartKind.Lid, 40, 20, 10, 8, 2.1) with
                {
                    DissipationW = 20,
                },
                Sample.Part("R9", PartKind.PowerStage, 40, -20, 5, 5, 1) with
                {
                    DissipationW = 4,
                },
            ]
        );
        var order = Order with { Pieces = [new("A", board), Order.Pieces[1]] };
        Assert.Equal(["U1", "U3"], After(Of(order: order))[0].Targets);
    }

    [Fact]
    public void A_card_is_looked_at_along_its_edges_and_blocks_are_bled_when_there_are_several()
    {
        var steps = Of().Sheet.Steps;
        var looks = steps.Where(s => s.Id.Target == "edges").ToList();
        Assert.Equal(["A", "B"], looks.Select(s => s.Board));
        // what the block touches is named, and no die where none is pressed
        Assert.All(looks, s => Assert.Contains("memory", s.Title, StringComparison.Ordinal));
        Assert.All(looks, s => Assert.Contains("the die", s.Title, StringComparison.Ordinal));
        Assert.Equal(
            "Fill the loop with coolant and bleed all 2 blocks",
            steps.Single(s => s.Id.Target == "fill").Title
        );
        var one = Of(
            order: Order with
            {
                Pairs = [Order.Pairs[0]],
            },
            pads: Plan.Pads with
            {
                Pairs = [Plan.Pads.Pairs[0]],
            }
        );
        Assert.Equal(
            "Fill the loop with coolant and bleed it",
            one.Sheet.Steps.Single(s => s.Id.Target == "fill").Title
        );
    }

    [Fact]
    public void What_was_complained_of_is_read_first_and_without_it_nothing_is_proved()
    {
        ProveResult Told(PartKind? complaint, params Reading[] readings) => Of(complaint, readings);
        Reading[] die = [At(Phase.Before, 80), At(Phase.After, 45)];
        Reading[] both = [die[0] with { MemoryC = 90 }, die[1] with { MemoryC = 55 }];
        Assert.False(Told(null, die).Pairs[0].Comparison.Trouble);
        var unread = Told(PartKind.Memory, die);
        Assert.Equal(("memory not read: complained of", true), (unread.Sheet.Summary, unread.Sheet.Trouble));
        Assert.StartsWith("The memory first", After(unread)[0].Detail, StringComparison.Ordinal);
        Assert.DoesNotContain("complained", Told(PartKind.Memory, both).Sheet.Summary, StringComparison.Ordinal);
        // before the work there is nothing to miss
        Assert.DoesNotContain("complained", Told(PartKind.Memory, die[0]).Sheet.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void What_a_sensor_is_known_to_be_off_by_is_taken_off_its_own_boards_readings()
    {
        SensorOffset[] offsets = [new(null, PartKind.Memory, 3), new("B", PartKind.Die, -2)];
        var read = At(Phase.After, 50) with { MemoryC = 60, PowerStageC = 70, HotspotC = 55 };
        var first = SensorOffsets.Without(read, offsets, "A");
        Assert.Equal((50, 57, 70, 55), (first.DieC, first.MemoryC, first.PowerStageC, first.HotspotC));
        var second = SensorOffsets.Without(read with { Board = "B" }, offsets, "A");
        Assert.Equal((52, 60, 57), (second.DieC, second.MemoryC, second.HotspotC));
    }
}
