using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Paste;

/// <summary>Paste on each die or lid, by the amount reckoned.</summary>
public static class PasteSteps
{
    public static StationPlan Of(JobContext c, JobPlan plan, ShopSettings shop)
    {
        if (plan.Seating is { Dies.Count: 0 }) return new(Station.Paste, "no face takes paste", false, []);
        if (plan.Paste.Count == 0) return new(Station.Paste, plan.Gaps is null ? "waits for a block" : "no paste in the drawer", plan.Gaps is not null, []);
        var steps = plan.Paste.Select(f => new WorkStep
        {
            Id = $"paste.{f.Part}",
            Station = Station.Paste,
            Title = f.Method == "spread"
                ? FormattableString.Invariant($"Spread {f.Amount.MassG:0.00} g of {c.Paste!.Material.Id ?? f.PasteId} over {f.Part}, edge to edge")
                : FormattableString.Invariant($"Draw a cross on {f.Part}, arms {f.Amount.CrossArmMm:0} mm, bead {shop.BeadMm:0.0} mm"),
            Detail = f.Why,
            Caution = f.Method == "spread" ? "A bare corner overheats. Look from the side: no silicon may shine through." : null,
            Done = "Covered",
            Targets = [f.Part],
            Facts =
            [
                new(FormattableString.Invariant($"{f.Amount.MassG:0.00} g"), "paste"),
                new(FormattableString.Invariant($"{f.Amount.PlungerMm:0.0} mm"), "of plunger"),
                new(FormattableString.Invariant($"{f.Amount.LineLengthMm:0} mm"), FormattableString.Invariant($"of {shop.BeadMm:0.0} mm bead")),
            ],
        }).ToList();
        var grams = plan.Paste.Sum(f => f.Amount.MassG);
        var enough = plan.Paste[0].GramsLeft + (c.Block?.Kit?.PasteG ?? 0) >= grams;
        return new(Station.Paste, FormattableString.Invariant($"{grams:0.00} g {(plan.Paste[0].Method)}{(enough ? "" : ", tube is short")}"), !enough, steps);
    }
}
