using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Paste;

/// <summary>How much paste a face needs, in the hand's terms. Made in one place, so that every figure is of the same volume.</summary>
public sealed record PasteAmount
{
    public const double DefaultBeadMm = 1.5;

    /// <summary>Film left at the seating pressure, µm; for liquid metal the film on each face.</summary>
    public required double BondLineUm { get; init; }

    /// <summary>Mean pressure on the face, MPa.</summary>
    public required double PressureMPa { get; init; }
    public required double AreaMm2 { get; init; }
    public required double VolumeMl { get; init; }
    public required double MassG { get; init; }

    /// <summary>Diameter of one dot, taken as a half sphere, mm.</summary>
    public required double DotDiameterMm { get; init; }

    /// <summary>Length of one bead, mm.</summary>
    public required double LineLengthMm { get; init; }

    /// <summary>Length of each of the two beads of a cross, mm.</summary>
    public required double CrossArmMm { get; init; }

    /// <summary>Bead that line and cross are told for, mm, and the extra share that is in the volume.</summary>
    public required double BeadMm { get; init; }
    public required double Margin { get; init; }

    /// <summary>How far the plunger moves, mm.</summary>
    public required double PlungerMm { get; init; }

    /// <summary>
    /// Amount = area × bond line × (1 + margin); the bond line by h = c·(τy/P)^m at P = clamp/area. Liquid metal goes on as a film of
    /// its own on both faces, whatever the pressure.
    /// </summary>
    /// <param name="areaMm2">Face to cover, mm².</param>
    /// <param name="clampN">Clamp load on it, N.</param>
    /// <param name="margin">Extra share, 0.2 for a fifth more.</param>
    /// <param name="boreMm">Bore of the syringe, mm.</param>
    /// <param name="beadMm">Diameter of the bead that is drawn, mm.</param>
    /// <param name="crownMm">Crowns of both faces together, round paraboloids: half of it is the film's mean excess, mm.</param>
    public static PasteAmount For(
        double areaMm2,
        PasteMaterial paste,
        double clampN,
        double margin,
        double boreMm,
        double beadMm = DefaultBeadMm,
        double crownMm = 0
    )
    {
        var pressure = clampN / areaMm2;
        var film = paste.LiquidMetal ? PasteMethods.LiquidFilmUm : paste.BondLineUm(pressure);
        var mm3 = paste.LiquidMetal
            ? 2 * PasteMethods.LiquidPerFaceUl(areaMm2)
            : areaMm2 * (film / 1000 + crownMm / 2) * (1 + margin);
        var line = mm3 / (Math.PI * beadMm * beadMm / 4);
        return new()
        {
            BondLineUm = film,
            PressureMPa = pressure,
            AreaMm2 = areaMm2,
            VolumeMl = mm3 / 1000,
            MassG = mm3 / 1000 * paste.DensityGPerMl,
            DotDiameterMm = 2 * Math.Cbrt(3 * mm3 / (2 * Math.PI)),
            LineLengthMm = line,
            CrossArmMm = line / 2,
            BeadMm = beadMm,
            Margin = paste.LiquidMetal ? 0 : margin,
            PlungerMm = mm3 / (Math.PI * boreMm * boreMm / 4),
        };
    }
}
