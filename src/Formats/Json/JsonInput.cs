using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Words.Json;

namespace FaithfulBracket.Formats.Json;

/// <summary>Reads bounded JSON text; refuses what is too large, too deep or malformed with the place.</summary>
public static class JsonInput
{
    public const int MaxBytes = 4 * 1024 * 1024;
    public const int MaxDepth = 32;

    /// <exception cref="MalformedJsonException">The text is no JSON, too large or nested too deeply.</exception>
    public static JsonDocument Parse(ReadOnlyMemory<byte> utf8)
    {
        if (utf8.Length > MaxBytes)
            throw new MalformedJsonException(
                JsonInputWords.DocumentHasAtMostAreRead(utf8.Length / 1048576.0, MaxBytes / 1048576)
            );
        if (utf8.Span.StartsWith(Encoding.UTF8.Preamble))
            utf8 = utf8[3..];
        try
        {
            RefuseWhatNobodyCanRead(utf8.Span);
            return JsonDocument.Parse(utf8, new JsonDocumentOptions { MaxDepth = MaxDepth });
        }
        catch (JsonException e)
        {
            bool Says(string words) => e.Message.Contains(words, StringComparison.OrdinalIgnoreCase);
            throw new MalformedJsonException(
                Says("maximum configured depth") ? JsonInputWords.NestedMoreThanLevelsDeep(MaxDepth, e.LineNumber + 1)
                : CutOffWords.Any(Says) ? JsonInputWords.TextEndsInMiddleAtLine(e.LineNumber + 1)
                : $"No JSON at line {e.LineNumber + 1}, byte {e.BytePositionInLine + 1}: {FirstSentence(e.Message)}"
            );
        }
    }

    /// <summary>What the reader says of text that is cut off.</summary>
    public static readonly IReadOnlyList<string> CutOffWords =
    [
        JsonInputWords.DepthToBeZero,
        "reached end of data",
        JsonInputWords.EndOfStringButInsteadReached,
        JsonInputWords.ButInsteadReachedEnd,
    ];

    /// <summary>Well-formed JSON may still hold half a character or a number without end; neither can be kept or compared.</summary>
    private static void RefuseWhatNobodyCanRead(ReadOnlySpan<byte> utf8)
    {
        var reader = new Utf8JsonReader(utf8, new JsonReaderOptions { MaxDepth = MaxDepth });
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
                    throw new MalformedJsonException(JsonInputWords.HoldsTextThatIsNoWhole(Line(utf8, reader)));
                }
            }
            else if (
                reader.TokenType == JsonTokenType.Number
                && !(reader.TryGetDouble(out var number) && double.IsFinite(number))
            )
                throw new MalformedJsonException(JsonInputWords.HoldsNumberTooLarge(Line(utf8, reader)));
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
