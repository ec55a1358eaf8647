using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Heat;

namespace FaithfulBracket.Core.Heat;

public sealed record CooledArea(Polygon Outline, double HWPerM2K);

/// <summary>Watts going in evenly over a rectangle, by its middle.</summary>
public sealed record HeatSource(double X, double Y, double WidthMm, double DepthMm, double Watts)
{
    public Polygon Outline => Polygon.Rectangle(new(X, Y), WidthMm, DepthMm);
}

/// <param name="HWPerM2K">Over the whole plate; null where areas are given.</param>
/// <param name="CellMm">Null takes one that suits the plate.</param>
public sealed record PlateHeatAsk(
    Polygon Outline,
    double ThicknessMm,
    double KWPerMK,
    double? HWPerM2K,
    IReadOnlyList<CooledArea> Cooled,
    IReadOnlyList<HeatSource> Sources,
    double CoolantC,
    IReadOnlyList<Point2> Probes,
    double? CellMm
);

/// <param name="ProbesC">At each probe, °C.</param>
/// <param name="AtMm">Where it is hottest.</param>
/// <param name="HeatOutW">What the coolant takes: as much as goes in.</param>
public sealed record PlateHeatResult(
    IReadOnlyList<double> ProbesC,
    double MaxC,
    Point2 AtMm,
    double MeanC,
    double HeatOutW,
    int Cells
)
{
    /// <summary>What the grid cannot show; null where it shows all.</summary>
    public Message? Warning { get; init; }
}

/// <summary>One plate, its sources and what cools it.</summary>
public static class PlateHeat
{
    public const int MaxSources = 500,
        MaxAreas = 100,
        MaxProbes = 2000;

    public static string InWords => PlateHeatWords.LimitsCellsSourcesCooledAreasProbes;

    private const int UsualCells = 16_000;

    private const double MinCellMm = 0.1,
        MaxCellMm = 2;

    /// <exception cref="InputException">
    /// A source or probe beside the plate, nothing that cools it, or too fine.
    /// </exception>
    public static PlateHeatResult Compute(PlateHeatAsk ask, CancellationToken cancel = default)
    {
        var (cell, warning) = ask.CellMm is { } asked ? (asked, Coarse(ask, asked)) : Cell(ask);
        var grid = new HeatGrid(ask.Outline, cell);
        var plate = new HeatPlate(grid, ask.ThicknessMm, ask.KWPerMK, Field(ask, grid), cancel);
        var watts = new double[grid.Count];
        for (var i = 0; i < ask.Sources.Count; i++)
        {
            var own =
                plate.Spread(ask.Sources[i].Outline, ask.Sources[i].Watts)
                ?? throw new InputException($"sources/{i}", PlateHeatWords.SourceLiesBesidePlate);
            for (var n = 0; n < own.Length; n++)
                watts[n] += own[n];
        }
        for (var i = 0; i < ask.Probes.Count; i++)
            if (!ask.Outline.Contains(ask.Probes[i]))
                throw new InputException($"probes/{i}", PlateHeatWords.ProbeLiesBesidePlate);
        var rise = plate.Rise(watts);
        double area = 0,
            sum = 0,
            most = double.NegativeInfinity;
        var hottest = default(Point2);
        grid.Each(
            (n, i, j) =>
            {
                var a = grid.Metal(i, j) * grid.CellMm2;
                (area, sum) = (area + a, sum + a * rise[n]);
                if (rise[n] > most)
                    (most, hottest) = (rise[n], grid.Centre(i, j));
            }
        );
        return new(
            [.. ask.Probes.Select(p => ask.CoolantC + plate.At(rise, p))],
            ask.CoolantC + most,
            hottest,
            ask.CoolantC + sum / area,
            rise.Zip(plate.Cooling, (t, g) => t * g).Sum(),
            grid.Count
        )
        {
            Warning = warning,
        };
    }

    /// <summary>A source is drawn by so many cells along its side at least.</summary>
    private const int CellsAlongSource = 6;

    /// <summary>From fewer cells than these the rise under a source is more than 2 % low.</summary>
    private const int MinAlongSource = 4;

    /// <summary>The cell that suits the plate and its smallest source, within what the call allows.</summary>
    private static (double Mm, Message? Warning) Cell(PlateHeatAsk ask)
    {
        var usual = Math.Clamp(Math.Sqrt(ask.Outline.Area / UsualCells), MinCellMm, MaxCellMm);
        var smallest = SmallestMm(ask);
        var wanted = Math.Min(usual, smallest / CellsAlongSource);
        var bounds = ask.Outline.Bounds;
        var allowed = Math.Max(MinCellMm, Math.Sqrt(bounds.Width * bounds.Height / (0.95 * HeatPlate.MaxCells)));
        return wanted >= allowed
            ? (wanted, null)
            : (
                allowed,
                PlateHeatWords.SmallestSourceIsWide(smallest, wanted)
                    + PlateHeatWords.ThisCallAllowsSoTemperatures(allowed)
            );
    }

    private static double SmallestMm(PlateHeatAsk ask) =>
        ask.Sources.Select(s => Math.Min(s.WidthMm, s.DepthMm)).DefaultIfEmpty(double.MaxValue).Min();

    /// <summary>Told where the caller's own cells are too large for the smallest source.</summary>
    private static Message? Coarse(PlateHeatAsk ask, double cell)
    {
        var smallest = SmallestMm(ask);
        if (cell <= smallest / MinAlongSource)
            return null;
        var drawn = PlateHeatWords.SmallestSourceIsWideAndCells(smallest, cell);
        var better = PlateHeatWords.LeaveOutCellMmOrAsk(smallest / CellsAlongSource);
        return PlateHeatWords.TemperaturesUnderItAreTooLow(drawn, better);
    }

    private static double[] Field(PlateHeatAsk ask, HeatGrid grid)
    {
        var h = new double[grid.Count];
        if (ask.HWPerM2K is { } even)
            Array.Fill(h, even);
        foreach (var area in ask.Cooled)
        {
            var under = grid.Under(area.Outline);
            grid.Each((n, i, j) => h[n] += area.HWPerM2K * under[n] / (grid.Metal(i, j) * grid.CellMm2));
        }
        return h;
    }
}
