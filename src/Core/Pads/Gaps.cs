using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Pads;

/// <summary>The gap between a part and its land, mm, with its bands and the pad that fills it.</summary>
/// <param name="MinMm">Worst case: every tolerance of the chain against the gap.</param>
/// <param name="RssMinMm">Root-sum-square of the same tolerances.</param>
/// <param name="Pad">What goes in; null for paste.</param>
/// <param name="Declared">The supplied thickness, when it is not the one chosen.</param>
/// <param name="WouldDo">Thicknesses in kit or drawer that fill the whole band.</param>
public sealed record Gap(
    string Part,
    string Land,
    Face Face,
    Through Through,
    double NominalMm,
    double MinMm,
    double MaxMm,
    double RssMinMm,
    double RssMaxMm,
    double PadAreaMm2,
    PadFit? Pad,
    PadFit? Declared,
    IReadOnlyList<PadFit> WouldDo,
    Message Why
);

public sealed record GapsResult(double? PlaneMm, IReadOnlyList<Gap> Pairs)
{
    /// <summary>Unproven while a part has no height or no kind; null where all are known.</summary>
    public Verdict? Verdict { get; init; }

    /// <summary>Why it is unproven; null where it is not.</summary>
    public IReadOnlyList<Reason>? Reasons { get; init; }
}

/// <summary>A pad thickness the shop can take.</summary>
public sealed record StockedPad(double ThicknessMm, string Material);

/// <summary>Gap = plane + step − height for every part that has a land, and the pad for it.</summary>
public static class Gaps
{
    /// <param name="materials">Every material named by kit or stock.</param>
    /// <param name="stock">What the drawer holds beside the kit.</param>
    /// <exception cref="InputException">Nothing fixes the block's height, or a material is unknown.</exception>
    public static GapsResult Compute(
        LaidBlock laid,
        IReadOnlyDictionary<string, PadMaterial> materials,
        IReadOnlyList<StockedPad>? stock = null,
        double bondLineMm = PlaneHeight.DefaultBondLineMm
    )
    {
        var (board, block, placement) = laid;
        var choice = new PadChoice(block, materials, stock ?? []);
        var gaps = new List<Gap>();
        double? front = null;
        foreach (var plate in block.Plates)
        {
            var pairings = LandPairing.Pair(ExposedParts.Measured(board, block, plate.Face), plate.Lands, placement);
            var plane = PlaneHeight.Compute(
                plate.Seat,
                plate.StandoffMm,
                plate.StandoffTolMm,
                pairings.Where(p => p.Share >= LandPairing.MinShare),
                bondLineMm
            );
            if (plane is null)
                continue;
            front ??= plane.Mm;
            gaps.AddRange(pairings.Where(p => p.Share >= LandPairing.MinShare).Select(p => Compute(p, plane, choice)));
        }
        if (block.BackPlate is { } back)
        {
            var pairings = LandPairing.Pair(ExposedParts.Measured(board, block, Face.Back), back.Lands, placement);
            var plane = PlaneHeight.Compute(
                back.StandoffMm is null ? Seat.Die : Seat.Standoff,
                back.StandoffMm,
                back.StandoffTolMm,
                pairings,
                bondLineMm
            );
            if (plane is not null)
                gaps.AddRange(
                    pairings.Where(p => p.Share >= LandPairing.MinShare).Select(p => Compute(p, plane, choice))
                );
        }
        return FitReasons.Unknown(board) is { } unknown
            ? new(front, gaps) { Verdict = Match.Verdict.Unproven, Reasons = [unknown] }
            : new(front, gaps);
    }

    private static Gap Compute(Pairing p, PlaneHeight plane, PadChoice choice)
    {
        var nominal = plane.Mm + p.Land.StepMm - p.Part.HeightMm;
        // the die that carries the plate: its own height cancels out of its own gap
        var carries = plane.Controlling is { } c && c.Part.Id == p.Part.Id && c.Land.Id == p.Land.Id;
        double[] chain = carries ? [] : [.. plane.TolerancesMm, p.Land.StepTolMm, p.Part.HeightTolMm];
        double worst = chain.Sum(),
            rss = Math.Sqrt(chain.Sum(t => t * t));
        double min = nominal - worst,
            max = nominal + worst;
        var area = p.Share * p.Part.Top().Area;
        if (p.Land.Through != Through.Pad)
            return new(
                p.Part.Id,
                p.Land.Id,
                p.Part.Face,
                p.Land.Through,
                nominal,
                min,
                max,
                nominal - rss,
                nominal + rss,
                area,
                null,
                null,
                [],
                GapsWords.PasteFilmBetweenDieAndLand(p.Part.Id, nominal, p.Land.Id)
            );
        var (chosen, declared, wouldDo) = choice.For(p.Land, min, max);
        return new(
            p.Part.Id,
            p.Land.Id,
            p.Part.Face,
            p.Land.Through,
            nominal,
            min,
            max,
            nominal - rss,
            nominal + rss,
            area,
            chosen,
            declared is not null && chosen is not null && declared != chosen ? declared : null,
            wouldDo,
            GapReasons.Why(p, min, max, chosen, declared)
        );
    }
}
