using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class RouteTests
{
    private static readonly Board Card = Sample.Board() with
    {
        Assembly = new()
        {
            Pieces = [new("cooler", "cooler", Face.Front)],
            Fasteners =
            [
                new()
                {
                    Id = "F1",
                    Driver = "T6",
                    Thread = "M2.5",
                    LengthMm = 5,
                    Count = 6,
                    Face = Face.Back,
                    Joins = ["cooler", "board"],
                },
            ],
            Leads = [new("W1", "fan", ["cooler", "board"], "squeeze", 30, Face.Front)],
        },
    };

    private static JobPlan Plan(params LaidPad[] choices) =>
        JobPlanner.Plan(
            new()
            {
                Order = WorkOrder.Plain(Card, Sample.Block()),
                PadChoices = choices,
                Drawer = new()
                {
                    Materials = [Sample.Soft],
                    Pads = [new("s15", "soft", 1.5, 100, 100, 1, false)],
                    Pastes = [new("t", Sample.Grey, 5, 24)],
                    Tools = [new("t6", "T6")],
                },
            }
        );

    [Fact]
    public void A_job_passes_all_nine_stations_in_order()
    {
        var plan = Plan();
        Assert.Empty(plan.Troubles);
        Assert.Equal(Enum.GetValues<Station>(), plan.Stations.Select(s => s.Station));
        var ids = plan.Stations.SelectMany(s => s.Steps).Select(s => s.Id).ToList();
        Assert.Equal(ids.Count, ids.Distinct().Count());
        Assert.All(plan.Stations, s => Assert.NotEmpty(s.Steps));
    }

    [Fact]
    public void A_lift_is_locked_until_screws_are_counted_and_leads_are_marked()
    {
        var plan = Plan();
        SignOutcome Lift(string? reason, params string[] signed) =>
            SignOff.Sign(plan, signed.Select(Teardown).ToHashSet(), Teardown("cooler"), null, reason);
        Assert.Equal([Teardown("W1")], Assert.IsType<SignOutcome.Locked>(Lift(null, "F1")).WaitsFor);
        Assert.IsType<SignOutcome.Granted>(Lift(null, "F1", "W1"));
        Assert.IsType<SignOutcome.Granted>(Lift("lead was cut"));
    }

    private static StepId Teardown(string target) => new(Station.Teardown, null, target);

    [Theory]
    [InlineData(5, "1 still in")]
    [InlineData(7, "one too many")]
    [InlineData(null, "6 still in")]
    public void A_wrong_count_is_refused_in_words(int? count, string says) =>
        Assert.Contains(
            says,
            Assert
                .IsType<SignOutcome.Locked>(SignOff.Sign(Plan(), new HashSet<StepId>(), Teardown("F1"), count, null))
                .Why,
            StringComparison.Ordinal
        );

    [Fact]
    public void What_rests_on_a_step_is_named_before_it_is_taken_back()
    {
        var plan = Plan();
        HashSet<StepId> signed = [Teardown("F1"), Teardown("W1"), Teardown("cooler")];
        var resting = Assert.IsType<SignOutcome.RestsOn>(SignOff.TakeBack(plan, signed, Teardown("F1"), []));
        Assert.Equal([Teardown("cooler")], resting.Steps);
        Assert.Contains("Lift the cooler", resting.Why, StringComparison.Ordinal);
        Assert.IsType<SignOutcome.Granted>(SignOff.TakeBack(plan, signed, Teardown("F1"), [Teardown("cooler")]));
        Assert.IsType<SignOutcome.Granted>(SignOff.TakeBack(plan, signed, Teardown("cooler"), []));
        // what is not signed does not rest on anything
        signed.Remove(Teardown("cooler"));
        Assert.IsType<SignOutcome.Granted>(SignOff.TakeBack(plan, signed, Teardown("F1"), []));
    }

    [Fact]
    public void A_step_that_the_plan_does_not_have_is_told() =>
        Assert.IsType<SignOutcome.NotInPlan>(
            SignOff.Sign(Plan(), new HashSet<StepId>(), new(Station.Teardown, "B", "F1"), 6, null)
        );

    [Fact]
    public void Thicker_pads_of_the_installers_choice_change_the_seating_and_the_summary()
    {
        var plan = Plan(new LaidPad("M1", 1.5, "soft"), new LaidPad("M2", 1.5, "soft"));
        Assert.True(
            plan.Pads.Pairs[0].Seating!.Pads.Sum(p => p.LoadN)
                > Plan().Pads.Pairs[0].Seating!.Pads.Sum(p => p.LoadN) + 10
        );
        Assert.All(plan.Pads.Pads.ToList(), p => Assert.True(p.Chosen));
        Assert.True(plan.Stations.Single(s => s.Station == Station.Pads).Trouble);
    }

    [Fact]
    public void What_is_short_is_named()
    {
        var block = Sample.Block() with { Kit = new() { Screws = [new("M2.5", 6, 3, "T8", "plastic")] } };
        var lines = KitCheck.Check(
            WorkOrder.Plain(Card, block),
            new() { Tools = [new("t6", "T6")] },
            new([], 0.3, null)
        );
        Assert.Equal(1, lines.Single(l => l.Name == "screws M2.5").Short);
        Assert.Equal(1, lines.Single(l => l.Name == "driver T8").Short);
        Assert.Equal(0, lines.Single(l => l.Name == "driver T6").Short);
        Assert.Equal(0.3, lines.Single(l => l.Group == "paste").Short, 9);
    }
}
