using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Teardown;

/// <summary>Back to stock at any time: the block off, the faces clean, then the record read backwards with its screws and pads.</summary>
public static class RestoreSteps
{
    public static IReadOnlyList<WorkStep> Of(JobContext c, JobPlan plan)
    {
        if (plan.Teardown is not { } teardown)
            return [];
        var steps = new List<WorkStep>
        {
            Step(
                "power",
                "Power off, unplug, press the switch to drain",
                "Power is off",
                "Drain the loop or close its quick ties before a fitting is opened.",
                "Coolant on a live board ends it."
            ),
        };
        if (c.Block is not null)
        {
            var screws = c.Block.Plates.Sum(p => p.Holes.Count);
            steps.Add(
                Step(
                    "block",
                    $"Take the block off: {screws} screws, outer ones first, the die ring last and in a cross",
                    "Block is off",
                    "A quarter turn each at first: the springs let go evenly.",
                    "Rock and twist, never lever from one end: bare silicon chips."
                ) with
                {
                    Count = screws,
                }
            );
            steps.Add(
                Step(
                    "clean",
                    "Clean die, memory, power stages and inductors of pads and paste",
                    "Clean",
                    "Alcohol and a lint-free cloth, every contact face.",
                    "Alcohol burns: no heat gun, oven or spark near it; ventilate."
                )
            );
        }
        if (Pads(c) is { Count: > 0 } pads)
            steps.Add(
                Step(
                    "pads",
                    $"Lay {pads.Sum(p => p.Count)} stock pads as they were found",
                    "Pads laid",
                    string.Join(". ", pads.Select(p => p.Text)) + ".",
                    "Film left on a pad cooks the chip under it."
                ) with
                {
                    Targets = [.. pads.SelectMany(p => p.Parts)],
                }
            );
        steps.Add(
            Step(
                "paste",
                "Paste on the die, spread to full cover",
                "Covered",
                "The amount of the Paste station does.",
                null
            )
        );
        steps.AddRange(teardown.Restore.Select(r => Of(r, teardown)));
        steps.Add(
            Step(
                "run",
                "Run it with its stock cooler and compare with the before reading",
                "It runs",
                plan.Comparison?.Why is { Count: > 0 } why ? why[0] : "Same load, same room.",
                null
            )
        );
        return steps;
    }

    private static WorkStep Step(string id, string title, string done, string? detail, string? caution) =>
        new()
        {
            Id = $"restore.{id}",
            Station = Station.Care,
            Title = title,
            Done = done,
            Detail = detail,
            Caution = caution,
        };

    private static WorkStep Of(RestoreStep r, TeardownPlan teardown)
    {
        var length = teardown.Tray.FirstOrDefault(t => t.Cell == r.Cell)?.LengthMm;
        var title = r.Action switch
        {
            "fasten" =>
                $"Put {r.Count} {(r.Count == 1 ? "screw" : "screws")} of group {r.Target} back, out of cell {r.Cell}",
            "plug" => $"Plug the {r.Name} in",
            _ => $"Set the {r.Name} back",
        };
        return Step(
            $"back-{r.Target}",
            title,
            r.Action switch
            {
                "fasten" => $"{r.Count} in",
                "plug" => "Plugged",
                _ => "Set",
            },
            r.Action == "fasten"
                ? FormattableString.Invariant(
                    $"{r.Name}{(length is { } l ? $", {l:0.#} mm: no longer one goes in here" : "")}."
                )
                : null,
            r.Action == "fasten" && length is not null ? "A longer screw in a short hole cracks the board." : null
        ) with
        {
            Face = r.Face,
            Driver = r.Driver,
            Count = r.Action == "fasten" ? r.Count : null,
            Targets = [r.Target],
            Facts =
                r.Action == "fasten"
                    ?
                    [
                        new(r.Driver!, DriverNames.Of(r.Driver!)),
                        new($"{r.Count}", "screws"),
                        new(r.Cell ?? "–", "tray cell"),
                    ]
                    : [],
        };
    }

    /// <summary>Pads as found, else as the document says.</summary>
    private static List<(int Count, string Text, IReadOnlyList<string> Parts)> Pads(JobContext c)
    {
        var found = c
            .AsFound.GroupBy(f => f.NewMm)
            .Select(g =>
                (
                    g.Count(),
                    FormattableString.Invariant($"{g.Key:0.0#} mm on {string.Join(", ", g.Select(f => f.Part))}"),
                    (IReadOnlyList<string>)[.. g.Select(f => f.Part)]
                )
            )
            .ToList();
        var noted = c.AsFound.Select(f => f.Part).ToHashSet();
        found.AddRange(
            (c.Board.Assembly?.Bonds ?? [])
                .Where(b => b is { Kind: BondKind.Pads, PadMm: not null })
                .Select(b => (b, parts: b.Parts.Where(p => !noted.Contains(p)).ToList()))
                .Where(x => x.parts.Count > 0)
                .Select(x =>
                    (
                        x.parts.Count,
                        FormattableString.Invariant($"{x.b.PadMm:0.0#} mm on {string.Join(", ", x.parts)}"),
                        (IReadOnlyList<string>)x.parts
                    )
                )
        );
        return found;
    }
}
