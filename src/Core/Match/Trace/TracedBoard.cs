using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match.Trace;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>Something marked in the photo: a hole by its middle, a part by two opposite corners of its top.</summary>
/// <param name="OppositeUPx">Null for a hole.</param>
/// <param name="DiameterMm">Of a hole; null until measured.</param>
/// <param name="HeightMm">Of a part's top; null until measured.</param>
/// <param name="HeightTolMm">Null for the caliper's own.</param>
public sealed record PhotoFeature(
    string Id,
    bool IsHole,
    double UPx,
    double VPx,
    double? OppositeUPx,
    double? OppositeVPx,
    PartKind? Kind,
    HoleRole? Role,
    double? DiameterMm,
    double? HeightMm,
    double? HeightTolMm
)
{
    /// <summary>What still has to be measured before anything can be judged; null when nothing.</summary>
    public string? Missing() =>
        IsHole
            ? DiameterMm is null
                ? $"the diameter of {Id}"
                : null
            : HeightMm is null
                ? $"the height of {Id}"
                : null;

    /// <summary>Where the photo was clicked: a hole's middle, or a part's two corners at its height.</summary>
    public IEnumerable<ClickedPoint> Clicks() =>
        IsHole
            ? [new(Id, UPx, VPx)]
            :
            [
                new(FirstCorner, UPx, VPx, HeightMm ?? 0),
                new(SecondCorner, OppositeUPx!.Value, OppositeVPx!.Value, HeightMm ?? 0),
            ];

    internal string FirstCorner => Id + "\u00011";

    internal string SecondCorner => Id + "\u00012";
}

/// <param name="SigmaMm">Of a position per axis, root mean square over all holes.</param>
/// <param name="Frame">From the target's frame to the board's.</param>
public sealed record TracedBoardResult(Board Board, double SigmaMm, Placement Frame, TraceResult Trace);

/// <summary>A board out of what was marked in a photo.</summary>
public static class TracedBoard
{
    private const double RimMm = 4,
        MinSideMm = 0.5;

    /// <summary>What a caliper is good for on a part's top, 3σ, mm.</summary>
    public const double CaliperTolMm = 0.05;

    /// <param name="quarterTurns">How often the board is turned on by 90°, counter-clockwise.</param>
    /// <exception cref="InputException">Marks or features do not suffice.</exception>
    public static TracedBoardResult Create(
        IReadOnlyList<TargetMark> marks,
        IReadOnlyList<PhotoFeature> features,
        double widthPx,
        double heightPx,
        int quarterTurns,
        Board names
    )
    {
        if (features.Select(f => f.Missing()).OfType<string>().ToList() is { Count: > 0 } missing)
            throw new InputException(
                "features",
                TracedBoardWords.NotMeasuredYet(
                    string.Join(", ", missing.Take(6)),
                    missing.Count > 6 ? " and more" : ""
                )
            );
        var clicks = features.SelectMany(f => f.Clicks()).ToList();
        var trace = PhotoTrace.Run(marks, clicks, widthPx, heightPx);
        var at = trace.Points.ToDictionary(p => p.Id, p => new Point2(p.XMm, p.YMm));
        var holes = features.Where(f => f.IsHole).ToList();
        if (features.Count < 3)
            throw new InputException("features", TracedBoardWords.MarkThreeHolesOrParts);
        var turn = -Squared([.. holes.Select(h => at[h.Id])]) + quarterTurns * Math.PI / 2;
        Point2 Middle(PhotoFeature f) => f.IsHole ? at[f.Id] : (at[f.FirstCorner] + at[f.SecondCorner]) * 0.5;
        var die = features.FirstOrDefault(f => !f.IsHole && f.Kind is PartKind.Die or PartKind.Lid);
        var origin = die is not null
            ? Middle(die)
            : new Point2(features.Average(f => Middle(f).X), features.Average(f => Middle(f).Y));
        Point2 Place(Point2 p) => Rounded((p - origin).Turned(turn));
        List<BoardHole> boardHoles =
        [
            .. holes.Select(h =>
            {
                var p = Place(at[h.Id]);
                return new BoardHole(h.Id, p.X, p.Y, Math.Round(h.DiameterMm!.Value, 2), h.Role ?? HoleRole.Perimeter);
            }),
        ];
        List<Part> parts =
        [
            .. features
                .Where(f => !f.IsHole)
                .Select(f =>
                {
                    Point2 a = Place(at[f.FirstCorner]),
                        b = Place(at[f.SecondCorner]),
                        middle = Rounded((a + b) * 0.5);
                    return new Part
                    {
                        Id = f.Id,
                        Kind = f.Kind ?? PartKind.Other,
                        X = middle.X,
                        Y = middle.Y,
                        WidthMm = Math.Max(MinSideMm, Math.Round(Math.Abs(b.X - a.X), 2)),
                        DepthMm = Math.Max(MinSideMm, Math.Round(Math.Abs(b.Y - a.Y), 2)),
                        HeightMm = f.HeightMm!.Value,
                        HeightTolMm = f.HeightTolMm ?? CaliperTolMm,
                        Cool = f.Kind
                            is PartKind.Die
                                or PartKind.Lid
                                or PartKind.Memory
                                or PartKind.PowerStage
                                or PartKind.Inductor
                            ? Cooling.Must
                            : Cooling.No,
                    };
                }),
        ];
        var bounds = Bounds.From([.. boardHoles.Select(h => h.At), .. parts.SelectMany(p => p.Corners())]).Grown(RimMm);
        var own = trace.Points.Where(p => holes.Any(h => h.Id == p.Id)).DefaultIfEmpty(trace.Points[0]);
        var sigma = Math.Round(Math.Sqrt(own.Average(p => (p.CovMm2[0] + p.CovMm2[2]) / 2)), 4);
        var shift = Point2Zero(origin, turn);
        return new(
            names with
            {
                Outline = Polygon.Rectangle(
                    new((bounds.MinX + bounds.MaxX) / 2, (bounds.MinY + bounds.MaxY) / 2),
                    bounds.Width,
                    bounds.Height
                ),
                Holes = boardHoles,
                Parts = parts,
                PositionSigmaMm = sigma,
                Evidence = EvidenceGrade.C,
            },
            sigma,
            new(shift.X, shift.Y, turn * 180 / Math.PI),
            trace
        );
    }

    /// <summary>The turn from the sheet's axes to the board's, rad, as its rows of holes tell it.</summary>
    public static double TurnOf(
        IReadOnlyList<TargetMark> marks,
        IReadOnlyList<PhotoFeature> features,
        double widthPx,
        double heightPx
    ) =>
        -Squared([
            .. PhotoTrace
                .Run(marks, [.. features.Where(f => f.IsHole).SelectMany(f => f.Clicks())], widthPx, heightPx)
                .Points.Select(p => new Point2(p.XMm, p.YMm)),
        ]);

    private static Point2 Point2Zero(Point2 origin, double turn) => (origin * -1).Turned(turn);

    private static Point2 Rounded(Point2 p) => new(Math.Round(p.X, 3), Math.Round(p.Y, 3));

    /// <summary>The turn from the sheet's axes, within 45°, that lays most rows of holes along x or y.</summary>
    private static double Squared(IReadOnlyList<Point2> points)
    {
        const double alike = 0.01;
        var angles = new List<(double Angle, double Weight)>();
        for (var i = 0; i < points.Count; i++)
        {
            for (var j = i + 1; j < points.Count; j++)
            {
                var d = points[j] - points[i];
                if (d.Length < 8)
                    continue;
                var a = Math.Atan2(d.Y, d.X);
                angles.Add((a - Math.PI / 2 * Math.Round(a / (Math.PI / 2)), d.Length));
            }
        }
        if (angles.Count == 0)
            return 0;
        var best = angles.MaxBy(c => angles.Where(a => Math.Abs(a.Angle - c.Angle) < alike).Sum(a => a.Weight));
        var near = angles.Where(a => Math.Abs(a.Angle - best.Angle) < alike).ToList();
        return near.Sum(a => a.Angle * a.Weight) / near.Sum(a => a.Weight);
    }
}
