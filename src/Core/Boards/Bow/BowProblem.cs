using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

public enum EdgeHold
{
    Free,
    SimplySupported,
    Clamped,
}

public enum SupportKind
{
    Pinned,
    Clamped,
}

/// <param name="DiameterMm">Disc it holds over: washer or standoff, mm.</param>
public sealed record BowSupport(double X, double Y, SupportKind Kind, double DiameterMm);

/// <summary>A force spread over a rectangle; + along +z. A rectangle without size is a point.</summary>
public sealed record BowLoad(double X, double Y, double WidthMm, double DepthMm, double ForceN);

public sealed record BowReaction(double X, double Y, double ForceN);

/// <param name="PeakMm">Signed deflection of largest size anywhere on the board, mm, + along +z.</param>
/// <param name="StrainMicro">Largest principal surface strain, millionths.</param>
/// <param name="WatchedStrainMicro">The same within the watched areas; null when none are watched.</param>
/// <param name="Map">Deflections on a grid for the drawing: rows from −y to +y, null off the board.</param>
public sealed record BowResult(
    double PeakMm,
    IReadOnlyList<double> AtMm,
    IReadOnlyList<double> ProbesMm,
    double StrainMicro,
    IReadOnlyList<BowReaction> Reactions,
    int ElementsUsed,
    BowMap Map,
    double? WatchedStrainMicro = null
);

public sealed record BowMap(
    double MinX,
    double MinY,
    double StepX,
    double StepY,
    int Columns,
    int Rows,
    IReadOnlyList<double?> Mm
);

/// <summary>What a bow is reckoned from. E in MPa.</summary>
public sealed record BowProblem(Polygon Outline, double ThicknessMm, double EMPa, double Nu)
{
    public EdgeHold Edges { get; init; }
    public IReadOnlyList<BowSupport> Supports { get; init; } = [];
    public IReadOnlyList<BowLoad> Loads { get; init; } = [];
    public double PressureMPa { get; init; }
    public IReadOnlyList<Point2> Probes { get; init; } = [];
    public int Elements { get; init; } = 2500;

    /// <summary>Where strain matters apart from the whole board: under parts with many joints.</summary>
    public IReadOnlyList<Polygon> Watched { get; init; } = [];

    /// <summary>Areas stiffened by what is fixed to them, by a factor on the plate's rigidity.</summary>
    public IReadOnlyList<(Polygon Area, double Factor)> Stiffeners { get; init; } = [];
}
