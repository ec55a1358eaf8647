using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Pads.Stock;

namespace FaithfulBracket.Core.Pads.Stock;

/// <summary>What a pressed pad says about the part under it.</summary>
/// <param name="FoundMm">Height by the pad, mm.</param>
/// <param name="FoundTolMm">± mm, three standard deviations.</param>
/// <param name="Agrees">Whether document and pad agree within both tolerances.</param>
/// <param name="UsedMm">Height calculated with from here on, mm.</param>
public sealed record PartEvidence(
    string Part,
    double DocumentMm,
    double DocumentTolMm,
    double FoundMm,
    double FoundTolMm,
    bool Agrees,
    double UsedMm,
    double UsedTolMm,
    Message Text
);

/// <summary>
/// Part heights out of the stock cooler's pads. Seated on the same die, the old land stood die height + film − step
/// above the board, and the
/// pressed pad filled what was left: height = die + film − step − gap. A pad springs back a little once it is free; a share of its
/// squash is taken off for that, with as much again as tolerance.
/// </summary>
public static class StockEvidence
{
    /// <summary>Share of the squash a pad regains within minutes of the lift.</summary>
    public const double SpringBack = 0.1;

    /// <summary>A caliper on soft pad, ± mm.</summary>
    public const double PadTolMm = 0.05;

    /// <summary>A depth rod on the old cooler, ± mm.</summary>
    public const double StepTolMm = 0.03;

    /// <summary>The board with what the pads say, and each part's evidence.</summary>
    public static (Board Board, IReadOnlyList<PartEvidence> Evidence) Apply(
        Board board,
        IReadOnlyList<AsFoundPad> found,
        double filmMm = PlaneHeight.DefaultBondLineMm,
        double springBack = SpringBack
    )
    {
        var die = board
            .Parts.Where(p => p.Face == Face.Front && p.Kind is PartKind.Die or PartKind.Lid)
            .MaxBy(p => p.HeightMm);
        if (die is null || found.Count == 0)
            return (board, []);
        var evidence = found
            .GroupBy(f => f.Part)
            .Select(g => Compute(board, die, [.. g], filmMm, springBack))
            .OfType<PartEvidence>()
            .ToDictionary(e => e.Part);
        var parts = board.Parts.Select(p =>
            evidence.TryGetValue(p.Id, out var e) ? p with { StatedHeightMm = e.UsedMm, HeightTolMm = e.UsedTolMm } : p
        );
        return (board with { Parts = [.. parts] }, [.. evidence.Values]);
    }

    private static PartEvidence? Compute(
        Board board,
        Part die,
        IReadOnlyList<AsFoundPad> pads,
        double filmMm,
        double springBack
    )
    {
        if (board.FindPart(pads[0].Part) is not { } part || part.Face != Face.Front)
            return null;
        var heights = pads.Select(p =>
                die.HeightMm + filmMm - p.LandStepMm - (p.PressedMm - springBack * Math.Max(0, p.NewMm - p.PressedMm))
            )
            .ToList();
        var sprung = pads.Average(p => springBack * Math.Max(0, p.NewMm - p.PressedMm));
        // several pads on one part average their reading errors, not what is common to them
        double read = PadTolMm / Math.Sqrt(pads.Count),
            tol = Math.Sqrt(read * read + StepTolMm * StepTolMm + sprung * sprung),
            height = heights.Average();
        var apart = Math.Abs(height - part.HeightMm);
        var agrees = apart <= Math.Sqrt(tol * tol + part.HeightTolMm * part.HeightTolMm);
        // two independent measurements: weights by their variances
        double wDocument = part.HeightTolMm > 0 ? 1 / (part.HeightTolMm * part.HeightTolMm) : double.PositiveInfinity,
            wFound = 1 / (tol * tol);
        var (used, usedTol) =
            !agrees ? (height, tol)
            : double.IsInfinity(wDocument) ? (part.HeightMm, 0)
            : ((wDocument * part.HeightMm + wFound * height) / (wDocument + wFound), 1 / Math.Sqrt(wDocument + wFound));
        var text = agrees
            ? StockEvidenceWords.ByStockPadByDocument(
                part.Id,
                height,
                tol,
                part.HeightMm,
                part.HeightTolMm,
                used,
                usedTol
            )
            : StockEvidenceWords.StockPadSaysDocument(part.Id, height, tol, part.HeightMm, apart);
        return new(
            part.Id,
            part.HeightMm,
            part.HeightTolMm,
            height,
            tol,
            agrees,
            Math.Round(used, 4),
            Math.Round(usedTol, 4),
            text
        );
    }
}
