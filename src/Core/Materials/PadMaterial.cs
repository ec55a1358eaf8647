namespace FaithfulBracket.Core.Materials;

/// <summary>A pad material with its compression curve and the squash it works in.</summary>
/// <param name="Id">Its name in the drawer.</param>
/// <param name="Curve">Relaxed stress over squash: pairs of squash (0 to 1) and MPa, rising.</param>
/// <param name="SquashMin">Least squash that carries heat, 0 to 1.</param>
/// <param name="SquashMax">Most squash the pad takes, 0 to 1.</param>
/// <param name="ThicknessTolMm">Thickness tolerance, ± mm.</param>
public sealed record PadMaterial(
    string Id,
    IReadOnlyList<Geometry.Point2> Curve,
    double SquashMin,
    double SquashMax,
    double ThicknessTolMm
)
{
    /// <summary>Stress over squash in the first minutes, before the pad relaxes; null where only the relaxed curve is known.</summary>
    public IReadOnlyList<Geometry.Point2>? FreshCurve { get; init; }

    /// <summary>The material as it pushes while it is being mounted.</summary>
    public PadMaterial WhileMounting() => FreshCurve is { } fresh ? this with { Curve = fresh } : this;

    /// <summary>The material with no more of its squash used than the shop accepts.</summary>
    public PadMaterial Within(double least, double most) =>
        this with
        {
            SquashMin = Math.Max(SquashMin, least),
            SquashMax = Math.Min(SquashMax, most),
        };

    /// <summary>The material with what the shop takes where nothing is stated or measured.</summary>
    /// <param name="faceMm2KPerW">Of one face, mm²·K/W.</param>
    /// <param name="claimShare">What of a maker's claim is believed.</param>
    public PadMaterial Taken(double faceMm2KPerW, double claimShare) =>
        this with
        {
            ContactMm2KPerW = ContactMm2KPerW ?? faceMm2KPerW,
            ConductivityWPerMK = ConductivityWPerMK ?? ClaimedWPerMK * claimShare,
        };

    /// <summary>Conductivity the shop calculates with, W/(m·K).</summary>
    public double? ConductivityWPerMK { get; init; }

    /// <summary>Resistance of one face against what it touches, mm²·K/W; 10 where not stated.</summary>
    public double? ContactMm2KPerW { get; init; }

    /// <summary>Conductivity the maker claims, W/(m·K).</summary>
    public double? ClaimedWPerMK { get; init; }
}
