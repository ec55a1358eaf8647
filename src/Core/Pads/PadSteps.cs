using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Pads;

/// <summary>Cut the sheets, then lay each group of pads and count the films.</summary>
public static class PadSteps
{
    private static readonly Dictionary<PartKind, string> Words = new()
    {
        [PartKind.Memory] = "memory",
        [PartKind.PowerStage] = "power stages",
        [PartKind.Inductor] = "inductors",
        [PartKind.BridgeChip] = "bridge chip",
        [PartKind.Controller] = "controllers",
        [PartKind.Capacitor] = "capacitors",
    };

    public static StationPlan Of(JobContext c, JobPlan plan)
    {
        if (plan.Gaps is null)
            return new(Station.Pads, "waits for a block", true, []);
        if (plan.Pads.Count == 0)
            return new(Station.Pads, "no pads", false, []);
        var steps = new List<WorkStep>();
        foreach (var (sheet, i) in (plan.Cutting?.Sheets ?? []).Select((s, i) => (s, i)))
        {
            steps.Add(
                new()
                {
                    Id = $"pads.cut-{i + 1}",
                    Station = Station.Pads,
                    Done = $"{sheet.Placements.Count} pieces cut",
                    Title =
                        $"Cut {sheet.Placements.Count} pieces from {(sheet.Offcut ? "offcut" : "sheet")} {sheet.StockId}, {sheet.Cuts.Count} cuts",
                    Detail = FormattableString.Invariant(
                        $"{sheet.WidthMm:0.#} × {sheet.DepthMm:0.#} mm, letters {Letters([.. sheet.Placements.Select(p => p.PieceId)])}. Follow the cutting sheet, edge to edge."
                    ),
                    Caution = "Cut away from the hand.",
                    Count = sheet.Cuts.Count,
                    Facts = [new($"{sheet.Cuts.Count}", "cuts"), new($"{sheet.Placements.Count}", "pieces")],
                }
            );
        }
        foreach (var g in plan.Pieces.GroupBy(p => (p.Kind, p.Face, p.ThicknessMm, p.Material)))
        {
            var list = g.ToList();
            var words = Words.GetValueOrDefault(g.Key.Kind, "parts");
            steps.Add(
                new()
                {
                    Id = FormattableString
                        .Invariant(
                            $"pads.lay-{words.Replace(' ', '-')}-{g.Key.Face}-{g.Key.ThicknessMm:0.0#}-{g.Key.Material}"
                        )
                        .ToLowerInvariant(),
                    Station = Station.Pads,
                    Done = $"{list.Count} laid, {list.Count * 2} films off",
                    Title = FormattableString.Invariant(
                        $"Lay {list.Count} {g.Key.ThicknessMm:0.0#} mm {(list.Exists(p => p.Parts.Count > 1) ? list.Count == 1 ? "strip" : "strips" : list.Count == 1 ? "pad" : "pads")} on the {words}, {(list.Count == 1 ? "letter" : "letters")} {Letters([.. list.Select(p => p.Id)])}"
                    ),
                    Detail =
                        $"Film off both sides of each, {list.Count * 2} films in all. Press each on its chip; {Where(c, list[0])}.",
                    Caution = "Film left on a pad cooks the chip under it: count the films.",
                    Face = g.Key.Face,
                    Targets = [.. list.SelectMany(p => p.Parts)],
                    Count = list.Count * 2,
                    Facts =
                    [
                        new(FormattableString.Invariant($"{g.Key.ThicknessMm:0.0#} mm"), g.Key.Material),
                        new($"{list.Count}", "pieces"),
                        new($"{list.Count * 2}", "films"),
                    ],
                }
            );
        }
        var (summary, trouble) = Summary(plan);
        return new(Station.Pads, summary, trouble, steps);
    }

    private static string Where(JobContext c, PadPiece piece) =>
        c.Way("pads-on") switch
        {
            "board" => "on the board, where its part shows it",
            "block" => "on the block, in its pocket",
            _ => piece.OnBlock ? "tacky side to the block" : "on the board",
        };

    private static (string, bool) Summary(JobPlan plan)
    {
        if (plan.Seating is { Floats: true })
            return ("the block floats", true);
        var bad = plan.Pads.Where(p => p.Fit?.State != PadState.Good).ToList();
        if (bad.Count > 0)
            return (
                FormattableString.Invariant(
                    $"{bad[0].ThicknessMm:0.0#} mm {(bad[0].Fit!.State == PadState.Starved ? "barely touches" : "is crushed")} at {bad[0].Letter}"
                ),
                true
            );
        if (plan.Cutting is { Unplaced.Count: > 0 } cut)
            return ($"{cut.Unplaced.Count} pads lack a sheet", true);
        var sizes = plan
            .Pads.Select(p => p.ThicknessMm)
            .Distinct()
            .Order()
            .Select(t => FormattableString.Invariant($"{t:0.0#}"));
        return ($"{plan.Pads.Count} pads, {string.Join(" and ", sizes)} mm", false);
    }

    /// <summary>"A to F" for a run, else the letters.</summary>
    private static string Letters(IReadOnlyList<string> letters)
    {
        if (letters.Count < 3)
            return string.Join(" and ", letters);
        var sorted = letters.OrderBy(l => l.Length).ThenBy(l => l).ToList();
        var run = sorted.All(l => l.Length == 1) && sorted[^1][0] - sorted[0][0] == sorted.Count - 1;
        return run ? $"{sorted[0]} to {sorted[^1]}"
            : sorted.Count <= 8 ? string.Join(" ", sorted)
            : $"{string.Join(" ", sorted.Take(7))} and {sorted.Count - 7} more";
    }
}
