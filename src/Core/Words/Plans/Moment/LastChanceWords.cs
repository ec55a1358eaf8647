namespace FaithfulBracket.Core.Words.Plans.Moment;

/// <summary>Sentences of last chance.</summary>
internal static class LastChanceWords
{
    public static Message LastChanceBeforeCloses(string of) => $"Last chance before the {of} closes";
}
