using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Care;

/// <summary>What is kept, when to look again, and the hand-over.</summary>
public static class CareSteps
{
    public static StationPlan Of(JobContext c, JobPlan plan, ShopSettings shop)
    {
        var months = RepasteMonths(c, shop);
        return new(
            Station.Care,
            $"repaste in {months} months or by drift",
            false,
            [
                new WorkStep
                {
                    Id = "care.stock",
                    Station = Station.Care,
                    Done = "Stored and labelled",
                    Title = "Store the stock cooler with its screws in their tray cells",
                    Detail =
                        $"Needed to put the card back for a warranty claim. {(c.Way("stock-pads") == "reuse" ? "The back plate's pads stay with it, undisturbed." : "Its pads are replaced when it goes back.")}",
                },
                new WorkStep
                {
                    Id = "care.offcuts",
                    Station = Station.Care,
                    Done = "Drawer is right",
                    Title = "Put the offcuts in the drawer and note what was used",
                    Detail = Used(plan),
                },
                new WorkStep
                {
                    Id = "care.date",
                    Station = Station.Care,
                    Done = "Date noted",
                    Title = $"Note the repaste date, {months} months, and the yearly look at the loop",
                    Detail = "Earlier if the measured resistance drifts.",
                },
                new WorkStep
                {
                    Id = "care.hand-over",
                    Station = Station.Care,
                    Done = "Sign the traveller",
                    Title = "Hand over the build record and sign the traveller",
                },
            ]
        );
    }

    /// <summary>By the paste's kind, capped by the shop.</summary>
    public static int RepasteMonths(JobContext c, ShopSettings shop) =>
        Math.Min(shop.RepasteCapMonths, c.Paste?.MonthsToRepaste ?? shop.RepasteCapMonths);

    private static string Used(JobPlan plan)
    {
        var pads = plan
            .Pads.GroupBy(p => (p.ThicknessMm, p.Material))
            .Select(g => FormattableString.Invariant($"{g.Count()} × {g.Key.ThicknessMm:0.0#} mm {g.Key.Material}"));
        var paste = plan.Paste.Sum(f => f.Amount.MassG);
        return $"Used: {string.Join(", ", pads.Append(FormattableString.Invariant($"{paste:0.00} g paste")))}.";
    }
}
