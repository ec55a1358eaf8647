namespace FaithfulBracket.Core.Words.Choosing;

/// <summary>Sentences of choice.</summary>
internal static class ChoiceWords
{
    public const string BlockWithBackPlate = "block with its back plate";

    public const string PadsKitLacks = "pads the kit lacks";
}
