namespace FaithfulBracket.Core.Orders;

/// <summary>What the shop pays for what a kit does not hold; one currency.</summary>
public sealed record KitPrices(
    double Fitting = 8.5,
    double Plug = 3.5,
    double PadCm2 = 0.09,
    double PasteGram = 2.4,
    double SocketKit = 19,
    string Currency = "EUR"
)
{
    /// <summary>What the shop can calculate in, as ISO 4217 has them; never put in another order: their places are kept.</summary>
    public static readonly IReadOnlyList<string> Currencies =
    [
        "EUR",
        "USD",
        "GBP",
        "CHF",
        "SEK",
        "NOK",
        "DKK",
        "PLN",
        "CZK",
        "CAD",
        "AUD",
        "NZD",
        "JPY",
    ];
}
