namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of log endpoints.</summary>
internal static class LogEndpointsWords
{
    public const string ExpectedBeforeOrAfter = "Expected before or after.";

    public static string JobKeepsAtMostLogs(int maxLogs) => $"A job keeps at most {maxLogs} logs: strike one first.";

    public static string TwoColumnsAreStated(string theTime) => $"Two columns are told to be {theTime}: one of them.";

    public const string ExpectedListOfColumnsEach = "Expected a list of columns, each with index, channel and unit.";
}
