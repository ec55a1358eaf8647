namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of idf reader.</summary>
internal static class IdfReaderWords
{
    public const string ExpectedBoardsNameAndUnitsMM = "expected the board's name and its units, MM or THOU.";

    public const string ExpectedPackageNamePartNumberUnits = "expected package name, part number, units and height.";

    public static string UnitExpectedMMOrTHOUFound(string word) => $"unit: expected MM or THOU, found \"{word}\".";

    public static string VersionExpectedFound(string version) =>
        $"version: expected 3.0, found \"{version}\". Export as IDF 3.0.";

    public static string UnitsExpectedMMOrTHOUFound(string found) => $"units: expected MM or THOU, found \"{found}\".";

    public static string EndsSectionThatWasNotBegun(string word) => $"{word} ends a section that was not begun.";

    public static string ExpectedSectionSuch(string shortText) =>
        $"expected a section such as .DRILLED_HOLES, found \"{shortText}\".";

    public static string BeginsBeforeOfLineHasEnded(string word, string open, int line) =>
        $"{word} begins before {open} of line {line} has ended.";

    public static string OfLineIsNotEnded(string open, int line) =>
        $"{open} of line {line} is not ended: the file is cut off.";

    public const string OutlineHasNoPoints = "the outline has no points.";

    public static string CutOutsInsideOutlineAreLeft(int loopCount) =>
        $"{loopCount} cut-outs inside the outline are left out.";

    public const string ExpectedPackageNamePartNumber = "expected package name, part number and designator.";

    public static string HasNoPlace(string word) => $"{word} has no place: the line with x and y is missing.";

    public static string SideExpectedTOPOrBOTTOMFound(string shortText) =>
        $"side: expected TOP or BOTTOM, found \"{shortText}\".";

    public static string PlacesOnBackAreTaken(string file) =>
        $"{file}: places on the back are taken in the same x and y as on the front.";

    public const string OutlineNeedsThreePointsAtLeast = "the outline needs three points at least.";
}
