using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>Centre of darkness of a mark's dot and the light around it, found anew until it stands still.</summary>
internal static class DotCentre
{
    private const int MaxRounds = 8;

    /// <summary>How far round the dot is looked, in its own radii: clear of the sectors.</summary>
    private const double Reach = 1.45;

    /// <summary>Grain of the light round it that is taken for no darkness.</summary>
    private const double Grain = 12;

    private const double StillPx = 1e-3;

    /// <param name="start">Near its centre; pixels, from the first one's centre.</param>
    /// <param name="a">Its longer semi-axis, px.</param>
    /// <param name="b">Its shorter.</param>
    /// <param name="turn">Of the longer from u to v, radians.</param>
    public static (double U, double V) Find(GreyPicture picture, Point2 start, double a, double b, double turn)
    {
        var at = start;
        for (var round = 0; round < MaxRounds; round++)
        {
            var seen = Around(picture, at, a, b, turn);
            if (seen.Count == 0)
                break;
            var light = seen.Max(s => s.Light);
            double sum = 0;
            Point2 moment = new(0, 0);
            foreach (var s in seen)
            {
                var dark = s.Weight * Math.Max(0, light - s.Light - Grain);
                sum += dark;
                moment += s.At * dark;
            }
            if (sum <= 0)
                break;
            var next = moment * (1 / sum);
            var moved = (next - at).Length;
            at = next;
            if (moved < StillPx)
                break;
        }
        return (at.X, at.Y);
    }

    /// <summary>Every pixel that counts, with a soft rim, so that none jumps in or out.</summary>
    private static List<(Point2 At, double Light, double Weight)> Around(
        GreyPicture picture,
        Point2 at,
        double a,
        double b,
        double turn
    )
    {
        var seen = new List<(Point2, double, double)>();
        int r = (int)Math.Ceiling(Reach * a) + 1,
            x0 = (int)Math.Round(at.X),
            y0 = (int)Math.Round(at.Y);
        for (var j = y0 - r; j <= y0 + r; j++)
        for (var i = x0 - r; i <= x0 + r; i++)
        {
            if (!picture.Inside(i, j))
                continue;
            var own = (new Point2(i, j) - at).Turned(-turn);
            var away = new Point2(own.X / a, own.Y / b).Length;
            var weight = Math.Clamp((Reach - away) * a, 0, 1);
            if (weight > 0)
                seen.Add((new(i, j), picture[i, j], weight));
        }
        return seen;
    }
}
