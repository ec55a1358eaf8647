namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of die decision.</summary>
internal static class DieDecisionWords
{
    public static Message ThisBlockStatesNoResistance =>
        $"This block states no resistance over flow: the gain cannot be calculated.";

    public static Message LayPasteAndLiquidMetal =>
        $"Lay a paste and a liquid metal in the drawer, and give the processor its watts: both ways are "
        + $"calculated with them.";
}
