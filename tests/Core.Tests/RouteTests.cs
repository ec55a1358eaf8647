using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Route;
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
                Board = Card,
                Block = Sample.Block(),
                PadChoices = choices.ToDictionary(c => c.Part),
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
        var refused = Assert.Throws<StepLockedException>(() =>
            SignOff.Check(plan, new HashSet<string> { "teardown.F1" }, "teardown.cooler", null, null)
        );
        Assert.Equal(["teardown.W1"], refused.WaitsFor);
        SignOff.Check(plan, new HashSet<string> { "teardown.F1", "teardown.W1" }, "teardown.cooler", null, null);
        SignOff.Check(plan, new HashSet<string>(), "teardown.cooler", null, "lead was cut");
    }

    [Theory]
    [InlineData(5, "1 still in")]
    [InlineData(7, "one too many")]
    [InlineData(null, "6 still in")]
    public void A_wrong_count_is_refused_in_words(int? count, string says) =>
        Assert.Contains(
            says,
            Assert
                .Throws<StepLockedException>(() =>
                    SignOff.Check(Plan(), new HashSet<string>(), "teardown.F1", count, null)
                )
                .Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void Thicker_pads_of_the_installers_choice_change_the_seating_and_the_summary()
    {
        var plan = Plan(new LaidPad("M1", 1.5, "soft"), new LaidPad("M2", 1.5, "soft"));
        Assert.True(plan.Seating!.Pads.Sum(p => p.LoadN) > Plan().Seating!.Pads.Sum(p => p.LoadN) + 10);
        Assert.All(plan.Pads, p => Assert.True(p.Chosen));
        Assert.True(plan.Stations.Single(s => s.Station == Station.Pads).Trouble);
    }

    [Fact]
    public void What_is_short_is_named()
    {
        var lines = KitCheck.Of(
            Card,
            Sample.Block() with
            {
                Kit = new() { Screws = [new("M2.5", 6, 3, "T8", "plastic")] },
            },
            new() { Tools = [new("t6", "T6")] },
            [],
            0.3
        );
        Assert.Equal(1, lines.Single(l => l.Name == "screws M2.5").Short);
        Assert.Equal(1, lines.Single(l => l.Name == "driver T8").Short);
        Assert.Equal(0, lines.Single(l => l.Name == "driver T6").Short);
        Assert.Equal(0.3, lines.Single(l => l.Group == "paste").Short, 9);
    }
}
