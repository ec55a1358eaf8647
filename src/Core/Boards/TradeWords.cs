namespace FaithfulBracket.Core.Boards;

/// <summary>What an assembly is described with: the drivers, threads, latches and bonds that the trade meets.</summary>
public sealed record TradeWords
{
    public static readonly TradeWords All = new();

    public IReadOnlyList<string> Drivers { get; } =
    ["T5", "T6", "T8", "PH0", "PH1", "PH2", "SL2", "HEX1.5", "HEX2", "HEX2.5", "NUT4", "NUT5", "NUT8"];

    public IReadOnlyList<string> Threads { get; } = ["M1.6", "M2", "M2.5", "M3", "M4", "6-32"];

    public IReadOnlyList<string> Latches { get; } = ["pull-tab", "lift-bar", "squeeze", "straight"];

    public IReadOnlyList<BondKind> Bonds { get; } = Enum.GetValues<BondKind>();
}
