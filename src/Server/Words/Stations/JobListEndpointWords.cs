namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of job list endpoint.</summary>
internal static class JobListEndpointWords
{
    public static string JobsInParts(int maxLimit, int usualLimit) =>
        "Jobs in parts. state: open (default), finished, archived, all. order: -opened (default, newest first) "
        + $"or opened. limit: 1 to {maxLimit}, {usualLimit} where nothing is said. cursor: next of the part before.";

    public const string ExpectedOpenFinishedArchivedOrAll = "Expected open, finished, archived or all.";

    public const string ExpectedOpenedOrOpened = "Expected opened or -opened.";

    public const string ExpectedWhatPartBeforeGave = "Expected what the part before gave as next.";
}
