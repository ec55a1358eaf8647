namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of die decision.</summary>
internal static class DieDecisionWords
{
    public const string ThisBlockStatesNoResistance =
        "This block states no resistance over flow: the gain cannot be calculated.";

    public const string LayPasteAndLiquidMetal =
        "Lay a paste and a liquid metal in the drawer, and give the processor its watts: both ways are "
        + "calculated with them.";
}
