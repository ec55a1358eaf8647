using System.Globalization;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>How a job came out, kept for the next one on the same board.</summary>
/// <param name="Verdict">Of its proof, or what it stands at.</param>
/// <param name="Wrong">What went wrong, a sentence each; empty where nothing did.</param>
internal sealed record JobOutcome(string Verdict, IReadOnlyList<string> Wrong);

/// <summary>What a job is remembered by: how it came out, and the words it is found by.</summary>
internal static class JobPast
{
    private const int MaxWrong = 6;

    public static JobOutcome Outcome(JobView v, IReadOnlyList<LeakTestRow> leaks, LocalTimes times)
    {
        var wrong = new List<string>();
        foreach (var proof in v.Plan.Prove.Pairs.Where(p => p.Comparison.Trouble))
            wrong.Add($"Proof: {proof.Comparison.Verdict}.");
        wrong.AddRange(
            leaks
                .Where(t => t.Verdict != "pass")
                .Select(t =>
                {
                    var much = t.LeakMlMin is { } ml ? FormattableString.Invariant($" {ml:0.00} mL/min") : "";
                    var where = t.Place is { } at ? $" at {at}" : "";
                    return $"Leaked{much}{where} on {times.Day(t.At)}.";
                })
        );
        wrong.AddRange(
            v.History.Where(h => h is { Kind: StepEvent.Done, OverrideReason: not null })
                .Select(h => JobPastWords.SignedInSpiteOfLock(Title(v, h), h.OverrideReason))
        );
        wrong.AddRange(
            v.History.Where(h => h is { Kind: StepEvent.Undone, OverrideReason: not null })
                .Select(h => $"{Title(v, h)}: taken back, {h.OverrideReason}.")
        );
        return new(
            v.Plan.Prove.First is { BeforeToRoom: not null } or { AfterToRoom: not null } ? v.Plan.Prove.First.Verdict
                : v.Route.FirstOrDefault(r => !r.Complete) is { } at ? $"stands at {at.Station}: {at.Summary}"
                : "all signed",
            [.. wrong.Distinct().Take(MaxWrong)]
        );
    }

    /// <summary>What the proof says of each block; nothing where it was not measured at a known flow.</summary>
    public static IReadOnlyList<BlockMeasured> Measured(JobView v) =>
        [
            .. v
                .Plan.Prove.Pairs.Select(proof =>
                    v.Order.Pairs.FirstOrDefault(p => p.Key == proof.Pair) is { Block.Flow: { } flow } pair
                    && proof.Comparison is { AfterToCoolant: { } measured, ExpectedToCoolantKPerW: { } expected }
                    && v.Plan.Pads.Pairs.FirstOrDefault(p => p.Pair == proof.Pair && p.Board == proof.Board) is { } pads
                    && ShopMedians.RatioOf(
                        measured.KPerW,
                        expected,
                        proof.Comparison.ExpectedThroughKPerW ?? FilmResistance.Compute(pads) ?? 0,
                        flow.ShopScale ?? 1
                    )
                        is { } ratio
                        ? new BlockMeasured(
                            v.Id,
                            v.Title,
                            pair.Block.Id,
                            v.PasteId ?? v.Plan.Paste.Faces.Select(f => f.PasteId).FirstOrDefault("?"),
                            ratio
                        )
                        : null
                )
                .OfType<BlockMeasured>(),
        ];

    private static string Title(JobView v, HistoryEntry h) =>
        h.Signed?.Title ?? v.Steps.FirstOrDefault(s => s.StepId.ToString() == h.StepId)?.Title ?? h.StepId;

    public static JobWords Words(JobView v, JobOutcome outcome, LocalTimes times)
    {
        string Join(IEnumerable<string?> words) =>
            string.Join(' ', words.Where(w => !string.IsNullOrWhiteSpace(w)).Distinct());
        var boards = v.Order.Pieces.Select(p => p.Board).ToList();
        var blocks = v.Order.Pairs.Select(p => p.Block).ToList();
        var done = v.History.Where(h => h.Kind == StepEvent.Done).ToList();
        return new(
            Join([v.Title, $"job {v.Id}", v.KindName, v.Bench]),
            v.Client ?? "",
            Join(boards.SelectMany(b => new[] { b.Id, b.Maker, b.Model, b.BoardCode, b.Revision })),
            Join(blocks.SelectMany(b => new[] { b.Id, b.Maker, b.Model })),
            Join(
                boards
                    .SelectMany(b => b.Parts)
                    .Where(p => p.Cool != Cooling.No)
                    .SelectMany(p => new[] { p.Id, PartWord(p.Kind) })
            ),
            Join([.. outcome.Wrong, .. v.Route.Where(r => r.Trouble).Select(r => r.Summary)]),
            Join(done.Select(h => h.By).Append(v.OpenedBy)),
            Join(
                done.Select(h => h.DoneAt ?? h.At).Append(v.OpenedAt).Select(times.Date).Distinct().SelectMany(DayWords)
            ),
            Join(v.Notes.Select(n => n.Text).Append(outcome.Verdict)),
            [
                .. boards.Select(b => b.Id),
                .. blocks.Select(b => b.Id),
                .. new[] { v.Order.Machine?.Id }.OfType<string>(),
                .. v.Order.Pieces.Select(p => p.Seated?.Socket.Id).OfType<string>(),
            ]
        );
    }

    private static string PartWord(PartKind kind) =>
        kind switch
        {
            PartKind.PowerStage => "power stage",
            _ => kind.ToString().ToLowerInvariant(),
        };

    private static IEnumerable<string> DayWords(DateOnly d) =>
        [d.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture), d.ToString("MMMM", CultureInfo.InvariantCulture)];
}
