namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of body lines.</summary>
internal static class BodyLinesWords
{
    public static string LineIsLonger(int line, int mostBytes) =>
        $"Line {line} is longer than {mostBytes} MiB: one document a line.";
}
