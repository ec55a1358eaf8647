using System.Text;
using FaithfulBracket.Core;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>A text file as numbered lines, whatever its line ends and encoding.</summary>
internal sealed class TextFile
{
    public const int MostBytes = 16 * 1024 * 1024;
    private const int MostLines = 400_000;

    public TextFile(string name, ReadOnlyMemory<byte> content, string pointer)
    {
        (Name, Pointer) = (name, pointer);
        if (content.Length > MostBytes)
            throw new InputException(pointer, $"{name}: larger than {MostBytes / 1048576} MiB.");
        Lines = Decode(content.Span).Split(["\r\n", "\n", "\r"], StringSplitOptions.None);
        if (Lines.Count > MostLines)
            throw new InputException(pointer, $"{name}: more than {MostLines} lines.");
    }

    public string Name { get; }
    public string Pointer { get; }
    public IReadOnlyList<string> Lines { get; }

    /// <param name="line">From 1.</param>
    public InputException Refuse(int line, string text) => new(Pointer, $"{Name}, line {line}: {text}");

    private static string Decode(ReadOnlySpan<byte> bytes)
    {
        if (bytes.StartsWith((ReadOnlySpan<byte>)[0xEF, 0xBB, 0xBF]))
            return Encoding.UTF8.GetString(bytes[3..]);
        if (bytes.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xFE]))
            return Encoding.Unicode.GetString(bytes[2..]);
        if (bytes.StartsWith((ReadOnlySpan<byte>)[0xFE, 0xFF]))
            return Encoding.BigEndianUnicode.GetString(bytes[2..]);
        try
        {
            return new UTF8Encoding(false, true).GetString(bytes);
        }
        catch (DecoderFallbackException)
        {
            return Encoding.Latin1.GetString(bytes);
        }
    }
}
