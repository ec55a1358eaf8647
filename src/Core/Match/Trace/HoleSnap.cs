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
        // from the corner of the picture to its first pixel's centre
        double u = uPx - 0.5, v = vPx - 0.5;
        var half = (int)Math.Clamp(2.2 * reachPx, 6, 200);
        int x0 = Math.Max(0, (int)u - half), y0 = Math.Max(0, (int)v - half), x1 = Math.Min(picture.Width - 1, (int)u + half), y1 = Math.Min(picture.Height - 1, (int)v + half);
        int w = x1 - x0 + 1, h = y1 - y0 + 1;
        if (w < 5 || h < 5) return new(uPx, vPx, 0, false);
        var threshold = Otsu(picture, x0, y0, w, h);
        var dark = new bool[w * h];
        for (var j = 0; j < h; j++) for (var i = 0; i < w; i++) dark[j * w + i] = picture[x0 + i, y0 + j] < threshold;
        var best = Blobs.Of(dark, w, h, 6, (int)(Math.PI * reachPx * reachPx * 1.5))
            .Where(b => b.MinX > 0 && b.MinY > 0 && b.MaxX < w - 1 && b.MaxY < h - 1 && b.Area > 0.55 * b.Width * b.Height)
            .MinBy(b => Math.Pow(b.X + x0 - u, 2) + Math.Pow(b.Y + y0 - v, 2));
        if (best is null || Math.Sqrt(Math.Pow(best.X + x0 - u, 2) + Math.Pow(best.Y + y0 - v, 2)) > reachPx) return new(uPx, vPx, 0, false);
        // weighted by darkness over the patch and its rim, for fractions of a pixel
        double sum = 0, sx = 0, sy = 0, area = 0, light = threshold, deepest = 255;
        for (var j = best.MinY; j <= best.MaxY; j++) for (var i = best.MinX; i <= best.MaxX; i++) deepest = Math.Min(deepest, picture[x0 + i, y0 + j]);
        for (var j = Math.Max(0, best.MinY - 2); j <= Math.Min(h - 1, best.MaxY + 2); j++)
        {
            for (var i = Math.Max(0, best.MinX - 2); i <= Math.Min(w - 1, best.MaxX + 2); i++)
            {
                var d = Math.Clamp((light + (light - deepest) * 0.5 - picture[x0 + i, y0 + j]) / Math.Max(1, light - deepest), 0, 1);
                if (!dark[j * w + i] && d < 0.3) continue;
                sum += d; sx += d * (x0 + i); sy += d * (y0 + j);
            }
        }
        area = best.Area;
        return new(sx / sum + 0.5, sy / sum + 0.5, 2 * Math.Sqrt(area / Math.PI), true);
    }

    /// <summary>The threshold that parts dark from light best (Otsu 1979).</summary>
    private static double Otsu(GreyPicture p, int x0, int y0, int w, int h)
    {
        var histogram = new int[256];
        for (var j = 0; j < h; j++) for (var i = 0; i < w; i++) histogram[p[x0 + i, y0 + j]]++;
        double total = w * h, all = 0, below = 0, belowSum = 0, best = -1, threshold = 128;
        for (var k = 0; k < 256; k++) all += (double)k * histogram[k];
        for (var k = 0; k < 256; k++)
        {
            below += histogram[k];
            belowSum += (double)k * histogram[k];
            if (below == 0 || below == total) continue;
            double m0 = belowSum / below, m1 = (all - belowSum) / (total - below), between = below * (total - below) * (m0 - m1) * (m0 - m1);
            if (between > best) (best, threshold) = (between, k + 0.5);
        }
        return threshold;
    }
}
