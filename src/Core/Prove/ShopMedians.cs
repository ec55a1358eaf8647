using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>What one proved job says of a block.</summary>
/// <param name="Paste">Id of the paste under it.</param>
/// <param name="Ratio">Measured resistance of the block over the maker's claim, the paste's film taken off both.</param>
public sealed record BlockMeasured(long Job, string Title, string Block, string Paste, double Ratio);

/// <summary>A job whose figure is far from the others'.</summary>
public sealed record MedianOutlier(long Job, string Title, double Ratio);

/// <summary>What the shop's own jobs say of a block, with one paste or with all.</summary>
/// <param name="Paste">Null for all pastes.</param>
/// <param name="Ratio">Median; null with too few jobs to say.</param>
/// <param name="Spread">Scaled median deviation.</param>
/// <param name="Grade">How good it is as evidence; null with too few jobs.</param>
public sealed record ShopMedian(
    string? Paste,
    int Jobs,
    double? Ratio,
    double? Spread,
    EvidenceGrade? Grade,
    IReadOnlyList<MedianOutlier> Outliers,
    Message Text
);

/// <summary>Measured against claimed over the shop's own jobs: medians, which one bad job does not move.</summary>
public static class ShopMedians
{
    /// <summary>Fewer jobs say nothing; from so many on it is as good as it gets.</summary>
    public const int MinJobs = 4,
        ManyJobs = 10;

    /// <summary>Makes the median deviation of a normal spread its standard deviation.</summary>
    private const double Normal = 1.4826;

    /// <summary>Farther than so many deviations is an outlier; a deviation is at least what readings are good for.</summary>
    private const double Far = 3.5,
        MinSpread = 0.03;

    /// <summary>What a job says; null where nothing was measured, or the film alone explains all.</summary>
    public static double? RatioOf(double measuredKPerW, double expectedKPerW, double filmKPerW, double scale)
    {
        var claimed = (expectedKPerW - filmKPerW) / scale;
        var own = measuredKPerW - filmKPerW;
        return claimed > 0 && own > 0 && double.IsFinite(own / claimed) ? own / claimed : null;
    }

    /// <summary>All pastes first, then each.</summary>
    public static IReadOnlyList<ShopMedian> Compute(IReadOnlyList<BlockMeasured> jobs) =>
        jobs.Count == 0
            ? []
            :
            [
                Compute(null, jobs),
                .. jobs.GroupBy(j => j.Paste)
                    .Where(_ => jobs.Select(j => j.Paste).Distinct().Count() > 1)
                    .OrderBy(g => g.Key, StringComparer.Ordinal)
                    .Select(g => Compute(g.Key, [.. g])),
            ];

    private static ShopMedian Compute(string? paste, IReadOnlyList<BlockMeasured> jobs)
    {
        var with = paste is null ? "" : $" with {paste}";
        if (jobs.Count < MinJobs)
            return new(
                paste,
                jobs.Count,
                null,
                null,
                null,
                [],
                ShopMediansWords.ProvedFromOnShopsOwnMedian(jobs.Count, jobs.Count == 1 ? "job" : "jobs", with, MinJobs)
            );
        var median = Median(jobs.Select(j => j.Ratio));
        var spread = Normal * Median(jobs.Select(j => Math.Abs(j.Ratio - median)));
        var outliers = jobs.Where(j => Math.Abs(j.Ratio - median) > Far * Math.Max(spread, MinSpread))
            .OrderByDescending(j => Math.Abs(j.Ratio - median))
            .Select(j => new MedianOutlier(j.Job, j.Title, j.Ratio))
            .ToList();
        var off = Math.Round((median - 1) * 100);
        var against = off switch
        {
            0 => ShopMediansWords.AsMakerClaims,
            > 0 => ShopMediansWords.OverMakersClaim(off),
            _ => ShopMediansWords.UnderMakersClaim(-off),
        };
        var names = outliers.Count > 0 ? $" Far off: {string.Join(", ", outliers.Select(o => o.Title))}." : "";
        return new(
            paste,
            jobs.Count,
            median,
            spread,
            jobs.Count >= ManyJobs ? EvidenceGrade.A : EvidenceGrade.B,
            outliers,
            $"{jobs.Count} proved jobs{with}: {against}, ± {Math.Max(1, Math.Round(spread * 100)):0} %.{names}"
        );
    }

    private static double Median(IEnumerable<double> values)
    {
        var sorted = values.Order().ToList();
        var half = sorted.Count / 2;
        return sorted.Count % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }
}
