namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of body lines.</summary>
internal static class BodyLinesWords
{
    public static string LineIsLonger(int line, int maxBytes) =>
        $"Line {line} is longer than {maxBytes} MiB: one document a line.";
}
