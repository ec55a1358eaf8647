namespace FaithfulBracket.Core.Sockets;

/// <summary>
/// Heat spreading from a small face into a wider plate that is cooled from behind, mean source temperature (Lee, Song, Au and Moran
/// 1995). Within −5 to +9 % of the exact series.
/// </summary>
public static class Spreading
{
    /// <summary>The formula's own error, as shares of the spreading term.</summary>
    public const double LowShare = -0.05,
        HighShare = 0.09;

    /// <summary>Resistance of a layer, K/W: through it, and for spreading over it.</summary>
    /// <param name="fromMm2">Area of the source.</param>
    /// <param name="toMm2">Area of the plate that is cooled.</param>
    /// <param name="thicknessMm">Of the plate.</param>
    /// <param name="kWPerMK">Its conductivity, W/(m·K).</param>
    /// <param name="hWPerM2K">What cools it from behind, W/(m²·K).</param>
    /// <param name="share">Factor on the spreading term, for its error.</param>
    public static double Layer(
        double fromMm2,
        double toMm2,
        double thicknessMm,
        double kWPerMK,
        double hWPerM2K,
        double share = 1
    ) =>
        thicknessMm / 1000 / (kWPerMK * Math.Max(fromMm2, toMm2) * 1e-6)
        + share * Term(fromMm2, toMm2, thicknessMm, kWPerMK, hWPerM2K);

    /// <summary>The spreading term alone, K/W; 0 where the source is as large as the plate.</summary>
    public static double Term(double fromMm2, double toMm2, double thicknessMm, double kWPerMK, double hWPerM2K)
    {
        if (fromMm2 >= toMm2)
            return 0;
        double a = Math.Sqrt(fromMm2 * 1e-6 / Math.PI),
            b = Math.Sqrt(toMm2 * 1e-6 / Math.PI),
            eps = a / b,
            tau = thicknessMm / 1000 / b,
            bi = hWPerM2K * b / kWPerMK,
            lambda = Math.PI + 1 / (Math.Sqrt(Math.PI) * eps),
            tanh = Math.Tanh(lambda * tau),
            phi = (tanh + lambda / bi) / (1 + lambda / bi * tanh);
        return 0.5 * Math.Pow(1 - eps, 1.5) * phi / (Math.Sqrt(Math.PI) * kWPerMK * a);
    }

    /// <summary>
    /// A film between two round crowned faces, h = h₀ + c·r²/R²: K/W over an area. As c goes to 0 it is the even film's h₀/(k·πR²).
    /// </summary>
    /// <param name="leastMm">Film in the middle.</param>
    /// <param name="crownsMm">Crowns of both faces together.</param>
    public static double CrownedFilm(double leastMm, double crownsMm, double areaMm2, double kWPerMK)
    {
        var mm = crownsMm < 1e-9 * leastMm ? leastMm : crownsMm / Math.Log(1 + crownsMm / leastMm);
        return mm / (kWPerMK * areaMm2) * 1000;
    }
}
