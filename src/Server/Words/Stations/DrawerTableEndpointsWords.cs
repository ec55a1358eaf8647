namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of drawer table endpoints.</summary>
internal static class DrawerTableEndpointsWords
{
    public static string SeveralItemsHaveId(string? row) => $"several items have the id \"{row}\": say the kind.";

    public const string WhatKindOfItem =
        "what kind of item this is can't be told: give the kind, or the id of an item in the drawer.";

    public const string IdIsMissing = "the id is missing.";

    public const string NewPasteNeedsMaterialThatAnother =
        "a new paste needs a material that another tube has: add the first tube by hand.";

    public static string ExpectedToReadingsFound(int maxReadings, int readingCount) =>
        $"Expected 2 to {maxReadings} readings, found {readingCount}.";
}
