namespace FaithfulBracket.Core.Match.Trace;

/// <param name="Id">Of the mark on the sheet.</param>
public sealed record FoundMark(int Id, double XMm, double YMm, double UPx, double VPx);

/// <summary>Finds the target's marks in a photo: rings among the dark patches, named by their sectors, centred on their dot.</summary>
public static class MarkFinder
{
    private const int MinRingPx = 14;
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
            foreach (var blob in Blobs.Find(dark, picture.Width, picture.Height, MinRingPx, picture.Pixels.Length / 50))
            {
                if (blob.Width < MinRingPx || blob.Height < MinRingPx / 2 || Read(picture, blob) is not { } read)
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
        if (SectorCode.Read(At, (ringLight + gap) / 2) is not { } code || TargetSheet.Find(code) is not { } mark)
            return null;
        const double dotShare = TargetSheet.DotMm / TargetSheet.RingOuterMm;
        var (u, v) = DotCentre.Find(picture, new(cx, cy), dotShare * a, dotShare * b, turn);
        // from the corner of the picture, not from its first pixel's centre
        return (new(mark.Id, mark.XMm, mark.YMm, u + 0.5, v + 0.5), gap - ringLight);
    }
}
