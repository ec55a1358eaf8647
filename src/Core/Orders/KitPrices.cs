namespace FaithfulBracket.Core.Orders;

/// <summary>What the shop pays for what a kit does not hold; one currency.</summary>
public sealed record KitPrices(
    double Fitting = 8.5,
    double Plug = 3.5,
    double PadCm2 = 0.09,
    double PasteGram = 2.4,
    double SocketKit = 19,
    string Currency = "EUR"
);
