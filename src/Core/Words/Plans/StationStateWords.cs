namespace FaithfulBracket.Core.Words.Plans;

/// <summary>Sentences of station state.</summary>
internal static class StationStateWords
{
    public static Message OfScrewsInTray(int signedCount, int screws) => $"{signedCount} of {screws} screws in tray";
}
