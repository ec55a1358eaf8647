namespace FaithfulBracket.Core.Heat;

/// <summary>How far the model may be from the card, as one standard deviation: what every range and every fault is weighed with.</summary>
public static class HeatError
{
    /// <summary>Share of a part's own way, and of its land's rise over the coolant.</summary>
    public const double Own = 0.12,
        Land = 0.05;

    /// <summary>95 % of a normal error lie within so many standard deviations.</summary>
    private const double Wide = 1.96;

    /// <summary>No sensor that a part is compared with tells less, K.</summary>
    private const double LeastRangeK = 1;

    /// <summary>Half the 95 % range of a part's temperature, K; at least what a sensor tells.</summary>
    /// <param name="gapShare">Standard deviation of the gap its pad fills, as a share of the gap; 0 for a film.</param>
    public static double RangeK(double ownK, double landK, double gapShare) =>
        Math.Max(LeastRangeK, Wide * Math.Sqrt(Square(Own * ownK) + Square(Land * landK) + Square(gapShare * ownK)));

    private static double Square(double v) => v * v;
}
