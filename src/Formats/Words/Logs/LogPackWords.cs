namespace FaithfulBracket.Formats.Words.Logs;

/// <summary>Sentences of log pack.</summary>
internal static class LogPackWords
{
    public const string ThisLogWasPackedByLater = "This log was packed by a later version.";

    public const string ThisIsNotPackedLog = "This is not a packed log.";

    public const string ThisLogIsCutOff = "This log is cut off.";
}
