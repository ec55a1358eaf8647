namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of layout reader.</summary>
internal static class LayoutReaderWords
{
    public const string ExpectedAtLeastOneFile = "Expected at least one file in the field \"files\".";

    public static string ExpectedAtMostFilesFound(int maxFiles, int fileCount) =>
        $"Expected at most {maxFiles} files, found {fileCount}.";

    public static string MoreThanHolesAndParts(string file, int maxItems) =>
        $"{file}: more than {maxItems} holes and parts.";

    public static string NumberInThisFileCant(string file, string message) =>
        $"{file}: a number in this file can't be read: {message}";

    public const string HolesAndPartsLieApart =
        "Holes and parts lie apart: the files were written with different origins. Export both with the same one.";

    public static string BoardWouldBeWhichNoBoard(double width, double height) =>
        $"The board would be {width:0.##} × {height:0.##} mm, which no board is: look at the units and the digits.";

    public const string FileIsEmpty = "the file is empty.";

    public const string ThisIsNoTextFile =
        "this is not a text file. Expected Excellon drill, a Gerber profile, pick-and-place text or .xlsx, IDF "
        + "3.0, DXF, SVG or our own CSV.";

    public static string ExpectedBOARDFILEOrLIBRARYFILE(string shortText) =>
        $"expected BOARD_FILE or LIBRARY_FILE, found \"{shortText}\". Export a single board as IDF 3.0.";

    public const string ThisIsJSON =
        "this is JSON. Board and block documents are dropped on the library, one file each.";
}
