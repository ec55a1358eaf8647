using System.Globalization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// Judges whether a block seats on a board: alignment, clashes, coverage, envelope, evidence and chance.
/// </summary>
public static class Fit
{
    /// <exception cref="OperationCanceledException">The draws were stopped.</exception>
    public static FitResult Judge(
        Board board,
        Block block,
        FitSettings? settings = null,
        CancellationToken cancel = default
    )
    {
        settings ??= new();
        var own = LaidBlock.Plates(Orders.CarrierOrder.On(block, board), p => p.Board is null || p.Board == board.Id);
        return Judge(board, own, Laying.Best(board, own, settings), settings, cancel);
    }

    /// <summary>Judges one placement of a block whose plates all belong to this board.</summary>
    /// <exception cref="OperationCanceledException">The draws were stopped.</exception>
    public static FitResult Judge(
        Board board,
        Block block,
        Laid best,
        FitSettings settings,
        CancellationToken cancel = default
    )
    {
        var chance = Chance(board, best, settings, cancel);
        var grade = Grade(board, block);
        var judgements = FitReasons.For(board, block, best, settings, chance, grade).ToList();
        var verdict = Decide(board, chance, settings, judgements);
        int Named(string code) => judgements.Find(j => j.Reason.Code == code)?.Reason.Refs.Count ?? 0;
        var (unknown, taken, assumed) = (
            Named(FitReasons.UnknownParts),
            Named(FitReasons.AssumedParts),
            Named(BlockEvidence.Assumed)
        );
        if (unknown + taken + assumed > 0 && verdict < Verdict.Unproven)
            verdict = Verdict.Unproven;
        return new FitResult
        {
            Verdict = verdict,
            Grade = grade,
            Summary =
                verdict == Verdict.Unproven && unknown > 0
                    ? FitWords.UnprovenWithoutHeightOrKind(HowMany.Count(unknown, "part"))
                : verdict == Verdict.Unproven && taken > 0
                    ? (Message)$"unproven: {HowMany.Count(taken, "part")} only assumed"
                : verdict == Verdict.Unproven && assumed > 0
                    ? (Message)$"unproven: {HowMany.Count(assumed, "land or screw", "lands and screws")} only assumed"
                : Summarise(verdict, best, chance, judgements),
            PlaneMm = best.PlaneMm,
            Placement = best.Alignment.Placement,
            MissRatio = best.Alignment.Ratio,
            Screws = best.Alignment.Screws,
            Clashes = best.Clashes,
            Tight = best.Tight,
            Margins = best.Margins,
            Uncovered = best.Uncovered,
            Coverage = best.Coverage,
            Sinks = PassiveSinks.For(
                board,
                block,
                best.Uncovered,
                settings.AirC,
                [.. best.Plates.Select(p => (p.Plate.Face, best.Alignment.Placement.Apply(p.Plate.Outline)))]
            ),
            ChanceOfSeating = chance,
            // the reason that decides stands first
            Reasons =
            [
                .. judgements
                    .OrderByDescending(j =>
                        verdict == Verdict.Unproven
                        && j.Reason.Code
                            is "chance"
                                or FitReasons.UnknownParts
                                or FitReasons.AssumedParts
                                or BlockEvidence.Assumed
                            ? Weight.Clash + 1
                            : j.Weight
                    )
                    .Select(j => j.Reason with { Weight = j.Weight }),
            ],
        };
    }

    /// <summary>
    /// A with the maker's statement for this board code and revision; else what the board says of itself; else
    /// surveyed or traced.
    /// </summary>
    public static EvidenceGrade Grade(Board board, Block block) =>
        block.DeclaredFor.Any(d =>
            d.Maker == board.Maker
            && d.BoardCode == board.BoardCode
            && (d.Revisions.Count == 0 || d.Revisions.Contains(board.Revision))
        )
            ? EvidenceGrade.A
            : board.Evidence ?? (board.PositionSigmaMm > 0 ? EvidenceGrade.C : EvidenceGrade.B);

    private static double Chance(Board board, Laid laid, FitSettings settings, CancellationToken cancel)
    {
        if (board.PositionSigmaMm > 0)
            return SeatingChance.Compute(board, laid.Alignment, laid.Loose, settings.Seed, cancel: cancel);
        return laid.Alignment.Fits && laid.Clashes.Count == 0 ? 1 : 0;
    }

    private static Verdict Decide(Board board, double chance, FitSettings settings, List<Judgement> judgements)
    {
        var heaviest = judgements.Count == 0 ? Weight.Note : judgements.Max(j => j.Weight);
        if (board.PositionSigmaMm <= 0)
            return heaviest == Weight.Clash ? Verdict.Clashes
                : heaviest == Weight.Work ? Verdict.SeatsWithWork
                : Verdict.Seats;
        var certainClash = judgements.Any(j =>
            j.Weight == Weight.Clash && j.Reason.Code is "socket" or "hole-missing" or "no-plane" or "land-meets-part"
        );
        if (certainClash || chance < settings.Fails)
            return Verdict.Clashes;
        if (chance <= settings.Passes)
            return Verdict.Unproven;
        return heaviest >= Weight.Work ? Verdict.SeatsWithWork : Verdict.Seats;
    }

    /// <summary>One chance is one figure wherever it is shown: halves are rounded up.</summary>
    internal static double Percent(double chance) =>
        Math.Round(Math.Round(chance * 100, 6), MidpointRounding.AwayFromZero);

    public const string WrongSocket = "wrong socket";

    internal static readonly (string[] Codes, Message Words)[] Hopeless =
    [
        (["socket"], Message.Quote(WrongSocket)),
        (["hole-missing", "screw-misses", "screw-too-wide"], FitWords.ScrewsDoNotLineUp),
    ];

    private static Message Summarise(Verdict verdict, Laid laid, double chance, List<Judgement> judgements)
    {
        static string Mm(double v) => v.ToString("0.00", CultureInfo.InvariantCulture);
        switch (verdict)
        {
            case Verdict.Seats:
                return laid.Margins.Count > 0 ? (Message)$"seats, tightest {Mm(laid.Margins[0].MarginMm)} mm"
                    : laid.Alignment.Screws.Count > 0 ? FitWords.SeatsAllScrewsPass
                    : (Message)$"seats";
            case Verdict.SeatsWithWork:
                return laid.Uncovered.Count > 0
                        ? (Message)
                            $"seats, {HowMany.Count(laid.Uncovered.Count, "part needs a sink", "parts need sinks")}"
                    : laid.Tight.Count > 0
                        ? (Message)$"seats, {laid.Tight[0].Part} tight {Mm(laid.Tight[0].MarginMm)} mm"
                    : (Message)$"seats, with work";
            case Verdict.Unproven:
                return $"unproven, {Percent(chance)} % likely";
            default:
                // what no filing or shimming can mend comes first
                foreach (var (codes, words) in Hopeless)
                    if (judgements.Any(j => j.Weight == Weight.Clash && codes.Contains(j.Reason.Code)))
                        return words;
                if (laid.Clashes.Count > 0)
                    return $"{laid.Clashes[0].Part} clashes by {Mm(-laid.Clashes[0].MarginMm)} mm";
                return judgements.FirstOrDefault(j => j.Weight == Weight.Clash)?.Reason.Code == "no-plane"
                    ? FitWords.BlockMissesDie
                    : FitWords.SeatsInOfCases(Percent(chance));
        }
    }
}
