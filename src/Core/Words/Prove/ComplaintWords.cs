namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of complaint.</summary>
internal static class ComplaintWords
{
    public static string NotReadComplained(string name) => $"{name} not read: complained of";

    public static string ComplaintWasAbout(string name) =>
        $"The complaint was about the {name}: read that sensor after the work, as before.";
}
