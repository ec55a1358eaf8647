namespace FaithfulBracket.Core.Words.Prove.Logs;

/// <summary>Sentences of log to reading.</summary>
internal static class LogToReadingWords
{
    public static string LogIsNotSteady(string why) => $"The log is not steady. {why}";

    public static string LogHasNoColumn(string name) => $"The log has no column of the {name}: say it.";
}
