using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Kit;

/// <summary>What is signed at Kit: counted, and the card run with its stock cooler.</summary>
public static class KitSteps
{
    public static StationPlan Of(JobPlan plan)
    {
        var missing = plan.Kit.Where(l => l.Short > 0).ToList();
        var summary =
            plan.Kit.Count == 0 ? "waits for a block"
            : missing.Count == 0 ? "all here"
            : FormattableString.Invariant(
                $"{missing[0].Short:0.##}{(missing[0].Unit.Length > 0 ? " " + missing[0].Unit : "")} {missing[0].Name} short{(missing.Count > 1 ? $", {missing.Count - 1} more" : "")}"
            );
        return new(
            Station.Kit,
            summary,
            missing.Count > 0,
            [
                new WorkStep
                {
                    Id = "kit.count",
                    Station = Station.Kit,
                    Done = "Counted",
                    Title = "Open the block's box and count it against the list",
                    Detail =
                        missing.Count == 0
                            ? "Kit and drawer hold everything the job needs."
                            : $"Short: {string.Join(", ", missing.Select(m => FormattableString.Invariant($"{m.Short:0.##} {m.Unit} {m.Name}").Replace("  ", " ", StringComparison.Ordinal)))}.",
                },
                new WorkStep
                {
                    Id = "kit.manual",
                    Station = Station.Kit,
                    Done = "Manual read",
                    Title = "Read the manual's revision and the manual",
                    Detail = "Kits change without notice. Where the manual says otherwise, the manual wins.",
                },
                new WorkStep
                {
                    Id = "kit.stock-run",
                    Station = Station.Kit,
                    Done = "It runs, readings taken",
                    Title = "Run the card with its stock cooler and take the before reading",
                    Detail = "A dead part must be found before the seal is broken. Enter the reading at Prove.",
                    Caution = "Warranty may end when the seal is broken: check the terms and local consumer law first.",
                },
            ]
        );
    }
}
