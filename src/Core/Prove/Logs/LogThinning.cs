namespace FaithfulBracket.Core.Prove.Logs;

/// <summary>A log for drawing: of every stretch its least and its greatest value, so that no peak is lost.</summary>
public static class LogThinning
{
    /// <param name="points">About how many points are left of each series.</param>
    public static BenchLog Thin(BenchLog log, int points)
    {
        var n = log.TimesS.Count;
        if (n <= points)
            return log;
        var buckets = Math.Max(1, points / 2);
        var times = new List<double>(2 * buckets);
        var values = log.Series.Select(_ => new List<double>(2 * buckets)).ToList();
        for (var b = 0; b < buckets; b++)
        {
            int from = (int)((long)b * n / buckets),
                to = (int)((long)(b + 1) * n / buckets);
            if (to <= from)
                continue;
            times.Add(log.TimesS[from]);
            times.Add(log.TimesS[from] + (log.TimesS[to - 1] - log.TimesS[from]) / 2);
            for (var s = 0; s < values.Count; s++)
            {
                var (least, most, leastAt, mostAt) = (double.PositiveInfinity, double.NegativeInfinity, from, from);
                for (var i = from; i < to; i++)
                {
                    var v = log.Series[s].Values[i];
                    if (v < least)
                        (least, leastAt) = (v, i);
                    if (v > most)
                        (most, mostAt) = (v, i);
                }
                if (double.IsInfinity(least))
                    (least, most) = (double.NaN, double.NaN);
                values[s].Add(leastAt <= mostAt ? least : most);
                values[s].Add(leastAt <= mostAt ? most : least);
            }
        }
        return new(times, [.. log.Series.Select((s, i) => s with { Values = values[i] })]);
    }
}
