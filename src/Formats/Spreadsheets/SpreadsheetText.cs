namespace FaithfulBracket.Formats.Spreadsheets;

/// <summary>
/// Text cells that a spreadsheet would run as a formula: kept as text by an apostrophe in front, and read back without
/// it.
/// </summary>
public static class SpreadsheetText
{
    private const char Mark = '\'';

    public static string Escape(string text) => StartsFormula(text) ? Mark + text : text;

    public static string Unescape(string text) =>
        text.Length > 1 && text[0] == Mark && StartsFormula(text[1..]) ? text[1..] : text;

    private static bool StartsFormula(string text) =>
        text.Length > 0 && text[0] is '=' or '+' or '-' or '@' or '\t' or '\r' or '\n' or '＝' or '＋' or '－' or '＠';
}
