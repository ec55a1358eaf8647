namespace FaithfulBracket.Core.Match.Trace;

/// <summary>
/// Centre and area of a hole from how dark each pixel is between its core and the light just round it: blur takes from one pixel
/// what it gives to the next, so the sum keeps the area.
/// </summary>
internal static class HoleMeasure
{
    /// <summary>How far off the patch its darkness is summed, px; from one pixel on it is light.</summary>
    private const double RimPx = 2.5,
        BlurPx = 1;

    /// <summary>In shares of the patch: what counts as its core.</summary>
    private const double Core = 0.6;

    /// <param name="blob">The dark patch, in a window of the picture.</param>
    /// <param name="x0">The window's first column.</param>
    /// <param name="y0">The window's first row.</param>
    /// <returns>px and px², from the first pixel's centre.</returns>
    public static (double X, double Y, double Area) Fit(GreyPicture picture, Blob blob, int x0, int y0)
    {
        double cx = blob.X + x0,
            cy = blob.Y + y0,
            a = blob.Width / 2.0,
            b = blob.Height / 2.0,
            thin = Math.Min(a, b);
        List<(int X, int Y, double Light, double Away)> near = [];
        for (var j = (int)(cy - b - 6); j <= cy + b + 7; j++)
        for (var i = (int)(cx - a - 6); i <= cx + a + 7; i++)
            if (picture.Inside(i, j))
                near.Add((i, j, picture[i, j], Math.Sqrt(Math.Pow((i - cx) / a, 2) + Math.Pow((j - cy) / b, 2))));
        double[] inside = [.. near.Where(p => p.Away < Core).Select(p => p.Light).Order()],
            around =
            [.. near.Where(p => p.Away > 1 + BlurPx / thin && p.Away < 1 + RimPx / thin).Select(p => p.Light).Order()];
        if (inside.Length == 0 || around.Length == 0)
            return (cx, cy, blob.Area);
        double core = inside[inside.Length / 2],
            light = around[around.Length * 3 / 4],
            sum = 0,
            sx = 0,
            sy = 0;
        foreach (var p in near.Where(p => p.Away <= 1 + RimPx / thin))
        {
            var dark = Math.Clamp((light - p.Light) / Math.Max(1, light - core), 0, 1);
            sum += dark;
            sx += dark * p.X;
            sy += dark * p.Y;
        }
        return sum > 0 ? (sx / sum, sy / sum, sum) : (cx, cy, blob.Area);
    }
}
