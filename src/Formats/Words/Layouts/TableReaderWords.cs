namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of table reader.</summary>
internal static class TableReaderWords
{
    public const string ThisLineHasNoX = "This line has no x and y and is left out.";

    public static string WhatExpectedHolePartOrOutline(string shortText) =>
        $"what: expected hole, part or outline, found \"{shortText}\".";

    public static string ColumnHoldsOnlyTopAndBottom(string file, string name) =>
        $"{file}: column {name} holds only top and bottom and is taken as the side.";

    public static string NotUnderstoodAndLeftOut(string file, string columns, string rest) =>
        $"{file}: {columns} not understood and left out: {rest}.";

    public const string SideAndStandTogether = "side: 0, 1 and 2 stand together; which is top is not stated.";

    public const string ZeroIsTopOneIsBottom = "0 is taken as top, 1 as bottom";

    public const string OneIsTopTwoIsBottom = "1 is taken as top, 2 as bottom";

    public static string TurnsRunClockwiseInThisFile(string file) =>
        $"{file}: turns run clockwise in this file and are turned about.";

    public static string KindExpectedOneOfFound(string all, string shortText) =>
        $"kind: expected one of {all}, found \"{shortText}\".";

    public static string PlacesOnBackAreTaken(string file) =>
        $"{file}: places on the back are taken in the same x and y as on the front, not mirrored.";

    public static string SizesAreTakenFromPackagesNames(string file, string read) =>
        $"{file}: sizes are taken from the packages' names, such as {read}.";

    public static string SideExpectedTopOrBottomFound(string shortText) =>
        $"side: expected top or bottom, found \"{shortText}\".";

    public static string ExpectedLengthSuch(string field, string shortText) =>
        $"{field}: expected a length such as 12.5 or 12.5mm, found \"{shortText}\".";

    public const string NoHeaderNamesColumnsX =
        "no header names the columns x and y. Expected Excellon drill, pick-and-place text, IDF 3.0, DXF, or a "
        + "table with columns such as what, id, x, y, diameterMm.";
}
