namespace FaithfulBracket.Core.Words.Plans.Back;

/// <summary>Sentences of lost words.</summary>
internal static class LostSentences
{
    public static Message LidDoesNotGoBack =>
        $"The lid does not go back on: the package stays under its frame, and its clamp is kept.";

    public static Message FindsNothingToRestOnAny(string of) =>
        $"The {of} finds nothing to rest on any more: it is handed over with its screws.";

    public static Message OnePadWasPressedOnce => $"Its one pad was pressed once: a new one, as thick as it was found.";

    public static Message PadsWerePressedOnce(int pads) =>
        $"Its {pads} pads were pressed once: new ones, as thick as they were found.";

    public static Message SealOverStaysBroken(string groups, string seals) =>
        $"The seal over {groups} {seals} stays broken; what it was worth is given up.";
}
