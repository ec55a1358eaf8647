namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of complaint.</summary>
internal static class ComplaintWords
{
    public static Message NotReadComplained(string name) => $"{name} not read: complained of";

    public static Message ComplaintWasAbout(string name) =>
        $"The complaint was about the {name}: read that sensor after the work, as before.";
}
