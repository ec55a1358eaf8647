namespace FaithfulBracket.Core.Words.Plans.Moment;

/// <summary>Sentences of last chance.</summary>
internal static class LastChanceWords
{
    public static string LastChanceBeforeCloses(string of) => $"Last chance before the {of} closes";
}
