namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of dxf units.</summary>
internal static class DxfUnitsWords
{
    public static string DrawingStatesUnitINSUNITS(string shortText) =>
        $"the drawing states unit {shortText} ($INSUNITS), which no board is drawn in. Say the right one with "
        + "units=.";

    public static string UnitsTakenAsFromDrawingsMeasurement(string file, string mm) =>
        $"{file}: units taken as {mm} from the drawing's measurement system. Override with units=.";
}
