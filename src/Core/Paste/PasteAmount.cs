using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Paste;

/// <summary>How much paste a face needs, in the hand's terms.</summary>
/// <param name="BondLineUm">Film left at the seating pressure, µm.</param>
/// <param name="PressureMPa">Mean pressure on the face, MPa.</param>
/// <param name="DotDiameterMm">Diameter of one dot, taken as a half sphere.</param>
/// <param name="LineLengthMm">Length of one bead.</param>
/// <param name="CrossArmMm">Length of each of the two beads of a cross.</param>
/// <param name="PlungerMm">How far the plunger moves.</param>
public sealed record PasteAmount(
    double BondLineUm,
    double PressureMPa,
    double AreaMm2,
    double VolumeMl,
    double MassG,
    double DotDiameterMm,
    double LineLengthMm,
    double CrossArmMm,
    double PlungerMm
)
{
    public const double DefaultBeadMm = 1.5;
    public const double DefaultBoreMm = 9.5;

    /// <summary>Amount = area × bond line × (1 + margin); the bond line by h = c·(τy/P)^m at P = clamp/area.</summary>
    /// <param name="areaMm2">Face to cover, mm².</param>
    /// <param name="clampN">Clamp load on it, N.</param>
    /// <param name="margin">Extra share, 0.2 for a fifth more.</param>
    /// <param name="beadMm">Diameter of the bead that is drawn, mm.</param>
    /// <param name="boreMm">Bore of the syringe, mm.</param>
    public static PasteAmount For(
        double areaMm2,
        PasteMaterial paste,
        double clampN,
        double margin,
        double beadMm = DefaultBeadMm,
        double boreMm = DefaultBoreMm
    )
    {
        var pressure = clampN / areaMm2;
        var film = paste.BondLineUm(pressure);
        var mm3 = areaMm2 * film / 1000 * (1 + margin);
        var line = mm3 / (Math.PI * beadMm * beadMm / 4);
        return new(
            film,
            pressure,
            areaMm2,
            mm3 / 1000,
            mm3 / 1000 * paste.DensityGPerMl,
            2 * Math.Cbrt(3 * mm3 / (2 * Math.PI)),
            line,
            line / 2,
            mm3 / (Math.PI * boreMm * boreMm / 4)
        );
    }
}
