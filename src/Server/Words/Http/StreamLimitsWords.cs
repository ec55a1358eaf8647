namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of stream limits.</summary>
internal static class StreamLimitsWords
{
    public static string ThisMachineHasStreamsOpen(int maxOfOne) =>
        $"This machine has {maxOfOne} streams open. Close pages that are not used, then try again.";

    public static string StreamsAreOpen(int maxOfAll) =>
        $"{maxOfAll} streams are open. Close pages that are not used, then try again.";
}
