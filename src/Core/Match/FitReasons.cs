using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Match;

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
            yield return new(Weight.Clash, new("no-plane", FitReasonsWords.NoPasteLandOfBlockLies, []));
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
                    new("land-meets-part", FitReasonsWords.StandsHigherThanLand(c.Part, -c.MarginMm), [c.Part])
                )
                : new(
                    Weight.Clash,
                    new(
                        "clash",
                        FitReasonsWords.MeetsBlocksTooTall(c.Part, Name(board, c.Part), Region(c.Region), -c.MarginMm),
                        [c.Part]
                    )
                );
        }
        foreach (var t in laid.Tight)
            yield return new(
                Weight.Work,
                new(
                    "tight",
                    FitReasonsWords.ClearsByOnlyLess(t.Part, Region(t.Region), t.MarginMm, settings.MinClearanceMm),
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
                    FitReasonsWords.GapSuppliedPadDoesNotTouch(p.Part.Id, gap, p.Land.PadMm),
                    [p.Part.Id, p.Land.Id]
                )
            );
        if (laid.Uncovered.Count > 0)
        {
            var kept = laid.Uncovered.FindAll(p => board.FindPart(p)?.Kind is PartKind.Die or PartKind.Lid);
            var bare = laid.Uncovered.Except(kept).ToList();
            Message Bare(List<string> parts, Message one, Message more) =>
                (Message)$"No land covers {List(parts)}: {(parts.Count == 1 ? one : more)}.";
            List<Message> told =
            [
                .. bare.Count > 0
                    ?
                    [
                        Bare(
                            bare,
                            FitReasonsWords.ItNeedsPassiveSinksAndAirflow,
                            FitReasonsWords.TheyNeedPassiveSinksAndAirflow
                        ),
                    ]
                    : Array.Empty<Message>(),
                .. kept.Count > 0
                    ? [Bare(kept, FitReasonsWords.ItNeedsCoolerOfOwn, FitReasonsWords.TheyNeedCoolersOfTheirOwn)]
                    : Array.Empty<Message>(),
            ];
            yield return new(Weight.Work, new("uncovered", Message.Join(told), laid.Uncovered));
        }
        foreach (var j in Envelope.Judge(board, block))
            yield return j;
        if (board.PositionSigmaMm > 0)
            yield return new(
                Weight.Note,
                new("chance", FitReasonsWords.PositionsAreKnown(3 * board.PositionSigmaMm, Fit.Percent(chance)), [])
            );
        yield return new(Weight.Note, new("evidence", Evidence(grade, board, block), []));
        if (laid.Clashes.Count == 0 && laid.Margins.Count > 0)
            yield return new(
                Weight.Note,
                new(
                    "tightest",
                    FitReasonsWords.OfUnderPlateTightestIsClear(
                        HowMany.Count(laid.Margins.Count, "part"),
                        laid.Margins[0].Part,
                        laid.Margins[0].MarginMm
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
            n => FitReasonsWords.NoHeightOrNoKindYet(HowMany.Count(n, "part has", "parts have")),
            FitReasonsWords.MeasureThemOrTakeThem
        );

    /// <summary>Code of the reason that makes any verdict wait for a look at parts.</summary>
    public const string AssumedParts = "assumed-parts";

    /// <summary>Parts whose size and height nobody has looked at; null where there are none.</summary>
    private static Reason? Assumed(Board board) =>
        Waiting(
            AssumedParts,
            board.Parts.Where(p => p.Evidence == FigureGrade.Assumed),
            n => FitReasonsWords.OnlyAssumedFromBoardLike(HowMany.Count(n, "part is", "parts are")),
            FitReasonsWords.LookAtThemAndMeasureThose
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
                        FitReasonsWords.ScrewIsTooWideForHole(
                            s.BlockHole,
                            -2 * s.SlackMm,
                            s.BoardHole,
                            s.Required ? "" : FitReasonsWords.ItIsOptionalAndStaysOut
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
                        FitReasonsWords.ScrewFindsNoHoleInBoard(
                            s.BlockHole,
                            HoleAlignment.CaptureMm,
                            s.Required ? "" : FitReasonsWords.ItIsOptionalAndStaysOut
                        ),
                        [s.BlockHole]
                    )
                )
                : new(
                    weight,
                    new(
                        "screw-misses",
                        FitReasonsWords.ScrewMissesBySlack(
                            s.BlockHole,
                            s.BoardHole,
                            s.MissMm,
                            Math.Max(0, s.SlackMm ?? 0),
                            s.Required ? "" : FitReasonsWords.ItIsOptionalAndStaysOut
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
                    FitReasonsWords.OfSlackUsed(
                        passing.Count == 1
                            ? FitReasonsWords.OneScrewPasses
                            : FitReasonsWords.AllScrewsPass(passing.Count),
                        worst.BlockHole,
                        worst.MissMm,
                        worst.SlackMm
                    ),
                    [worst.BlockHole]
                )
            );
        }
    }

    private static Message Evidence(EvidenceGrade grade, Board board, Block block) =>
        grade switch
        {
            EvidenceGrade.A => FitReasonsWords.GradeStatesFit(block.Maker, board.BoardCode, board.Revision),
            EvidenceGrade.B => FitReasonsWords.GradeBNoStatement(board.BoardCode, board.Revision),
            EvidenceGrade.C => FitReasonsWords.GradeCJudgedFromBoardTraced,
            EvidenceGrade.D => FitReasonsWords.GradeDJudgedFromTwin,
            _ => FitReasonsWords.GradeEMakersOpinionOnPictures,
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
