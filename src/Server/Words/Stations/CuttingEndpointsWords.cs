namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of cutting endpoints.</summary>
internal static class CuttingEndpointsWords
{
    public static string JobHasCuttingSheets(long id, int sheetCount) => $"Job {id} has {sheetCount} cutting sheets.";

    public static string SheetIsNotCutYet(int sheet) => $"Sheet {sheet} is not cut yet: sign its cuts first.";

    public const string ThisSheetWasCutBeforePlan =
        "This sheet was cut before its plan was kept: lay its rests into the drawer by hand.";

    public static string RestsOfSheetLieInDrawer(int sheet) => $"The rests of sheet {sheet} lie in the drawer already.";

    public const string ExpectedCorrectionBetween = "Expected a correction between 0.9 and 1.1.";
}
