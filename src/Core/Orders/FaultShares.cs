namespace FaithfulBracket.Core.Orders;

/// <summary>
/// How often each fault is met before anything is read, over all places it can sit at. Weighed against each other, not shares of one.
/// </summary>
public sealed record FaultShares
{
    public double Nothing { get; init; } = 0.5;
    public double FilmLeft { get; init; } = 0.12;
    public double PadMissing { get; init; } = 0.06;
    public double PadThin { get; init; } = 0.08;
    public double PasteVoid { get; init; } = 0.05;
    public double Tilt { get; init; } = 0.04;
    public double Floats { get; init; } = 0.05;
    public double LowFlow { get; init; } = 0.04;
    public double Air { get; init; } = 0.02;
    public double PumpedOut { get; init; } = 0.02;
    public double Misread { get; init; } = 0.02;
}
