namespace FaithfulBracket.Core.Heat;

/// <summary>Water as a heat carrier.</summary>
public static class Coolant
{
    /// <summary>Density of water about 25 °C, kg/L.</summary>
    public const double DensityKgPerL = 0.997;

    /// <summary>Specific heat about 25 °C, J/(kg·K).</summary>
    public const double SpecificHeat = 4180;

    /// <summary>Rise through the block, K: P/(ρ·c·Q).</summary>
    /// <param name="powerW">Heat taken up, W.</param>
    /// <param name="flowLMin">Flow, L/min.</param>
    public static double RiseK(double powerW, double flowLMin) =>
        powerW / (DensityKgPerL * SpecificHeat * flowLMin / 60);
}
