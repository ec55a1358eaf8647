namespace FaithfulBracket.Core.Words.Care;

/// <summary>Sentences of care station.</summary>
internal static class CareStationWords
{
    public const string LookAtLoopYearly = "look at the loop yearly";

    public static string RepasteInMonthsOrByDrift(int? months) => $"repaste in {months} months or by drift";

    public const string StoreStockSpreadersInTheirTray = "Store the stock spreaders in their tray cells";

    public const string StoreStockCoolerWithScrews = "Store the stock cooler with its screws in their tray cells";

    public const string PutOffcutsInDrawerAndNote = "Put the offcuts in the drawer and note what was used";

    public const string PutRestInDrawerAndNote = "Put the rest in the drawer and note what was used";

    public const string EveryOffcutLiesFlatInBag =
        "Every offcut lies flat in its bag, between films, with material and size on it.";

    public const string CapsAreOnAndEveryTube = "Caps are on, and every tube and box lies in its place.";

    public const string NoteOnRecord = "Note on the record: bare die, parts coated, no alcohol on them";

    public const string AlcoholStripsCoat =
        "Alcohol strips the coat. The lid stays with the record; it cannot go back on.";

    public const string NoteYearlyLookAtLoop = "Note the yearly look at the loop";

    public static string NoteRepasteDateMonthsAndYearly(int? months) =>
        $"Note the repaste date, {months} months, and the yearly look at the loop";

    public const string NoFaceTookPaste = "No face took paste: nothing dries out. The loop is looked at all the same.";

    public const string EarlierIfMeasuredResistanceDrifts = "Earlier if the measured resistance drifts.";

    public const string HandOverBuildRecordAndSign = "Hand over the build record and sign the traveller";
}
