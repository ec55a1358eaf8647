using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;

namespace FaithfulBracket.Formats.Json;

/// <summary>Reads bounded JSON text; refuses what is too large, too deep or malformed with the place.</summary>
public static class JsonInput
{
    public const int MostBytes = 4 * 1024 * 1024;
    public const int MostDepth = 32;

    /// <exception cref="MalformedJsonException">The text is no JSON, too large or nested too deeply.</exception>
    public static JsonDocument Parse(ReadOnlyMemory<byte> utf8)
    {
        if (utf8.Length > MostBytes)
            throw new MalformedJsonException(
                $"The document has {utf8.Length / 1048576.0:0.0} MiB; at most {MostBytes / 1048576} MiB are read."
            );
        if (utf8.Span.StartsWith(Encoding.UTF8.Preamble))
            utf8 = utf8[3..];
        try
        {
            RefuseWhatNobodyCanRead(utf8.Span);
            return JsonDocument.Parse(utf8, new JsonDocumentOptions { MaxDepth = MostDepth });
        }
        catch (JsonException e)
        {
            bool Says(string words) => e.Message.Contains(words, StringComparison.OrdinalIgnoreCase);
            throw new MalformedJsonException(
                Says("maximum configured depth")
                    ? $"Nested more than {MostDepth} levels deep at line {e.LineNumber + 1}."
                : CutOffWords.Any(Says)
                    ? $"The text ends in the middle, at line {e.LineNumber + 1}: what is open is never closed."
                : $"No JSON at line {e.LineNumber + 1}, byte {e.BytePositionInLine + 1}: {FirstSentence(e.Message)}"
            );
        }
    }

    /// <summary>What the reader says of text that is cut off.</summary>
    public static readonly IReadOnlyList<string> CutOffWords =
    [
        "depth to be zero",
        "reached end of data",
        "end of string, but instead reached",
        "but instead reached end",
    ];

    /// <summary>Well-formed JSON may still hold half a character or a number without end; neither can be kept or compared.</summary>
    private static void RefuseWhatNobodyCanRead(ReadOnlySpan<byte> utf8)
    {
        var reader = new Utf8JsonReader(utf8, new JsonReaderOptions { MaxDepth = MostDepth });
        while (reader.Read())
        {
            if (reader.TokenType is JsonTokenType.String or JsonTokenType.PropertyName)
            {
                try
                {
                    reader.GetString();
                }
                catch (InvalidOperationException)
                {
                    throw new MalformedJsonException(
                        $"{Line(utf8, reader)} holds text that is no whole Unicode: half of a pair, or broken UTF-8."
                    );
                }
            }
            else if (
                reader.TokenType == JsonTokenType.Number
                && !(reader.TryGetDouble(out var number) && double.IsFinite(number))
            )
                throw new MalformedJsonException($"{Line(utf8, reader)} holds a number too large to be one.");
        }
    }

    private static string Line(ReadOnlySpan<byte> utf8, Utf8JsonReader at) =>
        $"Line {utf8[..(int)at.TokenStartIndex].Count((byte)'\n') + 1}";

    private static string FirstSentence(string text) => text.Split(" LineNumber", 2)[0].TrimEnd('.') + ".";
}

/// <summary>Text that is no JSON that can be read at all.</summary>
public sealed class MalformedJsonException(string message) : Exception(message)
{
    public InputFault Fault => new("", Message);
}
