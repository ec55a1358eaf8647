using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads;

/// <summary>A part's own way to its land: pad or film, and the faces on both sides of a pad.</summary>
public static class PadWay
{
    /// <summary>One face of a pad where its maker states none, mm²·K/W.</summary>
    public const double UnstatedContactMm2KPerW = 10;

    /// <summary>gap/(k·A) + 2·contact/A, K/W; null where the material states no conductivity.</summary>
    /// <param name="gapMm">Height of the pad as it is pressed, mm.</param>
    /// <param name="coveredMm2">Of the part's top under its land.</param>
    public static double? KPerW(PadMaterial material, double gapMm, double coveredMm2) =>
        (material.ConductivityWPerMK ?? material.ClaimedWPerMK) is { } k
            ? gapMm / (k * coveredMm2) * 1000 + 2 * (material.ContactMm2KPerW ?? UnstatedContactMm2KPerW) / coveredMm2
            : null;
}
