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
)
{
    /// <summary>
    /// Largest principal surface strain one board thickness outside the soldered layers' outlines; null without any.
    /// </summary>
    [System.Text.Json.Serialization.JsonIgnore(Condition = System.Text.Json.Serialization.JsonIgnoreCondition.Never)]
    public double? RimMicro { get; init; }

    /// <summary>
    /// The same shape measured from the plane that lies closest to it: a straight edge laid on the board shows no
    /// tilt.
    /// </summary>
    public BowResult Levelled()
    {
        var map = Map.Levelled();
        var worst = Enumerable.Range(0, map.Mm.Count).MaxBy(i => Math.Abs(map.Mm[i] ?? 0));
        return this with
        {
            Map = map,
            PeakMm = map.Mm[worst] ?? 0,
            AtMm = [map.MinX + worst % map.Columns * map.StepX, map.MinY + worst / map.Columns * map.StepY],
        };
    }
}

public sealed record BowMap(
    double MinX,
    double MinY,
    double StepX,
    double StepY,
    int Columns,
    int Rows,
    IReadOnlyList<double?> Mm
)
{
    internal BowMap Levelled()
    {
        var at = Enumerable.Range(0, Mm.Count).Where(i => Mm[i] is not null).ToList();
        if (at.Count < 3)
            return this;
        double X(int i) => i % Columns * StepX;
        double Y(int i) => i / Columns * StepY;
        double x = at.Average(X),
            y = at.Average(Y),
            z = at.Average(i => Mm[i]!.Value);
        double xx = 0,
            xy = 0,
            yy = 0,
            xz = 0,
            yz = 0;
        foreach (var i in at)
        {
            double dx = X(i) - x,
                dy = Y(i) - y,
                dz = Mm[i]!.Value - z;
            xx += dx * dx;
            xy += dx * dy;
            yy += dy * dy;
            xz += dx * dz;
            yz += dy * dz;
        }
        var det = xx * yy - xy * xy;
        if (det <= 0)
            return this;
        double a = (xz * yy - yz * xy) / det,
            b = (yz * xx - xz * xy) / det;
        return this with
        {
            Mm =
            [
                .. Mm.Select(
                    (v, i) => v is { } w ? Math.Round(w - z - a * (X(i) - x) - b * (Y(i) - y), 6) : (double?)null
                ),
            ],
        };
    }
}

/// <summary>What a bow is calculated from. E in MPa.</summary>
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

    /// <summary>What lies flat on the board and bends with it.</summary>
    public IReadOnlyList<BowLayer> Layers { get; init; } = [];

    /// <summary>Further places whose strain counts with the rims: under small brittle parts beside a package.</summary>
    public IReadOnlyList<Polygon> Brittle { get; init; } = [];
}
