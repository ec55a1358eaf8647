namespace FaithfulBracket.Core.Match.Trace;

/// <summary>The threshold that parts dark pixels from light ones best (Otsu 1979).</summary>
internal static class DarkThreshold
{
    private const int Levels = 256;

    /// <summary>Where all are alike.</summary>
    private const double Middle = 128;

    /// <summary>Half between two levels, so that each pixel lies on one side.</summary>
    public static double Compute(ReadOnlySpan<byte> pixels)
    {
        var histogram = new long[Levels];
        foreach (var p in pixels)
            histogram[p]++;
        double total = histogram.Sum(),
            all = histogram.Select((n, level) => (double)level * n).Sum(),
            below = 0,
            belowSum = 0,
            best = 0,
            threshold = Middle;
        for (var level = 0; level < Levels; level++)
        {
            below += histogram[level];
            belowSum += (double)level * histogram[level];
            if (below == 0 || below == total)
                continue;
            double apart = belowSum / below - (all - belowSum) / (total - below),
                between = below * (total - below) * apart * apart;
            if (between > best)
                (best, threshold) = (between, level + 0.5);
        }
        return threshold;
    }
}
