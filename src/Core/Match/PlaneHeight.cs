using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Match;

/// <summary>Height of a plate's reference plane above the board.</summary>
/// <param name="Mm">Height, mm.</param>
/// <param name="TolerancesMm">Every tolerance in its chain (three standard deviations each), mm.</param>
/// <param name="Controlling">The paste pairing the plate rests on; null when standoffs carry it.</param>
public sealed record PlaneHeight(double Mm, IReadOnlyList<double> TolerancesMm, Pairing? Controlling)
{
    /// <summary>Bond line calculated with where none is given, mm.</summary>
    public const double DefaultBondLineMm = 0.03;

    /// <summary>Die-seated: the largest of height − step + bond line over paired paste lands. Standoff-seated: the standoff.</summary>
    /// <returns>Null when nothing fixes the height.</returns>
    public static PlaneHeight? Compute(
        Seat seat,
        double? standoffMm,
        double standoffTolMm,
        IEnumerable<Pairing> pairings,
        double bondLineMm
    )
    {
        if (seat == Seat.Standoff)
            return standoffMm is { } s ? new(s, [standoffTolMm], null) : null;
        PlaneHeight? highest = null;
        foreach (var p in pairings.Where(p => p.Land.Through != Through.Pad))
        {
            var mm = p.Part.HeightMm - p.Land.StepMm + bondLineMm;
            if (highest is null || mm > highest.Mm)
                highest = new(mm, [p.Part.HeightTolMm, p.Land.StepTolMm], p);
        }
        return highest ?? (standoffMm is { } fallback ? new(fallback, [standoffTolMm], null) : null);
    }
}
