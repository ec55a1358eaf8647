using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>Whether marks lie so that they fix a view of a plane: four of which no three lie in one line.</summary>
internal static class MarkSpread
{
    /// <summary>The share of the whole that a triangle may have and still be a line.</summary>
    private const double FlatShare = 1e-3;

    public static bool DefinesAView(IEnumerable<Point2> marks)
    {
        var places = marks.Distinct().ToList();
        if (places.Count < 4)
            return false;
        var b = Bounds.From(places);
        var flat = FlatShare * Math.Pow(Math.Max(b.Width, b.Height), 2);
        bool Turns(Point2 p, Point2 q, Point2 r) => Math.Abs((q - p).Cross(r - p)) > flat;
        // the two farthest apart, then whatever stands off their line; among those a pair that spans with both
        var first = places.MaxBy(p => (p - places[0]).Length);
        var second = places.MaxBy(p => (p - first).Length);
        var off = places.Where(p => Turns(first, second, p)).ToList();
        for (var i = 0; i < off.Count; i++)
        for (var j = i + 1; j < off.Count; j++)
            if (Turns(first, off[i], off[j]) && Turns(second, off[i], off[j]))
                return true;
        return false;
    }
}
