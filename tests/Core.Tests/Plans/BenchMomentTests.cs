using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Moment;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What is told right before a step: what lies where, what a turn does, what is reached for the last time.</summary>
public class BenchMomentTests
{
    private const string Then = "2026-11-30T09:00:00.000Z";

    private static (WorkOrder Order, JobPlan Plan) Planned(WorkOrder order)
    {
        var plan = JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = new()
                {
                    Materials = [Sample.Soft with { Id = "soft-3" }, Sample.Soft with { Id = "firm-6" }],
                    Pads = [new("s", "soft-3", 1, 300, 300, 4, false)],
                    Pastes = [new("t", Sample.Grey, 5, 24)],
                },
            }
        );
        return (order, plan);
    }

    private static readonly (WorkOrder Order, JobPlan Plan) Plain = Planned(
        WorkOrder.Plain(Demo.Board("tern-460-r2"), Demo.Block("brineworks-full-460"))
    );

    /// <summary>The moment of a step, everything before another one signed.</summary>
    private static BenchMoment At((WorkOrder Order, JobPlan Plan) job, string step, string? signedTo = null)
    {
        List<WorkStep> steps = [.. job.Plan.Steps];
        var signed = steps.TakeWhile(s => s.Id.ToString() != (signedTo ?? step)).ToDictionary(s => s.Id, _ => Then);
        return BenchMoment.Create(job.Order, job.Plan, steps.First(s => s.Id.ToString() == step), signed);
    }

    [Fact]
    public void What_no_screw_holds_is_held_by_a_hand_while_the_board_is_turned()
    {
        var screwed = At(Plain, "teardown.F2").Turn!;
        Assert.Equal(Face.Back, screwed.Up);
        Assert.Equal(
            [("fin stack", TurnHold.Screws), ("stock back plate", TurnHold.Screws)],
            screwed.Things.Select(t => (t.Name, t.HeldBy))
        );
        Assert.Null(screwed.HandMm);
        var turn = At(Plain, "teardown.cooler").Turn!;
        var held = Assert.Single(turn.Things);
        Assert.InRange(turn.HandMm!.Value, held.FromMm, held.ToMm);
        Assert.Equal(("fin stack", TurnHold.Hand), (held.Name, held.HeldBy));
        var pads = Assert.Single(At(Plain, "mount.lower").Turn!.Things);
        Assert.Equal(("23 pads", TurnHold.Tack), (pads.Name, pads.HeldBy));
        Assert.Null(At(Plain, "mount.start").Turn);
        // while the cooler is on, the board comes down on it; with open pads it is not laid down at all
        Assert.EndsWith("on the fin stack", screwed.Rest, StringComparison.Ordinal);
        Assert.Empty(screwed.Below);
        Assert.StartsWith("it stays in both hands", At(Plain, "mount.lower").Turn!.Rest, StringComparison.Ordinal);
    }

    [Fact]
    public void Paste_alone_keeps_a_board_in_the_hands_too()
    {
        var core = Planned(WorkOrder.Plain(Demo.Board("skua-380-r1"), Demo.Block("lathe-loch-core-u")));
        var turn = At(core, "mount.lower").Turn!;
        Assert.DoesNotContain(turn.Things, t => t.Pads);
        Assert.StartsWith("it stays in both hands", turn.Rest, StringComparison.Ordinal);
    }

    [Fact]
    public void A_bare_face_comes_down_on_support_deeper_than_its_tallest_part()
    {
        var job = Planned(WorkOrder.Plain(Demo.Board("lantern-l2"), Demo.Block("undertow-shell-l")));
        var turn = At(job, "prep.clean-memory-back").Turn!;
        var front = job.Order.First.Board.Parts.Where(p => p.Face == Face.Front && p.HeightMm > 0).ToList();
        Assert.Equal(front.Count, turn.Below.Count);
        var tallest = front.MaxBy(p => p.HeightMm)!;
        Assert.Equal(tallest.HeightMm, turn.Below[^1].HeightMm);
        Assert.Contains(
            FormattableString.Invariant($"deeper than {tallest.HeightMm:0.0} mm"),
            turn.Rest,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_block_that_is_turned_with_its_board_hangs_by_two_screws_across_from_each_other()
    {
        var console = Planned(WorkOrder.Plain(Demo.Board("lantern-l2"), Demo.Block("undertow-shell-l")));
        var half = At(console, "mount.again-supply").Turn!.Things.First(t => t.Name == "front half of the block");
        Assert.Equal(TurnHold.Screws, half.HeldBy);
        var (one, two) = (half.Screws[0], half.Screws[1]);
        Assert.Equal((1, 2), (one.Number!.Value, two.Number!.Value));
        Assert.Equal(0, one.AtMm + two.AtMm, 6);
    }

    [Fact]
    public void The_last_look_names_what_is_done_what_this_step_does_and_what_is_open()
    {
        static List<(ChanceState, string?)> States(BenchMoment m) =>
            [.. m.Closes!.Items.Select(i => (i.State, i.By?.ToString()))];
        // faces, pads, films, paste
        Assert.Equal(
            [(ChanceState.Done, null), (ChanceState.Done, null), (ChanceState.Here, null), (ChanceState.Done, null)],
            States(At(Plain, "mount.lower"))
        );
        var early = States(At(Plain, "mount.lower", "pads.cut-1"));
        Assert.Equal(ChanceState.Done, early[0].Item1);
        Assert.All(early.Skip(1), i => Assert.Equal(ChanceState.Open, i.Item1));
        Assert.StartsWith("paste.", early[3].Item2);
        Assert.Null(At(Plain, "mount.start").Closes);
        // a ribbon that nobody has opened yet will be: it is not done
        var twin = Planned(WorkOrder.From(Demo.Card("petrel-twin"), [new("P", Demo.Block("undertow-clamp-petrel"))]));
        var ribbon = At(twin, "mount.lower", "teardown.power").Closes!.Items[0];
        Assert.Equal((ChanceState.Open, "mount.ribbon-R1"), (ribbon.State, ribbon.By?.ToString()));
        Assert.Equal(ChanceState.Done, At(twin, "mount.lower").Closes!.Items[0].State);
    }

    [Fact]
    public void What_is_open_waits_from_its_signature_until_something_closes_over_it()
    {
        Assert.Empty(At(Plain, "teardown.cooler").Open);
        Assert.Equal([("24 faces are clean and open", Then)], Open("pads.cut-1"));
        Assert.Contains(("paste is spread", Then), Open("mount.lower"));
        Assert.Empty(Open("mount.start"));

        static List<(string, string)> Open(string step) => [.. At(Plain, step).Open.Select(e => (e.Text, e.Since))];
    }

    [Fact]
    public void A_board_shows_what_lies_over_it_and_how_each_face_stands()
    {
        var stock = At(Plain, "teardown.power").Boards[0];
        Assert.Contains(stock.Lies, l => l is { Name: "fin stack", Stock: true, Face: Face.Front });
        Assert.All(stock.Leads, l => Assert.True(l.Plugged));
        var bare = At(Plain, "prep.clean-memory").Boards[0];
        Assert.DoesNotContain(bare.Lies, l => l.Stock);
        Assert.Equal(PartCondition.Clean, bare.Parts.First(p => p.Part == "U1").Is);
        Assert.Equal(PartCondition.Dirty, bare.Parts.First(p => p.Part == "M1").Is);
        var laid = At(Plain, "mount.lower").Boards[0];
        Assert.Equal(PartCondition.Pasted, laid.Parts.First(p => p.Part == "U1").Is);
        Assert.Equal(PartCondition.Padded, laid.Parts.First(p => p.Part == "M1").Is);
        Assert.Equal(PartCondition.Covered, At(Plain, "mount.start").Boards[0].Parts.First(p => p.Part == "U1").Is);
    }
}
