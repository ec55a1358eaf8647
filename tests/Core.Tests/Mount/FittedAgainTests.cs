using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Stock pieces, screws and leads that go on again over the block, as steps.</summary>
public class FittedAgainTests
{
    private static FastenerGroup Screws(string id, int count, double? length, params string[] joins) =>
        new()
        {
            Id = id,
            Driver = "T6",
            Thread = "M2.5",
            LengthMm = length,
            Count = count,
            Face = Face.Back,
            Joins = joins,
            Places = [.. Enumerable.Range(0, count).Select(i => new Geometry.Point2(50, 3 * i))],
        };

    private static IReadOnlyList<WorkStep> Steps(string movesTo = "block")
    {
        var assembly = new Assembly
        {
            Pieces =
            [
                new("shroud", "shroud", Face.Front),
                new("clip", "lead bracket", Face.Front) { Returns = true },
                new("plate", "back plate", Face.Back) { Returns = true },
            ],
            Fasteners =
            [
                Screws("F1", 4, 5, "shroud", "board"),
                Screws("F2", 1, 9, "clip", "shroud"),
                Screws("F3", 2, null, "plate", "board"),
            ],
            Leads =
            [
                new("W1", "power", ["shroud", "board"], "squeeze", 60, Face.Front, "clip") { MovesTo = movesTo },
                new("W2", "light", ["plate", "board"], "squeeze", 60, Face.Back) { At = new(55, 20) },
                new("W3", "fan", ["shroud", "board"], "squeeze", 60, Face.Front),
            ],
        };
        var plan = JobPlanner.Plan(
            new()
            {
                Order = WorkOrder.Plain(Sample.Board() with { Assembly = assembly }, Sample.Block()),
                Drawer = new() { Materials = [Sample.Soft] },
            }
        );
        Assert.Empty(plan.Troubles);
        return [.. plan.Mount.Sheet.Steps.Where(s => s.Id.Target.StartsWith("again-", StringComparison.Ordinal))];
    }

    private static WorkStep Step(string target, string movesTo = "block") =>
        Steps(movesTo).Single(s => s.Id.Target == $"again-{target}");

    [Fact]
    public void What_returns_goes_on_and_what_held_the_cooler_alone_does_not()
    {
        Assert.Equal(
            ["again-F2", "again-F3", "again-W1", "again-W2", "again-clip", "again-plate"],
            Steps().Select(s => s.Id.Target).Order(StringComparer.Ordinal)
        );
        Assert.All(Steps(), s => Assert.Equal((Station.Mount, "A"), (s.Id.Station, s.Board)));
    }

    [Fact]
    public void A_screw_that_held_to_the_cooler_finds_its_hold_in_the_block()
    {
        var screw = Step("F2");
        Assert.StartsWith("Put 1 screw of group F2 back, out of cell ", screw.Title, StringComparison.Ordinal);
        Assert.EndsWith(
            ", 9 mm: no longer one goes in here. What else they held stays off: the block takes its place.",
            screw.Detail,
            StringComparison.Ordinal
        );
        Assert.Equal(
            (StepKind.Fasten, 1, CountOf.Screws, "T6", "1 in"),
            (screw.Kind, screw.Count!.Value, screw.Counted!.Value, screw.Driver, screw.Done)
        );
        Assert.Equal("A longer screw in a short hole cracks the board.", screw.Caution);
        Assert.Equal(["T6", "1", screw.Title.ToString()[^2..]], screw.Facts.Select(f => f.Value));
        Assert.Equal("screw", screw.Facts[1].Label);
        Assert.Equal([new(50, 0)], screw.Places);
    }

    [Fact]
    public void Screws_of_no_stated_length_go_back_where_they_were()
    {
        var screws = Step("F3");
        Assert.Equal((2, (string?)null), (screws.Count!.Value, screws.Caution));
        Assert.DoesNotContain("longer", screws.Detail, StringComparison.Ordinal);
        Assert.DoesNotContain("block", screws.Detail, StringComparison.Ordinal);
        Assert.Equal(2, screws.Places.Count);
    }

    [Fact]
    public void A_piece_is_set_on_and_nothing_is_counted()
    {
        var plate = Step("plate");
        Assert.Equal(
            (StepKind.Fit, "Set the back plate back on", "On", (int?)null, (CountOf?)null, 0),
            (plate.Kind, plate.Title, plate.Done, plate.Count, plate.Counted, plate.Facts.Count)
        );
    }

    [Fact]
    public void A_lead_is_plugged_in_or_moves_over_to_what_it_is_fastened_to_now()
    {
        var light = Step("W2");
        Assert.Equal((StepKind.Connect, "Plug the light lead in", "Plugged"), (light.Kind, light.Title, light.Done));
        Assert.Equal([new(55, 20)], light.Places);
        var power = Step("W1");
        Assert.Equal(("Move the power lead over to the block", "Moved over"), (power.Title, power.Done));
        Assert.StartsWith("It was fastened to the shroud.", power.Detail, StringComparison.Ordinal);
        Assert.Equal("Move the power lead over to the back plate", Step("W1", "plate").Title);
    }
}
