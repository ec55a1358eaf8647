using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Paste;

/// <summary>What a bare part of a face costs.</summary>
public static class BareCost
{
    /// <summary>
    /// Kelvin lost against the same film over the whole face: q·(R_partial − R_full), the film R = h/(k·A) on the covered area only.
    /// Spreading inside the silicon is left out, so a bare corner under a hot core costs more than this mean says.
    /// </summary>
    /// <param name="coverage">Share covered, above 0 to 1.</param>
    public static double Kelvin(double areaMm2, double coverage, double filmUm, PasteMaterial paste, double powerW)
    {
        if (coverage <= 0)
            return double.PositiveInfinity;
        var full = filmUm * 1e-6 / (paste.ConductivityWPerMK * areaMm2 * 1e-6);
        return powerW * full * (1 / coverage - 1);
    }
}
