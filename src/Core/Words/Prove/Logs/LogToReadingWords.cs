namespace FaithfulBracket.Core.Words.Prove.Logs;

/// <summary>Sentences of log to reading.</summary>
internal static class LogToReadingWords
{
    public static Message LogIsNotSteady(string why) => $"The log is not steady. {why}";

    public static Message LogHasNoColumn(string name) => $"The log has no column of the {name}: say it.";
}
