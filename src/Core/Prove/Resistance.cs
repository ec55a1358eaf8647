namespace FaithfulBracket.Core.Prove;

/// <summary>A thermal resistance with its standard uncertainty, K/W.</summary>
public readonly record struct Resistance(double KPerW, double UncertaintyKPerW)
{
    /// <summary>Standard uncertainty of a temperature difference between two sensors, K.</summary>
    public const double DifferenceUncertaintyK = 1.0;

    /// <summary>Relative standard uncertainty of the power reading.</summary>
    public const double PowerUncertainty = 0.03;

    /// <summary>(hot − cold)/power, uncertainties added in squares.</summary>
    public static Resistance Between(double hotC, double coldC, double powerW)
    {
        var rise = hotC - coldC;
        var r = rise / powerW;
        return new(r, Math.Sqrt(Math.Pow(DifferenceUncertaintyK / powerW, 2) + Math.Pow(r * PowerUncertainty, 2)));
    }
}
