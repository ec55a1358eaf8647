namespace FaithfulBracket.Core.Orders;

/// <summary>Working defaults of the shop; each can be set.</summary>
public sealed record ShopSettings
{
    /// <summary>Extra paste over the bare film, as a share.</summary>
    public double PasteMargin { get; init; } = 0.4;

    /// <summary>Bead diameter a hand draws, mm.</summary>
    public double BeadMm { get; init; } = 1.5;

    /// <summary>Least clear height over parts, mm.</summary>
    public double MinClearanceMm { get; init; } = 0.3;

    /// <summary>Wait of the remover when the drawer states none, s.</summary>
    public int RemoverWaitS { get; init; } = 60;

    /// <summary>Longest time between pastings, months.</summary>
    public int RepasteCapMonths { get; init; } = 24;
}
