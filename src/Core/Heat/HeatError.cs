namespace FaithfulBracket.Core.Heat;

/// <summary>How far the model may be from the card, as one standard deviation: what every range and every fault is weighed with.</summary>
public static class HeatError
{
    /// <summary>
    /// Share of a part's own way; of every land's rise over the coolant, all together, since a block's curve is stated within 10 %;
    /// and of each land's rise on its own.
    /// </summary>
    public const double Own = 0.12,
        Curve = 0.05,
        Land = 0.03;

    /// <summary>95 % of a normal error lie within so many standard deviations.</summary>
    private const double Wide = 1.96;

    /// <summary>No sensor that a part is compared with tells less, K.</summary>
    private const double MinRangeK = 1;

    /// <summary>Half the 95 % range of a part's temperature, K; at least what a sensor tells.</summary>
    /// <param name="gapShare">Standard deviation of the gap its pad fills, as a share of the gap; 0 for a film.</param>
    public static double RangeK(double ownK, double landK, double gapShare) =>
        Math.Max(MinRangeK, Wide * Math.Sqrt(Variance(ownK, landK) + Square(gapShare * ownK)));

    /// <summary>K², of a part by its own way and its land's rise.</summary>
    public static double Variance(double ownK, double landK) =>
        Square(Own * ownK) + Square(Curve * landK) + Square(Land * landK);

    private static double Square(double v) => v * v;
}
