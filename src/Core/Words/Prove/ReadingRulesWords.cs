namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of reading rules.</summary>
internal static class ReadingRulesWords
{
    public static Message DieIsNotWarmerThanRoom => $"The die is not warmer than the room: measure under load.";
}
