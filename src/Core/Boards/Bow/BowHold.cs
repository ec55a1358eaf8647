using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>How far an answer can be believed.</summary>
public enum Validity
{
    Ok,

    /// <summary>Small changes of what is given change it much.</summary>
    Weak,

    /// <summary>The model does not reach so far; no figure is told.</summary>
    Outside,
}

/// <summary>Whether supports hold a plate against turning. Pinned supports hold it only when they do not lie in a line.</summary>
public static class BowHold
{
    /// <summary>Supports that lie this near to one line hold nothing against turning about it, mm.</summary>
    private const double MinSpreadMm = 1;

    /// <summary>Share of the plate's own width across the line below which they hold it weakly.</summary>
    private const double WeakShare = 0.1;

    public static Validity Check(BowProblem p)
    {
        if (p.Edges != EdgeHold.Free || p.Supports.Any(s => s.Kind == SupportKind.Clamped))
            return Validity.Ok;
        if (p.Supports.Count < 3)
            return Validity.Outside;
        var points = p.Supports.Select(s => new Point2(s.X, s.Y)).ToList();
        // the line through them: principal axis of their places
        var (mx, my) = (points.Average(q => q.X), points.Average(q => q.Y));
        var xx = points.Sum(q => (q.X - mx) * (q.X - mx));
        var yy = points.Sum(q => (q.Y - my) * (q.Y - my));
        var xy = points.Sum(q => (q.X - mx) * (q.Y - my));
        var along = 0.5 * Math.Atan2(2 * xy, xx - yy);
        double Across(Point2 q) => -(q.X * Math.Sin(along)) + q.Y * Math.Cos(along);
        var spread = points.Max(Across) - points.Min(Across);
        if (spread < MinSpreadMm)
            return Validity.Outside;
        return spread < WeakShare * (p.Outline.Points.Max(Across) - p.Outline.Points.Min(Across))
            ? Validity.Weak
            : Validity.Ok;
    }
}
