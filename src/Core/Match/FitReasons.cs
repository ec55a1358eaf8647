using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>Says why a block fits or not, one sentence a judgement, each with its figures.</summary>
internal static class FitReasons
{
    public static IEnumerable<Judgement> For(
        Board board,
        Block block,
        Laid laid,
        FitSettings settings,
        double chance,
        EvidenceGrade grade
    )
    {
        foreach (var j in Screws(laid.Alignment))
            yield return j;
        // a die that nobody has measured fixes the height all the same
        var waits = laid.Pairings.Any(p => p.Part.HeightUnknown && p.Land.Through != Through.Pad);
        if (laid.PlaneMm is null && !waits)
            yield return new(
                Weight.Clash,
                new(
                    "no-plane",
                    "No paste land of the block lies over a die, and no standoff height is given: nothing fixes its height.",
                    []
                )
            );
        if (Unknown(board) is { } unknown)
            yield return new(Weight.Work, unknown);
        if (Assumed(board) is { } taken)
            yield return new(Weight.Work, taken);
        foreach (var j in BlockEvidence.For(block, laid))
            yield return j;
        foreach (var c in laid.Clashes)
        {
            yield return laid.Gaps.Any(g => g.Pairing.Part.Id == c.Part)
                ? new(
                    Weight.Clash,
                    new(
                        "land-meets-part",
                        FormattableString.Invariant(
                            $"{c.Part} stands {-c.MarginMm:0.00} mm higher than its land: the block would rest on it and float off the die."
                        ),
                        [c.Part]
                    )
                )
                : new(
                    Weight.Clash,
                    new(
                        "clash",
                        FormattableString.Invariant(
                            $"{c.Part} ({Name(board, c.Part)}) meets the block's {Region(c.Region)}: {-c.MarginMm:0.00} mm too tall."
                        ),
                        [c.Part]
                    )
                );
        }
        foreach (var t in laid.Tight)
            yield return new(
                Weight.Work,
                new(
                    "tight",
                    FormattableString.Invariant(
                        $"{t.Part} clears the {Region(t.Region)} by only {t.MarginMm:0.00} mm, less than {settings.MinClearanceMm:0.0#}: measure it before mounting."
                    ),
                    [t.Part]
                )
            );
        foreach (
            var (p, gap) in laid.Gaps.Where(g =>
                g.Pairing.Land is { Through: Through.Pad, PadMm: { } pad } && g.GapMm >= pad
            )
        )
            yield return new(
                Weight.Work,
                new(
                    "pad-too-thin",
                    FormattableString.Invariant(
                        $"{p.Part.Id}: gap {gap:0.00} mm, the supplied {p.Land.PadMm:0.0#} mm pad does not touch; a thicker one is needed."
                    ),
                    [p.Part.Id, p.Land.Id]
                )
            );
        if (laid.Uncovered.Count > 0)
        {
            var kept = laid.Uncovered.FindAll(p => board.FindPart(p)?.Kind is PartKind.Die or PartKind.Lid);
            var bare = laid.Uncovered.Except(kept).ToList();
            string Bare(List<string> parts, string one, string more) =>
                $"No land covers {List(parts)}: {(parts.Count == 1 ? one : more)}.";
            List<string> told =
            [
                .. bare.Count > 0
                    ? [Bare(bare, "it needs passive sinks and airflow", "they need passive sinks and airflow")]
                    : Array.Empty<string>(),
                .. kept.Count > 0
                    ? [Bare(kept, "it needs a cooler of its own", "they need coolers of their own")]
                    : Array.Empty<string>(),
            ];
            yield return new(Weight.Work, new("uncovered", string.Join(" ", told), laid.Uncovered));
        }
        foreach (var j in Envelope.Judge(board, block))
            yield return j;
        if (board.PositionSigmaMm > 0)
            yield return new(
                Weight.Note,
                new(
                    "chance",
                    FormattableString.Invariant(
                        $"Positions are known to ±{3 * board.PositionSigmaMm:0.00} mm (3σ): chance of seating {Fit.Percent(chance)} %."
                    ),
                    []
                )
            );
        yield return new(Weight.Note, new("evidence", Evidence(grade, board, block), []));
        if (laid.Clashes.Count == 0 && laid.Margins.Count > 0)
            yield return new(
                Weight.Note,
                new(
                    "tightest",
                    FormattableString.Invariant(
                        $"Of {HowMany.Of(laid.Margins.Count, "part")} under the plate the tightest is {laid.Margins[0].Part}, {laid.Margins[0].MarginMm:0.00} mm clear."
                    ),
                    [laid.Margins[0].Part]
                )
            );
    }

    /// <summary>Code of the reason that makes any verdict wait for a height or a kind.</summary>
    public const string UnknownParts = "unknown-parts";

    /// <summary>Parts that nobody has measured or named yet; null where there are none.</summary>
    public static Reason? Unknown(Board board) =>
        Waiting(
            UnknownParts,
            board.Parts.Where(p => p.IsUnknown),
            n => $"{HowMany.Of(n, "part has", "parts have")} no height or no kind yet",
            "Measure them, or take them from a board like this one."
        );

    /// <summary>Code of the reason that makes any verdict wait for a look at parts.</summary>
    public const string AssumedParts = "assumed-parts";

    /// <summary>Parts whose size and height nobody has looked at; null where there are none.</summary>
    private static Reason? Assumed(Board board) =>
        Waiting(
            AssumedParts,
            board.Parts.Where(p => p.Evidence == FigureGrade.Assumed),
            n => $"{HowMany.Of(n, "part is", "parts are")} only assumed from a board like this one",
            "Look at them, and measure those that stand high."
        );

    private static Reason? Waiting(string code, IEnumerable<Part> parts, Func<int, string> what, string then)
    {
        List<string> ids = [.. parts.Select(p => p.Id)];
        return ids.Count == 0
            ? null
            : new(code, $"{what(ids.Count)}: {List(ids)}. {then}", ids) { Weight = Weight.Work };
    }

    private static IEnumerable<Judgement> Screws(Alignment a)
    {
        foreach (var s in a.Screws.Where(s => !s.Passes))
        {
            var weight = s.Required ? Weight.Clash : Weight.Note;
            if (s is { BoardHole: not null, SlackMm: < 0 })
            {
                yield return new(
                    weight,
                    new(
                        "screw-too-wide",
                        FormattableString.Invariant(
                            $"Screw {s.BlockHole} is {-2 * s.SlackMm:0.00} mm too wide for hole {s.BoardHole}{(s.Required ? "" : "; it is optional and stays out")}."
                        ),
                        [s.BlockHole, s.BoardHole]
                    )
                );
                continue;
            }
            yield return s.BoardHole is null
                ? new(
                    weight,
                    new(
                        "hole-missing",
                        $"Screw {s.BlockHole} finds no hole in the board within {HoleAlignment.CaptureMm:0} "
                            + $"mm{(s.Required ? "" : "; it is optional and stays out")}.",
                        [s.BlockHole]
                    )
                )
                : new(
                    weight,
                    new(
                        "screw-misses",
                        FormattableString.Invariant(
                            $"Screw {s.BlockHole} misses {s.BoardHole} by {s.MissMm:0.00} mm, slack {Math.Max(0, s.SlackMm ?? 0):0.00} mm{(s.Required ? "" : "; it is optional and stays out")}."
                        ),
                        [s.BlockHole, s.BoardHole]
                    )
                );
        }
        var passing = a.Screws.Where(s => s.Passes).ToList();
        if (passing.Count == a.Screws.Count && passing.Count > 0)
        {
            var worst = passing.MaxBy(s => s.SlackMm > 0 ? s.MissMm / s.SlackMm : 0)!;
            yield return new(
                Weight.Note,
                new(
                    "screws-pass",
                    FormattableString.Invariant(
                        $"{(passing.Count == 1 ? "The one screw passes:" : $"All {passing.Count} screws pass; worst is")} {worst.BlockHole}, {worst.MissMm:0.00} of {worst.SlackMm:0.00} mm slack used."
                    ),
                    [worst.BlockHole]
                )
            );
        }
    }

    private static string Evidence(EvidenceGrade grade, Board board, Block block) =>
        grade switch
        {
            EvidenceGrade.A => $"Grade A: {block.Maker} states the fit for {board.BoardCode} {board.Revision}.",
            EvidenceGrade.B =>
                $"Grade B: no statement for {board.BoardCode} {board.Revision}; judged from the surveyed board.",
            EvidenceGrade.C => "Grade C: judged from a board traced from a photo.",
            EvidenceGrade.D => "Grade D: judged from a twin by resemblance.",
            _ => "Grade E: the maker's opinion on pictures only.",
        };

    private static string Region(CeilingRegion r) =>
        r switch
        {
            CeilingRegion.Base => "underside",
            CeilingRegion.Pocket => "pocket",
            _ => "land",
        };

    private static string Name(Board board, string part) =>
        board.FindPart(part)?.Kind switch
        {
            PartKind.PowerStage => "power stage",
            PartKind.BridgeChip => "bridge chip",
            { } k => k.ToString().ToLowerInvariant(),
            null => "part",
        };

    private static string List(List<string> ids) =>
        ids.Count <= 6 ? string.Join(", ", ids) : string.Join(", ", ids.Take(5)) + $" and {ids.Count - 5} more";
}
