using FaithfulBracket.Core.Words.Blocks;

namespace FaithfulBracket.Core.Blocks;

/// <summary>How long a spring is under a load.</summary>
/// <param name="LoadN">On the spring, N; 0 for the free one.</param>
/// <param name="LengthMm">Then, mm.</param>
public sealed record SpringReading(double LoadN, double LengthMm);

/// <param name="RateNPerMm">Load by which it pushes more for each millimetre.</param>
/// <param name="RateTolNPerMm">The rate lies within this of it, 95 %.</param>
/// <param name="FreeMm">Its length under no load.</param>
/// <param name="TravelMm">Compression with the screw home; null where its length there was not told.</param>
public sealed record MeasuredSpring(double RateNPerMm, double RateTolNPerMm, double FreeMm, double? TravelMm);

/// <summary>
/// The rate of a screw's spring from its lengths under known loads: the line through them (least squares), with the
/// error that caliper and scale leave in its slope.
/// </summary>
public static class WeighedSpring
{
    /// <summary>Of a caliper across a spring, and of a kitchen scale: 95 %.</summary>
    private const double LengthTolMm = 0.05,
        LoadTolN = 0.02;

    public const int MinReadings = 2,
        MaxReadings = 20;

    private const double GravityMPerS2 = 9.80665;

    public static double Newton(double massG) => massG / 1000 * GravityMPerS2;

    /// <param name="homeMm">Its length with the screw home and no bond line; null where nobody measured it.</param>
    /// <exception cref="InputException">Too few readings, or one that gets no shorter under more load.</exception>
    public static MeasuredSpring Fit(IReadOnlyList<SpringReading> readings, double? homeMm = null)
    {
        if (readings.Count is < MinReadings or > MaxReadings)
            throw new InputException(
                "/readings",
                WeighedSpringWords.ExpectedToReadingsFound(MinReadings, MaxReadings, readings.Count)
            );
        var sorted = readings.Select((r, i) => (Reading: r, Index: i)).OrderBy(x => x.Reading.LoadN).ToList();
        foreach (var (a, b) in sorted.Zip(sorted.Skip(1)))
            if (b.Reading.LengthMm >= a.Reading.LengthMm)
                throw new InputException(
                    $"/readings/{b.Index}/lengthMm",
                    WeighedSpringWords.ExpectedLessThanLengthUnderLighter(a.Reading.LengthMm)
                );
        var length = readings.Average(r => r.LengthMm);
        var load = readings.Average(r => r.LoadN);
        var spread = readings.Sum(r => (r.LengthMm - length) * (r.LengthMm - length));
        var rate = -readings.Sum(r => (r.LengthMm - length) * (r.LoadN - load)) / spread;
        // what a wrong length does to a load is the rate times it
        var each = Math.Sqrt(LoadTolN * LoadTolN + rate * LengthTolMm * (rate * LengthTolMm));
        var tol = each / Math.Sqrt(spread);
        if (tol > rate / 2)
            throw new InputException("/readings", WeighedSpringWords.TheseLoadsLieTooNearEach);
        var free = length + load / rate;
        return new(
            Math.Round(rate, 3),
            Math.Round(tol, 3),
            Math.Round(free, 2),
            homeMm is { } h ? Math.Round(free - h, 2) : null
        );
    }
}
