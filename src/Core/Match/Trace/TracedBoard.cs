using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>Something marked in the photo: a hole by its middle, a part by two opposite corners of its top.</summary>
/// <param name="OppositeUPx">Null for a hole.</param>
/// <param name="HeightMm">Of a part's top.</param>
public sealed record PhotoFeature(string Id, bool IsHole, double UPx, double VPx, double? OppositeUPx, double? OppositeVPx, PartKind? Kind, HoleRole? Role, double? DiameterMm, double HeightMm, double HeightTolMm);

/// <param name="SigmaMm">Of a position per axis, root mean square over all holes.</param>
/// <param name="Frame">From the target's frame to the board's.</param>
public sealed record TracedBoardResult(Board Board, double SigmaMm, Placement Frame, TraceResult Trace);

/// <summary>A board out of what was marked in a photo.</summary>
public static class TracedBoard
{
    private const double RimMm = 4, LeastSideMm = 0.5;

    /// <param name="quarterTurns">How often the board is turned on by 90°, counter-clockwise.</param>
    /// <exception cref="InputException">Marks or features do not suffice.</exception>
    public static TracedBoardResult Of(IReadOnlyList<TargetMark> marks, IReadOnlyList<PhotoFeature> features, double widthPx, double heightPx, int quarterTurns, Board names)
    {
        var clicks = features.SelectMany(f => f.IsHole ? [new ClickedPoint(f.Id, f.UPx, f.VPx)]
            : (ClickedPoint[])[new(f.Id + "\u00011", f.UPx, f.VPx, f.HeightMm), new(f.Id + "\u00012", f.OppositeUPx!.Value, f.OppositeVPx!.Value, f.HeightMm)]).ToList();
        var trace = PhotoTrace.Run(marks, clicks, widthPx, heightPx);
        var at = trace.Points.ToDictionary(p => p.Id, p => new Point2(p.XMm, p.YMm));
        var holes = features.Where(f => f.IsHole).ToList();
        if (features.Count < 3) throw new InputException("/features", "Mark three holes or parts at least.");
        var turn = -Squared([.. holes.Select(h => at[h.Id])]) + quarterTurns * Math.PI / 2;
        Point2 Middle(PhotoFeature f) => f.IsHole ? at[f.Id] : (at[f.Id + "\u00011"] + at[f.Id + "\u00012"]) * 0.5;
        var die = features.FirstOrDefault(f => !f.IsHole && f.Kind is PartKind.Die or PartKind.Lid);
        var origin = die is not null ? Middle(die) : new Point2(features.Average(f => Middle(f).X), features.Average(f => Middle(f).Y));
        Point2 Place(Point2 p) => Rounded((p - origin).Turned(turn));
        List<BoardHole> boardHoles = [.. holes.Select(h => { var p = Place(at[h.Id]); return new BoardHole(h.Id, p.X, p.Y, Math.Round(h.DiameterMm ?? 2.8, 2), h.Role ?? HoleRole.Perimeter); })];
        List<Part> parts = [.. features.Where(f => !f.IsHole).Select(f =>
        {
            Point2 a = Place(at[f.Id + "\u00011"]), b = Place(at[f.Id + "\u00012"]), middle = Rounded((a + b) * 0.5);
            return new Part
            {
                Id = f.Id, Kind = f.Kind ?? PartKind.Other, X = middle.X, Y = middle.Y, WidthMm = Math.Max(LeastSideMm, Math.Round(Math.Abs(b.X - a.X), 2)), DepthMm = Math.Max(LeastSideMm, Math.Round(Math.Abs(b.Y - a.Y), 2)),
                HeightMm = f.HeightMm, HeightTolMm = f.HeightTolMm, Cool = f.Kind is PartKind.Die or PartKind.Lid or PartKind.Memory or PartKind.PowerStage or PartKind.Inductor ? Cooling.Must : Cooling.No,
            };
        })];
        var bounds = Bounds.Of([.. boardHoles.Select(h => h.At), .. parts.SelectMany(p => p.Corners())]).Grown(RimMm);
        var own = trace.Points.Where(p => holes.Any(h => h.Id == p.Id)).DefaultIfEmpty(trace.Points[0]);
        var sigma = Math.Round(Math.Sqrt(own.Average(p => (p.CovMm2[0] + p.CovMm2[2]) / 2)), 4);
        var shift = Point2Zero(origin, turn);
        return new(names with { Outline = Polygon.Rectangle(new((bounds.MinX + bounds.MaxX) / 2, (bounds.MinY + bounds.MaxY) / 2), bounds.Width, bounds.Height), Holes = boardHoles, Parts = parts, PositionSigmaMm = sigma, Evidence = EvidenceGrade.C },
            sigma, new(shift.X, shift.Y, turn * 180 / Math.PI), trace);
    }

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
                if (d.Length < 8) continue;
                var a = Math.Atan2(d.Y, d.X);
                angles.Add((a - Math.PI / 2 * Math.Round(a / (Math.PI / 2)), d.Length));
            }
        }
        if (angles.Count == 0) return 0;
        var best = angles.MaxBy(c => angles.Where(a => Math.Abs(a.Angle - c.Angle) < alike).Sum(a => a.Weight));
        var near = angles.Where(a => Math.Abs(a.Angle - best.Angle) < alike).ToList();
        return near.Sum(a => a.Angle * a.Weight) / near.Sum(a => a.Weight);
    }
}
