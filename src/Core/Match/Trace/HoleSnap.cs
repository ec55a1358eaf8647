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
        var threshold = Otsu(picture, x0, y0, w, h);
        var dark = new bool[w * h];
        for (var j = 0; j < h; j++)
        for (var i = 0; i < w; i++)
            dark[j * w + i] = picture[x0 + i, y0 + j] < threshold;
        var best = Blobs
            .Of(dark, w, h, 6, (int)(Math.PI * reachPx * reachPx * 1.5))
            .Where(b =>
                b.MinX > 0 && b.MinY > 0 && b.MaxX < w - 1 && b.MaxY < h - 1 && b.Area > 0.55 * b.Width * b.Height
            )
            .MinBy(b => Math.Pow(b.X + x0 - u, 2) + Math.Pow(b.Y + y0 - v, 2));
        if (best is null || Math.Sqrt(Math.Pow(best.X + x0 - u, 2) + Math.Pow(best.Y + y0 - v, 2)) > reachPx)
            return new(uPx, vPx, 0, false);
        var (x, y, area) = Measure(picture, best, x0, y0);
        return new(x + 0.5, y + 0.5, 2 * Math.Sqrt(area / Math.PI), true);
    }

    /// <summary>
    /// Centre and area from how dark each pixel is between the hole's core and the light just round it: blur takes from one pixel
    /// what it gives to the next, so the sum keeps the area.
    /// </summary>
    private static (double X, double Y, double Area) Measure(GreyPicture picture, Blob blob, int x0, int y0)
    {
        const double rim = 2.5;
        double cx = blob.X + x0,
            cy = blob.Y + y0,
            a = blob.Width / 2.0,
            b = blob.Height / 2.0,
            thin = Math.Min(a, b);
        int i0 = (int)(cx - a - 6),
            i1 = (int)(cx + a + 7),
            j0 = (int)(cy - b - 6),
            j1 = (int)(cy + b + 7);
        double Out(int i, int j) => Math.Sqrt(Math.Pow((i - cx) / a, 2) + Math.Pow((j - cy) / b, 2));
        List<double> inside = [],
            around = [];
        for (var j = j0; j <= j1; j++)
        {
            for (var i = i0; i <= i1; i++)
            {
                if (!picture.Inside(i, j))
                    continue;
                var r = Out(i, j);
                if (r < 0.6)
                    inside.Add(picture[i, j]);
                else if (r > 1 + 1 / thin && r < 1 + rim / thin)
                    around.Add(picture[i, j]);
            }
        }
        if (inside.Count == 0 || around.Count == 0)
            return (cx, cy, blob.Area);
        inside.Sort();
        around.Sort();
        double core = inside[inside.Count / 2],
            light = around[around.Count * 3 / 4],
            sum = 0,
            sx = 0,
            sy = 0;
        for (var j = j0; j <= j1; j++)
        {
            for (var i = i0; i <= i1; i++)
            {
                if (!picture.Inside(i, j) || Out(i, j) > 1 + rim / thin)
                    continue;
                var dark = Math.Clamp((light - picture[i, j]) / Math.Max(1, light - core), 0, 1);
                sum += dark;
                sx += dark * i;
                sy += dark * j;
            }
        }
        return sum > 0 ? (sx / sum, sy / sum, sum) : (cx, cy, blob.Area);
    }

    /// <summary>The threshold that parts dark from light best (Otsu 1979).</summary>
    private static double Otsu(GreyPicture p, int x0, int y0, int w, int h)
    {
        var histogram = new int[256];
        for (var j = 0; j < h; j++)
        for (var i = 0; i < w; i++)
            histogram[p[x0 + i, y0 + j]]++;
        double total = w * h,
            all = 0,
            below = 0,
            belowSum = 0,
            best = -1,
            threshold = 128;
        for (var k = 0; k < 256; k++)
            all += (double)k * histogram[k];
        for (var k = 0; k < 256; k++)
        {
            below += histogram[k];
            belowSum += (double)k * histogram[k];
            if (below == 0 || below == total)
                continue;
            double m0 = belowSum / below,
                m1 = (all - belowSum) / (total - below),
                between = below * (total - below) * (m0 - m1) * (m0 - m1);
            if (between > best)
                (best, threshold) = (between, k + 0.5);
        }
        return threshold;
    }
}
