namespace FaithfulBracket.Formats.Words.Spreadsheets;

/// <summary>Sentences of spreadsheet file.</summary>
internal static class SpreadsheetFileWords
{
    public const string WorkbooksXlsxFirstSheet =
        "Workbooks (.xlsx): the first sheet or the one named; at most 64 MiB unpacked, 200 columns, 400,000 "
        + "rows; no macros, no password.";

    public const string WorkbookWithPassword =
        "a workbook with a password, or one in the old .xls form. Save it as .xlsx without a password, or as CSV.";

    public static string NoSheetIsNamed(string sheet, string names) =>
        $"no sheet is named \"{sheet}\"; there are {names}.";

    public static string RowHasMoreThanColumns(int lineCount, int maxColumns) =>
        $"row {lineCount} has more than {maxColumns} columns.";

    public static string MoreThanRowsOrCells(int maxRows, int maxCells) =>
        $"more than {maxRows} rows or {maxCells} cells.";

    public const string ThisWorkbookCantBeRead =
        "this workbook can't be read. Save the sheet again as .xlsx, or as CSV.";

    public static string OtherSheetsChooseOneWithSheet(string others) =>
        $" Other sheets: {others}; choose one with sheet=.";

    public static string WorkbookOfMoreThanParts(int maxEntries) => $"a workbook of more than {maxEntries} parts.";

    public const string WorkbookWithMacrosIsNotOpened =
        "a workbook with macros is not opened. Save it as .xlsx without them.";

    public const string ZipArchiveThatIsNoWorkbook =
        "a zip archive that is not a workbook. Unpack it and drop the files in it.";

    public static string WorkbookUnpacksToMore(long maxUnpacked) =>
        $"the workbook unpacks to more than {maxUnpacked} MiB.";

    public const string WorkbookIsCutOffOrBroken = "the workbook is cut off or broken. Copy the file again.";
}
