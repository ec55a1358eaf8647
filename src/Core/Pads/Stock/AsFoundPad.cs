namespace FaithfulBracket.Core.Pads.Stock;

/// <summary>A stock pad as it was found.</summary>
/// <param name="Part">What it lay on.</param>
/// <param name="NewMm">Thickness where it was never pressed, at its rim, mm.</param>
/// <param name="PressedMm">Thickness where it was pressed, just after the lift, mm.</param>
/// <param name="LandStepMm">How much nearer to the board the stock cooler's land is than its die face, mm; + = nearer.</param>
public sealed record AsFoundPad(string Part, double NewMm, double PressedMm, double LandStepMm)
{
    public string? Note { get; init; }

    /// <summary>Key of the board it lay on; null for the first of the order.</summary>
    public string? Board { get; init; }
}
