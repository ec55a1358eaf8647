namespace FaithfulBracket.Core.Words.Choosing;

/// <summary>Sentences of choice.</summary>
internal static class ChoiceWords
{
    public static Message BlockWithBackPlate => $"block with its back plate";

    public static Message PadsKitLacks => $"pads the kit lacks";
}
