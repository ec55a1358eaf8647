using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Prep;

/// <summary>Cleaning of every contact face, with the remover's stated wait, then the dry fit.</summary>
public static class PrepSteps
{
    private static readonly (PartKind Kind, string Words, string Detail)[] Faces =
    [
        (
            PartKind.Die,
            "the die",
            "Wipe from the edge inward with a fresh cloth face each time; no knocks from above, bare silicon chips."
        ),
        (PartKind.Lid, "the lid", "Wipe until the cloth stays clean."),
        (PartKind.Memory, "the memory", "Residue lifts pads and tilts the block."),
        (
            PartKind.PowerStage,
            "the power stages",
            "Old pad crumbs out of the corners with tweezers and cloth, no steel."
        ),
        (PartKind.Inductor, "the inductors", "Only the top faces touch pads."),
        (PartKind.BridgeChip, "the bridge chip", "Wipe until the cloth stays clean."),
        (PartKind.Controller, "the controllers", "Only the top faces touch pads."),
    ];

    public static StationPlan Of(JobContext c, JobPlan plan, ShopSettings shop)
    {
        var remover = c.Drawer.Consumables.FirstOrDefault(x => x.WaitS is not null);
        var wait = remover?.WaitS ?? shop.RemoverWaitS;
        var contacts = plan.Gaps?.Pairs.Select(p => p.Part).ToHashSet() ?? [];
        var steps = new List<WorkStep>();
        foreach (var (kind, words, detail) in Faces)
        {
            var parts = c.Board.Parts.Where(p => p.Kind == kind && contacts.Contains(p.Id)).ToList();
            if (parts.Count == 0)
                continue;
            var die = kind is PartKind.Die or PartKind.Lid;
            steps.Add(
                new()
                {
                    Id = $"prep.clean-{System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(kind.ToString())}",
                    Station = Station.Prep,
                    Title = $"Clean {words}{(parts.Count > 1 ? $", {parts.Count} faces" : "")}",
                    Detail =
                        die || c.Way("cleaning") == "remover"
                            ? $"{remover?.Name ?? "Remover"} on, wait {wait} s, wipe; then alcohol. {detail}"
                            : $"Alcohol and a lint-free cloth. {detail}",
                    Caution = "Alcohol burns: no heat gun, oven or spark near it; ventilate.",
                    Done = "Clean",
                    Face = parts[0].Face,
                    Targets = [.. parts.Select(p => p.Id)],
                    TimerS = die || c.Way("cleaning") == "remover" ? wait : null,
                    Facts = die ? [new($"{wait} s", "wait before wiping")] : [],
                }
            );
        }
        steps.Add(
            new()
            {
                Id = "prep.block",
                Station = Station.Prep,
                Done = "Block side clean",
                Title = "Protective sticker off the block, contact faces wiped",
                Detail = c.Block?.ColdPlate?.Metal is { } metal
                    ? $"Cold plate: {metal}."
                        + (
                            metal.Contains("nickel", StringComparison.Ordinal)
                                ? ""
                                : " Bare copper tarnishes under fingers: gloves."
                        )
                    : null,
            }
        );
        steps.Add(
            new()
            {
                Id = "prep.dry-fit",
                Station = Station.Prep,
                Done = "Dry fit good",
                Title =
                    plan.DryFit.Count > 0
                        ? $"Dry fit without pads or paste: {plan.DryFit.Count} things to look at"
                        : "Dry fit without pads or paste: holes, leads, ports, bracket",
                Detail =
                    plan.DryFit.Count > 0
                        ? string.Join(
                            " ",
                            plan.DryFit.Where(d => d.State == DryFitState.Look)
                                .Take(2)
                                .Select(d => d.Text)
                                .DefaultIfEmpty("The documents see nothing in the way.")
                        )
                        : "Some blocks reach below the board's covers: let the board overhang. No lead may lie under the plate.",
                Caution = plan.DryFit.FirstOrDefault(d => d.State == DryFitState.Trouble)?.Text,
                Count = plan.DryFit.Count > 0 ? plan.DryFit.Count : null,
                Targets = [.. plan.DryFit.SelectMany(d => d.Parts).Distinct()],
            }
        );
        return new(
            Station.Prep,
            $"{steps.Count - 2} {(steps.Count == 3 ? "face" : "faces")} to clean, dry fit",
            false,
            steps
        );
    }
}
