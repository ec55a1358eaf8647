using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Materials;

/// <summary>
/// Pads and pastes that a computing call knows by name without being given their values: the same in every workshop,
/// whatever its inventory holds.
/// </summary>
public static class DefaultMaterials
{
    public static IReadOnlyDictionary<string, PadMaterial> Pads { get; } =
        new PadMaterial[]
        {
            new("soft-3", Curve(0.1, 0.015, 0.2, 0.04, 0.3, 0.08, 0.4, 0.16, 0.5, 0.35, 0.6, 0.8), 0.1, 0.45, 0.05)
            {
                ConductivityWPerMK = 2.6,
                ClaimedWPerMK = 3,
                FreshCurve = Curve(0.1, 0.024, 0.2, 0.064, 0.3, 0.128, 0.4, 0.256, 0.5, 0.56, 0.6, 1.28),
            },
            new("firm-6", Curve(0.1, 0.045, 0.2, 0.12, 0.3, 0.24, 0.4, 0.48, 0.5, 1.05, 0.6, 2.4), 0.08, 0.3, 0.05)
            {
                ConductivityWPerMK = 4.8,
                ClaimedWPerMK = 6,
                FreshCurve = Curve(0.1, 0.075, 0.2, 0.2, 0.3, 0.4, 0.4, 0.8, 0.5, 1.75, 0.6, 4),
            },
            new("putty-8", Curve(0.5, 0.02, 0.8, 0.06), 0.05, 0.8, 0.1) { ConductivityWPerMK = 5.5, ClaimedWPerMK = 8 },
        }.ToDictionary(m => m.Id);

    public static IReadOnlyDictionary<string, PasteMaterial> Pastes { get; } =
        new PasteMaterial[]
        {
            new("grey-standard", 110, 180, 2.6, PasteMaterial.DefaultCUm, PasteMaterial.DefaultM, 4.2),
            new("stiff-9", 320, 420, 3.1, PasteMaterial.DefaultCUm, PasteMaterial.DefaultM, 7.5),
            new("quick-73", 8, 0.1, 6.4, PasteMaterial.DefaultCUm, PasteMaterial.DefaultM, 70) { LiquidMetal = true },
        }.ToDictionary(p => p.Id!);

    /// <summary>Squash and MPa of each point, from the origin.</summary>
    private static Point2[] Curve(params double[] points) =>
        [new(0, 0), .. points.Chunk(2).Select(p => new Point2(p[0], p[1]))];
}
