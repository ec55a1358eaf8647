using System.Text;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Spreadsheets;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>A text file or a sheet of a workbook as numbered lines, whatever its line ends and encoding.</summary>
internal sealed class TextFile
{
    public const int MaxBytes = 16 * 1024 * 1024;
    private const int MaxLines = 400_000;

    private readonly ReadOnlyMemory<byte> _content;
    private readonly string? _sheet;

    private static readonly byte[] Pdf = [.. "%PDF-"u8];

    /// <param name="sheet">Of a workbook; null takes the first.</param>
    public TextFile(string name, ReadOnlyMemory<byte> content, string pointer, string? sheet = null)
    {
        (Name, Pointer, _content, _sheet) = (name, pointer, content, sheet);
        if (content.Length > MaxBytes)
            throw new InputException(pointer, $"{name}: larger than {MaxBytes / 1048576} MiB.");
        if (content.Span.StartsWith(Pdf))
            throw new InputException(pointer, TextFileWords.PDFHoldsPicturesOfPages(name));
        IsSheet = SpreadsheetFile.Is(content.Span);
        Lines = IsSheet
            ? SpreadsheetFile.Lines(content, sheet, why => new(pointer, $"{name}: {why}"))
            : Decode(content.Span).Split(["\r\n", "\n", "\r"], StringSplitOptions.None);
        if (Lines.Count > MaxLines)
            throw new InputException(pointer, $"{name}: more than {MaxLines} lines.");
    }

    public string Name { get; }
    public string Pointer { get; }

    /// <summary>Read from a workbook: lines are rows of its sheet, cells parted by tabs.</summary>
    public bool IsSheet { get; }

    public IReadOnlyList<string> Lines { get; }

    /// <summary>Where else in a workbook to look, for the end of a refusal.</summary>
    public string Elsewhere => IsSheet ? SpreadsheetFile.OtherSheets(_content, _sheet) : "";

    /// <param name="line">From 1.</param>
    public InputException Refuse(int line, string text) =>
        new(Pointer, $"{Name}, {(IsSheet ? "row" : "line")} {line}: {text}");

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
