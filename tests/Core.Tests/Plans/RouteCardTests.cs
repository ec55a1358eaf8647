using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>How steps stand and what a plan's route card shows of it.</summary>
public class RouteCardTests
{
    private static readonly JobPlan Plan = JobPlanner.Plan(
        new()
        {
            Order = WorkOrder.Plain(Sample.Board(), Sample.Block()),
            Drawer = new()
            {
                Materials = [Sample.Soft],
                Pads = [new("s", "soft", 1, 100, 100, 1, false)],
                Pastes = [new("t", Sample.Grey, 5, 24)],
            },
        }
    );

    /// <summary>Turns were steps of their own once: where all of a pass are signed, the pass is.</summary>
    [Fact]
    public void A_pass_stands_signed_where_each_of_its_turns_was_signed_before_passes_were_steps()
    {
        var pass = Plan.Steps.First(s => s.Turns.Count > 0);
        Assert.Equal(pass.Turns.Select(t => $"mount.turn-1-{t.Hole}"), pass.Once.Select(o => o.ToString()));
        List<SignEvent> events = [.. pass.Once.Select(id => new SignEvent(id, true, "QA", "2026-01-01", null, null))];
        StepStand Stand(List<SignEvent> of) => StepStands.Compute([pass], StepStands.Gathered(Plan, of), []).Single();
        Assert.Equal(
            (true, "QA", 4, 0),
            (Stand(events).Signed, Stand(events).By, Stand(events).Count, Stand(events).Version)
        );
        Assert.False(Stand([.. events.Skip(1)]).Signed);
        Assert.False(Stand([.. events, events[0] with { Done = false }]).Signed);
        // undone as a pass it is open, whatever its turns say
        var undone = Stand([.. events, new(pass.Id, false, "QA", "2026-01-02", null, null)]);
        Assert.Equal((false, 1), (undone.Signed, undone.Version));
    }

    private static IReadOnlyList<StationState> Card(IEnumerable<StepId> signed, params DocumentStand[] changed) =>
        RouteCard.Create(
            Plan,
            StepStands.Compute(
                Plan.Steps,
                [
                    .. signed.Select(id => new SignEvent(
                        id,
                        true,
                        "QA",
                        "2026-01-01",
                        null,
                        SignedBasis.From(Plan.Find(id)!, [new("board", "A", "b", "d")])
                    )),
                ],
                changed.Length > 0 ? changed : [new("board", "A", "b", "d")]
            )
        );

    private static StationState At(IReadOnlyList<StationState> card, Station station) =>
        card.Single(s => s.Station == station);

    [Fact]
    public void A_station_tells_its_outcome_before_and_after_and_its_progress_between()
    {
        var match = Plan.Stations[(int)Station.Match];
        var ids = match.Steps.Select(s => s.Id).ToList();
        Assert.True(ids.Count > 1);
        var none = At(Card([]), Station.Match);
        Assert.Equal((match.Summary, false, 0), (none.Summary, none.Complete, none.SignedSteps));
        Assert.Null(none.By);
        var one = At(Card(ids.Take(1)), Station.Match);
        Assert.Equal(($"1 of {ids.Count} steps signed", false), (one.Summary, one.Complete));
        Assert.Equal(("QA", "2026-01-01"), (one.By, one.At));
        var all = At(Card(ids), Station.Match);
        Assert.Equal((match.Summary, true, ids.Count), (all.Summary, all.Complete, all.SignedSteps));
    }

    [Fact]
    public void Signed_steps_that_rest_on_something_else_now_are_counted_in_words()
    {
        var ids = Plan.Stations[(int)Station.Match].Steps.Select(s => s.Id).ToList();
        DocumentStand other = new("board", "A", "b", "other");
        var two = At(Card(ids, other), Station.Match);
        Assert.Equal(($"look again at {ids.Count} steps", true, ids.Count), (two.Summary, two.Trouble, two.LookAgain));
        Assert.Equal("look again at 1 step", At(Card(ids.Take(1), other), Station.Match).Summary);
    }
}
