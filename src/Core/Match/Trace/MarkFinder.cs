namespace FaithfulBracket.Core.Match.Trace;

/// <param name="Id">Of the mark on the sheet.</param>
public sealed record FoundMark(int Id, double XMm, double YMm, double UPx, double VPx);

/// <summary>Finds the target's marks in a photo: rings among the dark patches, named by their sectors, centred on their dot.</summary>
public static class MarkFinder
{
    private const int LeastRingPx = 14;
    private const double RingShare = TargetSheet.RingInnerMm / TargetSheet.RingOuterMm;

    /// <exception cref="OperationCanceledException">Stopped.</exception>
    public static IReadOnlyList<FoundMark> Find(GreyPicture picture, CancellationToken cancel = default)
    {
        var found = new Dictionary<int, (FoundMark Mark, double Score)>();
        // marks may be near or far: the surroundings are taken in three sizes
        foreach (
            var window in (int[])
                [Math.Max(31, picture.Width / 60), Math.Max(61, picture.Width / 25), Math.Max(101, picture.Width / 10)]
        )
        {
            cancel.ThrowIfCancellationRequested();
            var dark = picture.Darker(window | 1);
            foreach (var blob in Blobs.Of(dark, picture.Width, picture.Height, LeastRingPx, picture.Pixels.Length / 50))
            {
                if (blob.Width < LeastRingPx || blob.Height < LeastRingPx / 2 || Read(picture, blob) is not { } read)
                    continue;
                if (!found.TryGetValue(read.Mark.Id, out var known) || read.Score > known.Score)
                    found[read.Mark.Id] = read;
            }
        }
        return [.. found.Values.Select(f => f.Mark).OrderBy(m => m.Id)];
    }

    private static (FoundMark Mark, double Score)? Read(GreyPicture picture, Blob ring)
    {
        var (xx, xy, yy) = ring.Moments;
        // semi-axes of the outer ellipse from an elliptic ring's second moments: λ = a²·(1 + k²)/4
        double mean = (xx + yy) / 2,
            radius = Math.Sqrt((xx - yy) * (xx - yy) / 4 + xy * xy),
            l1 = mean + radius,
            l2 = mean - radius;
        if (l2 <= 0 || l1 / l2 > 16)
            return null;
        var scale = 2 / Math.Sqrt(1 + RingShare * RingShare);
        double a = scale * Math.Sqrt(l1),
            b = scale * Math.Sqrt(l2),
            turn = 0.5 * Math.Atan2(2 * xy, xx - yy),
            cos = Math.Cos(turn),
            sin = Math.Sin(turn);
        var expected = Math.PI * a * b * (1 - RingShare * RingShare);
        if (ring.Area < 0.6 * expected || ring.Area > 1.6 * expected)
            return null;
        double cx = ring.X,
            cy = ring.Y;
        double At(double share, double angle)
        {
            double p = a * share * Math.Cos(angle),
                q = b * share * Math.Sin(angle),
                x = cx + cos * p - sin * q,
                y = cy + sin * p + cos * q;
            return picture.Inside(x, y) ? picture.At(x, y) : double.NaN;
        }
        double Mean(double share)
        {
            double sum = 0;
            for (var k = 0; k < 32; k++)
                sum += At(share, k * Math.PI / 16);
            return sum / 32;
        }
        double ringLight = Mean((1 + RingShare) / 2),
            gap = Mean((RingShare + TargetSheet.SectorOuterMm / TargetSheet.RingOuterMm) / 2),
            dot = At(0, 0),
            inner = Mean((TargetSheet.DotMm + TargetSheet.SectorInnerMm) / 2 / TargetSheet.RingOuterMm);
        if (!(gap - ringLight > 25 && inner - dot > 20))
            return null;
        if (
            Decode(share => k => At(share, k), (ringLight + gap) / 2) is not { } code
            || TargetSheet.Find(code) is not { } mark
        )
            return null;
        var (u, v) = Centre(
            picture,
            cx,
            cy,
            TargetSheet.DotMm / TargetSheet.RingOuterMm * a,
            TargetSheet.DotMm / TargetSheet.RingOuterMm * b,
            cos,
            sin
        );
        // from the corner of the picture, not from its first pixel's centre
        return (new(mark.Id, mark.XMm, mark.YMm, u + 0.5, v + 0.5), gap - ringLight);
    }

    /// <summary>
    /// The eight sectors, whatever the turn: the phase that splits dark from light most cleanly. The picture's v runs
    /// down, so the order is reversed.
    /// </summary>
    private static byte? Decode(Func<double, Func<double, double>> at, double threshold)
    {
        const int samples = 96;
        var dark = new double[samples];
        double[] radii = [0.47, 0.55, 0.62];
        for (var k = 0; k < samples; k++)
            foreach (var r in radii)
                dark[k] += at(r)(-k * 2 * Math.PI / samples) < threshold ? 1.0 / radii.Length : 0;
        byte best = 0;
        double cleanest = 0;
        for (var phase = 0; phase < samples / 8; phase++)
        {
            double clean = 0;
            byte code = 0;
            for (var s = 0; s < 8; s++)
            {
                double share = 0;
                // the edges of a sector blur into the next
                for (var k = 2; k < 10; k++)
                    share += dark[(phase + s * 12 + k) % samples] / 8;
                clean += Math.Abs(share - 0.5) / 4;
                if (share > 0.5)
                    code |= (byte)(1 << s);
            }
            if (clean > cleanest)
                (cleanest, best) = (clean, code);
        }
        return cleanest > 0.75 ? best : null;
    }

    /// <summary>Centre of darkness of the dot and the light around it, found anew until it stands still.</summary>
    private static (double U, double V) Centre(
        GreyPicture picture,
        double x,
        double y,
        double a,
        double b,
        double cos,
        double sin
    )
    {
        for (var round = 0; round < 8; round++)
        {
            double reach = 1.45,
                light = 0,
                sum = 0,
                sx = 0,
                sy = 0;
            int r = (int)Math.Ceiling(reach * a) + 1,
                x0 = (int)Math.Round(x),
                y0 = (int)Math.Round(y);
            for (var pass = 0; pass < 2; pass++)
            {
                for (var j = y0 - r; j <= y0 + r; j++)
                {
                    for (var i = x0 - r; i <= x0 + r; i++)
                    {
                        if (!picture.Inside(i, j))
                            continue;
                        double dx = i - x,
                            dy = j - y,
                            p = (cos * dx + sin * dy) / a,
                            q = (-sin * dx + cos * dy) / b;
                        // a soft rim, so that a pixel does not jump in or out
                        var weight = Math.Clamp((reach - Math.Sqrt(p * p + q * q)) * a, 0, 1);
                        if (weight <= 0)
                            continue;
                        if (pass == 0)
                        {
                            light = Math.Max(light, picture[i, j]);
                            continue;
                        }
                        var d = weight * Math.Max(0, light - picture[i, j] - 12);
                        sum += d;
                        sx += d * i;
                        sy += d * j;
                    }
                }
            }
            if (sum <= 0)
                break;
            double nx = sx / sum,
                ny = sy / sum,
                moved = Math.Abs(nx - x) + Math.Abs(ny - y);
            (x, y) = (nx, ny);
            if (moved < 1e-3)
                break;
        }
        return (x, y);
    }
}
