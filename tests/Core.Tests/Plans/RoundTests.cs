using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A round of turns signed with one press, and what a plan's route card says of it.</summary>
public class RoundTests
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

    private static readonly IReadOnlyList<WorkStep> Turns = [.. Plan.Steps.Where(s => s.Round is not null)];

    private static List<WorkStep> Of(int pass) => [.. Turns.Where(s => s.Pass == pass)];

    /// <summary>Everything before the first turn.</summary>
    private static HashSet<StepId> Before() => [.. Plan.Steps.TakeWhile(s => s.Round is null).Select(s => s.Id)];

    private static IEnumerable<StepId> Signs(IReadOnlySet<StepId> signed, StepId from) =>
        SignOff.Round(Plan, signed, from).Select(s => s.Id);

    [Fact]
    public void The_first_press_signs_the_whole_round_and_nothing_of_the_next()
    {
        var first = Of(1);
        Assert.Equal(4, first.Count);
        Assert.True(Turns.Max(s => s.Pass) > 1);
        Assert.Equal(first.Select(s => s.Id), Signs(Before(), first[0].Id));
    }

    [Fact]
    public void From_the_middle_of_a_round_only_what_is_open_from_there_on_is_signed()
    {
        var first = Of(1);
        HashSet<StepId> signed = [.. Before(), first[0].Id];
        Assert.Equal(first.Skip(1).Select(s => s.Id), Signs(signed, first[1].Id));
        // one in between that stands already is passed over
        signed.Add(first[2].Id);
        Assert.Equal([first[1].Id, first[3].Id], Signs(signed, first[1].Id));
    }

    [Fact]
    public void A_round_that_is_locked_signs_nothing()
    {
        Assert.Empty(Signs(new HashSet<StepId>(), Of(1)[0].Id));
        HashSet<StepId> done = [.. Before(), .. Of(1).Select(s => s.Id)];
        Assert.Equal(Of(2).Select(s => s.Id), Signs(done, Of(2)[0].Id));
    }

    [Fact]
    public void A_step_of_no_round_is_signed_alone()
    {
        Assert.Empty(Signs(Before(), Plan.Steps.First().Id));
        Assert.Empty(Signs(Before(), new(Station.Mount, null, "none such")));
    }

    // ---- the route card

    private static IReadOnlyList<StationState> Card(IEnumerable<StepId> signed, params DocumentStand[] changed) =>
        RouteCard.Of(
            Plan,
            StepStands.Of(
                Plan.Steps,
                [
                    .. signed.Select(id => new SignEvent(
                        id,
                        true,
                        "QA",
                        "2026-01-01",
                        null,
                        SignedBasis.Of(Plan.Find(id)!, [new("board", "A", "b", "d")])
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
