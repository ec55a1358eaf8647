using System.Globalization;
using System.IO.Compression;
using System.Xml;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Words.Spreadsheets;
using MiniExcelLibs;

namespace FaithfulBracket.Formats.Spreadsheets;

/// <summary>
/// One sheet of a workbook (.xlsx, ECMA-376) as lines of text, cells parted by tabs: what reads a table of text reads a
/// spreadsheet too, and its line numbers are the sheet's.
/// </summary>
public static class SpreadsheetFile
{
    public const string InWords = SpreadsheetFileWords.WorkbooksXlsxFirstSheet;

    private const long MaxUnpacked = 64 * 1024 * 1024;
    private const int MaxEntries = 500,
        MaxColumns = 200,
        MaxRows = 400_000,
        MaxCells = 4_000_000,
        ShownSheets = 12;

    private static readonly byte[] Zip = [0x50, 0x4B, 0x03, 0x04];
    private static readonly byte[] Compound = [0xD0, 0xCF, 0x11, 0xE0, 0xA1, 0xB1, 0x1A, 0xE1];

    /// <summary>Whether the content is a workbook, or a file of a spreadsheet program that is refused by name.</summary>
    public static bool Is(ReadOnlySpan<byte> content) => content.StartsWith(Zip) || content.StartsWith(Compound);

    /// <param name="sheet">By name; null takes the first.</param>
    /// <param name="refuse">Makes the refusal out of its reason.</param>
    /// <exception cref="InputException">Protected, with macros, too large, cut off, or without that sheet.</exception>
    public static IReadOnlyList<string> Lines(
        ReadOnlyMemory<byte> content,
        string? sheet,
        Func<string, InputException> refuse
    )
    {
        if (content.Span.StartsWith(Compound))
            throw refuse(SpreadsheetFileWords.WorkbookWithPassword);
        Check(content, refuse);
        try
        {
            using var stream = Stream(content);
            var names = MiniExcel.GetSheetNames(stream);
            if (sheet is not null && !names.Contains(sheet))
                throw refuse(
                    SpreadsheetFileWords.NoSheetIsNamed(
                        sheet.Length > 40 ? sheet[..40] : sheet,
                        string.Join(", ", names.Take(ShownSheets))
                    )
                );
            using var again = Stream(content);
            var lines = new List<string>();
            var cells = 0;
            foreach (
                IDictionary<string, object?> row in MiniExcel.Query(
                    again,
                    useHeaderRow: false,
                    sheetName: sheet ?? names[0],
                    excelType: ExcelType.XLSX
                )
            )
            {
                cells += row.Count + 1;
                if (row.Count > MaxColumns)
                    throw refuse(SpreadsheetFileWords.RowHasMoreThanColumns(lines.Count + 1, MaxColumns));
                if (lines.Count >= MaxRows || cells > MaxCells)
                    throw refuse(SpreadsheetFileWords.MoreThanRowsOrCells(MaxRows, MaxCells));
                lines.Add(string.Join('\t', row.Values.Select(Text)).TrimEnd('\t'));
            }
            return lines;
        }
        // the library tells a broken workbook by whatever it stumbles over
        catch (Exception e)
            when (e
                    is XmlException
                        or InvalidDataException
                        or FormatException
                        or OverflowException
                        or InvalidOperationException
                        or NullReferenceException
                        or ArgumentException
                        or IndexOutOfRangeException
                        or KeyNotFoundException
            )
        {
            throw refuse(SpreadsheetFileWords.ThisWorkbookCantBeRead);
        }
    }

    /// <summary>Names of the sheets beside the one that was read, for a refusal to point at.</summary>
    public static string OtherSheets(ReadOnlyMemory<byte> content, string? sheet)
    {
        using var stream = Stream(content);
        var names = MiniExcel.GetSheetNames(stream);
        var others = names.Where(n => n != (sheet ?? names[0])).Take(ShownSheets).ToList();
        return others.Count == 0 ? "" : SpreadsheetFileWords.OtherSheetsChooseOneWithSheet(string.Join(", ", others));
    }

    private static void Check(ReadOnlyMemory<byte> content, Func<string, InputException> refuse)
    {
        try
        {
            using var stream = Stream(content);
            using var zip = new ZipArchive(stream);
            if (zip.Entries.Count > MaxEntries)
                throw refuse(SpreadsheetFileWords.WorkbookOfMoreThanParts(MaxEntries));
            if (zip.Entries.Any(e => e.FullName.EndsWith("vbaProject.bin", StringComparison.OrdinalIgnoreCase)))
                throw refuse(SpreadsheetFileWords.WorkbookWithMacrosIsNotOpened);
            if (zip.GetEntry("xl/workbook.xml") is null)
                throw refuse(SpreadsheetFileWords.ZipArchiveThatIsNoWorkbook);
            // sizes are counted as they unpack: what an archive says of them may be wrong
            long unpacked = 0;
            var buffer = new byte[81920];
            foreach (var entry in zip.Entries)
            {
                using var part = entry.Open();
                for (int n; (n = part.Read(buffer, 0, buffer.Length)) > 0; )
                    if ((unpacked += n) > MaxUnpacked)
                        throw refuse(SpreadsheetFileWords.WorkbookUnpacksToMore(MaxUnpacked >> 20));
            }
        }
        catch (InvalidDataException)
        {
            throw refuse(SpreadsheetFileWords.WorkbookIsCutOffOrBroken);
        }
    }

    private static MemoryStream Stream(ReadOnlyMemory<byte> content) => new(content.ToArray(), false);

    private static string Text(object? cell) =>
        cell switch
        {
            null => "",
            DateTime d => d.ToString("yyyy-MM-ddTHH:mm:ss", CultureInfo.InvariantCulture),
            IFormattable f => f.ToString(null, CultureInfo.InvariantCulture),
            _ => cell.ToString()!.Replace('\t', ' ').Replace('\n', ' ').Replace('\r', ' '),
        };
}
