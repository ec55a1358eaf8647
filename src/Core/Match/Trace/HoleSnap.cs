namespace FaithfulBracket.Core.Match.Trace;

/// <param name="DiameterPx">Of a circle of the same area; 0 when nothing was found.</param>
/// <param name="Snapped">False when no clear patch lies under the click.</param>
public sealed record SnapResult(double UPx, double VPx, double DiameterPx, bool Snapped);

/// <summary>Moves a click to the middle of the dark hole under it.</summary>
public static class HoleSnap
{
    /// <param name="reachPx">How far the hole's rim may be from the click.</param>
    public static SnapResult Find(GreyPicture picture, double uPx, double vPx, double reachPx)
    {
        if (!picture.Inside(uPx, vPx))
            return new(uPx, vPx, 0, false);
        // from the corner of the picture to its first pixel's centre
        double u = uPx - 0.5,
            v = vPx - 0.5;
        var half = (int)Math.Clamp(2.2 * reachPx, 6, 200);
        int x0 = Math.Max(0, (int)u - half),
            y0 = Math.Max(0, (int)v - half),
            x1 = Math.Min(picture.Width - 1, (int)u + half),
            y1 = Math.Min(picture.Height - 1, (int)v + half);
        int w = x1 - x0 + 1,
            h = y1 - y0 + 1;
        if (w < 5 || h < 5)
            return new(uPx, vPx, 0, false);
        var window = new byte[w * h];
        for (var j = 0; j < h; j++)
        for (var i = 0; i < w; i++)
            window[j * w + i] = picture[x0 + i, y0 + j];
        var threshold = DarkThreshold.Compute(window);
        var dark = window.Select(v => v < threshold).ToArray();
        var best = Blobs
            .Find(dark, w, h, 6, (int)(Math.PI * reachPx * reachPx * 1.5))
            .Where(b =>
                b.MinX > 0 && b.MinY > 0 && b.MaxX < w - 1 && b.MaxY < h - 1 && b.Area > 0.55 * b.Width * b.Height
            )
            .MinBy(Away);
        if (best is null || Away(best) > reachPx)
            return new(uPx, vPx, 0, false);
        var (x, y, area) = HoleMeasure.Fit(picture, best, x0, y0);
        return new(x + 0.5, y + 0.5, 2 * Math.Sqrt(area / Math.PI), true);
        double Away(Blob b) => Math.Sqrt(Math.Pow(b.X + x0 - u, 2) + Math.Pow(b.Y + y0 - v, 2));
    }
}
