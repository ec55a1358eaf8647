using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Prove;

/// <summary>Look, leak test, boot, measure.</summary>
public static class ProveSteps
{
    public static StationPlan Of(JobContext c, JobPlan plan)
    {
        var comparison = plan.Comparison;
        var lift = c.Way("imprint") == "lift";
        var cost = FormattableString.Invariant(
            $"{plan.Pieces.Count} fresh pads and {plan.Paste.Sum(f => f.Amount.MassG):0.0} g of paste"
        );
        return new(
            Station.Prove,
            comparison?.Verdict ?? "no readings yet",
            comparison?.Trouble ?? false,
            [
                new WorkStep
                {
                    Id = "prove.edges",
                    Station = Station.Prove,
                    Done = "Even all round",
                    Title = "Look along the edges: gap even, pads touching at memory, power stages and die",
                    Detail = lift ? null : $"No lift to read the imprint unless the proof is poor: it costs {cost}.",
                },
                .. lift
                    ? new[]
                    {
                        new WorkStep
                        {
                            Id = "prove.imprint",
                            Station = Station.Prove,
                            Done = "Imprint read, mounted again",
                            Title = "Lift once, read the imprint of die and pads, mount again",
                            Detail =
                                $"Costs {cost}. Pale corners: film too thick there. A pad without a mark: it did not touch.",
                            Caution = "Straight up: a tilted lift chips the die.",
                        },
                    }
                    : [],
                new WorkStep
                {
                    Id = "prove.leak",
                    Station = Station.Prove,
                    Done = "Tight",
                    TimerS = 900,
                    Title = "Leak test off the machine: pressure hold or a soak with plain water",
                    Detail =
                        "Paper under every joint. A leak is recorded with its place: it may be a pump or a fitting.",
                    Caution = "Nothing powered but the pump. Air at most 0.5 bar, never with a compressor straight on.",
                    Facts = [new("15 min", "hold"), new("0.5 bar", "at most")],
                },
                new WorkStep
                {
                    Id = "prove.boot",
                    Station = Station.Prove,
                    Done = "It boots",
                    Title = "Plug in the sensor leads and boot",
                },
                new WorkStep
                {
                    Id = "prove.after",
                    Station = Station.Prove,
                    Done = "Readings taken",
                    Title = "Measure at the same load, room and clocks as before, steady",
                    Detail = comparison is { Why.Count: > 0 }
                        ? string.Join(" ", comparison.Why)
                        : "Coolant, room and flow noted; bubbles bled; same pump setting.",
                },
            ]
        );
    }
}
