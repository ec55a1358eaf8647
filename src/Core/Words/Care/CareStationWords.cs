namespace FaithfulBracket.Core.Words.Care;

/// <summary>Sentences of care station.</summary>
internal static class CareStationWords
{
    public static Message LookAtLoopYearly => $"look at the loop yearly";

    public static Message RepasteInMonthsOrByDrift(int? months) => $"repaste in {months} months or by drift";

    public static Message StoreStockSpreadersInTheirTray => $"Store the stock spreaders in their tray cells";

    public static Message StoreStockCoolerWithScrews => $"Store the stock cooler with its screws in their tray cells";

    public static Message PutOffcutsInDrawerAndNote => $"Put the offcuts in the drawer and note what was used";

    public static Message PutRestInDrawerAndNote => $"Put the rest in the drawer and note what was used";

    public static Message EveryOffcutLiesFlatInBag =>
        $"Every offcut lies flat in its bag, between films, with material and size on it.";

    public static Message CapsAreOnAndEveryTube => $"Caps are on, and every tube and box lies in its place.";

    public static Message NoteOnRecord => $"Note on the record: bare die, parts coated, no alcohol on them";

    public static Message AlcoholStripsCoat =>
        $"Alcohol strips the coat. The lid stays with the record; it cannot go back on.";

    public static Message NoteYearlyLookAtLoop => $"Note the yearly look at the loop";

    public static Message NoteRepasteDateMonthsAndYearly(int? months) =>
        $"Note the repaste date, {months} months, and the yearly look at the loop";

    public static Message NoFaceTookPaste =>
        $"No face took paste: nothing dries out. The loop is looked at all the same.";

    public static Message EarlierIfMeasuredResistanceDrifts => $"Earlier if the measured resistance drifts.";

    public static Message HandOverBuildRecordAndSign => $"Hand over the build record and sign the traveller";
}
