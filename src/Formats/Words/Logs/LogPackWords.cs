namespace FaithfulBracket.Formats.Words.Logs;

/// <summary>Sentences of log pack.</summary>
internal static class LogPackWords
{
    public const string ThisLogWasPackedByLater = "This log was packed by a later version.";

    public const string ThisIsNoPackedLog = "This is no packed log.";

    public const string ThisLogIsCutOff = "This log is cut off.";
}
