namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of clamp load.</summary>
internal static class ClampLoadWords
{
    public static Message WouldHaveToPull(string screws, double holdsN, string strip) =>
        $"{screws} would have to pull over {holdsN:0} N and {strip} first: ";

    public static Message CheckHeightsOfStopsAndDie => $"check the heights of stops and die.";
}
