using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Paste;

/// <summary>Paste on each die or lid, by the amount reckoned.</summary>
public static class PasteSteps
{
    public static StationPlan Of(JobContext c, JobPlan plan, ShopSettings shop)
    {
        if (plan.Seating is { Dies.Count: 0 })
            return new(Station.Paste, "no face takes paste", false, []);
        if (plan.Paste.Count == 0)
            return new(
                Station.Paste,
                plan.Gaps is null ? "waits for a block" : "no paste in the drawer",
                plan.Gaps is not null,
                []
            );
        var steps = plan
            .Paste.Select(f => new WorkStep
            {
                Id = $"paste.{f.Part}",
                Station = Station.Paste,
                Title = Title(c, f, shop),
                Detail = f.Refusals.Count > 0 ? string.Join(" ", f.Refusals) : f.Why,
                Caution =
                    f.Refusals.Count > 0 ? $"Not here: {f.Refusals[0]}"
                    : f.Cautions.Count > 0 ? string.Join(" ", f.Cautions.Take(2))
                    : f.Method == "spread"
                        ? "A bare corner overheats. Look from the side: no silicon may shine through."
                    : null,
                Done = "Covered",
                Targets = [f.Part],
                Facts =
                [
                    new(FormattableString.Invariant($"{f.Amount.MassG:0.00} g"), "paste"),
                    new(FormattableString.Invariant($"{f.Amount.PlungerMm:0.0} mm"), "of plunger"),
                    new(
                        FormattableString.Invariant($"{f.Amount.LineLengthMm:0} mm"),
                        FormattableString.Invariant($"of {shop.BeadMm:0.0} mm bead")
                    ),
                ],
            })
            .ToList();
        if (plan.Paste.FirstOrDefault(f => f.Refusals.Count > 0) is { } refused)
            return new(Station.Paste, $"not this on {refused.Part}", true, steps);
        var grams = plan.Paste.Sum(f => f.Amount.MassG);
        var enough = plan.Paste[0].GramsLeft + (c.Block?.Kit?.PasteG ?? 0) >= grams;
        return new(
            Station.Paste,
            FormattableString.Invariant($"{grams:0.00} g {(plan.Paste[0].Method)}{(enough ? "" : ", tube is short")}"),
            !enough,
            steps
        );
    }

    private static string Title(JobContext c, PasteFace f, ShopSettings shop) =>
        f.Method switch
        {
            "film" => FormattableString.Invariant(
                $"A film of {c.Paste!.Material.Id ?? f.PasteId} on {f.Part} and on its contact patch, {f.LiquidPerFaceUl:0} µL each"
            ),
            "cross" => FormattableString.Invariant(
                $"Draw a cross on {f.Part}, arms {f.Amount.CrossArmMm:0} mm, bead {shop.BeadMm:0.0} mm"
            ),
            "line" => FormattableString.Invariant(
                $"Draw a line on {f.Part}, {f.Amount.LineLengthMm:0} mm long, bead {shop.BeadMm:0.0} mm"
            ),
            "dot" => FormattableString.Invariant(
                $"One dot in the middle of {f.Part}, {f.Amount.DotDiameterMm:0.0} mm across"
            ),
            _ => FormattableString.Invariant(
                $"Spread {f.Amount.MassG:0.00} g of {c.Paste!.Material.Id ?? f.PasteId} over {f.Part}, edge to edge"
            ),
        };
}
