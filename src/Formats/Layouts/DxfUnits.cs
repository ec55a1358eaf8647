using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>The unit that a drawing's lengths are in.</summary>
internal static class DxfUnits
{
    /// <exception cref="Core.InputException">The drawing states a unit that no board is drawn in.</exception>
    public static LengthUnit Read(TextFile file, DxfFile drawing, LayoutOptions options, LayoutDraft draft)
    {
        if (options.Units is { } forced)
        {
            draft.Assume(LayoutUnitWords.UnitsTakenAsAsAsked(file.Name, forced.ToString().ToLowerInvariant()));
            return forced;
        }
        var stated = drawing.Variable("$INSUNITS");
        if (stated is not (null or "0" or ""))
            return Stated(stated)
                ?? throw file.Refuse(1, DxfUnitsWords.DrawingStatesUnitINSUNITS(LayoutReader.Short(stated)));
        if (drawing.Variable("$MEASUREMENT") is { } measurement)
        {
            var inches = measurement == "0";
            draft.Assume(DxfUnitsWords.UnitsTakenAsFromDrawingsMeasurement(file.Name, inches ? "inches" : "mm"));
            return inches ? LengthUnit.Inch : LengthUnit.Mm;
        }
        draft.Assume(LayoutUnitWords.NoUnitIsStated(file.Name));
        return LengthUnit.Mm;
    }

    /// <summary>Codes of $INSUNITS in the DXF reference.</summary>
    private static LengthUnit? Stated(string code) =>
        code switch
        {
            "1" => LengthUnit.Inch,
            "2" => LengthUnit.Foot,
            "4" => LengthUnit.Mm,
            "5" => LengthUnit.Cm,
            "6" => LengthUnit.Metre,
            "8" => LengthUnit.Microinch,
            "9" => LengthUnit.Mil,
            "10" => LengthUnit.Yard,
            "13" => LengthUnit.Micron,
            "14" => LengthUnit.Decimetre,
            _ => null,
        };
}
