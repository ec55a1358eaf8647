namespace FaithfulBracket.Formats.Words.Json;

/// <summary>Sentences of json input.</summary>
internal static class JsonInputWords
{
    public static string DocumentHasAtMostAreRead(double utf8Count, int maxBytes) =>
        $"The document has {utf8Count:0.0} MiB; at most {maxBytes} MiB are read.";

    public static string NestedMoreThanLevelsDeep(int maxDepth, long? lineNumber) =>
        $"Nested more than {maxDepth} levels deep at line {lineNumber}.";

    public static string TextEndsInMiddleAtLine(long? lineNumber) =>
        $"The text ends in the middle, at line {lineNumber}: what is open is never closed.";

    public const string DepthToBeZero = "depth to be zero";

    public const string EndOfStringButInsteadReached = "end of string, but instead reached";

    public const string ButInsteadReachedEnd = "but instead reached end";

    public static string HoldsTextThatIsNoWhole(string line) =>
        $"{line} holds text that is not complete Unicode: half of a pair, or broken UTF-8.";

    public static string HoldsNumberTooLarge(string line) => $"{line} holds a number too large to be one.";
}
