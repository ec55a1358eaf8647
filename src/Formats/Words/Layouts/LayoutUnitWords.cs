namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Units of layout files.</summary>
internal static class LayoutUnitWords
{
    public static string UnitsTakenAsAsAsked(string file, string forced) =>
        $"{file}: units taken as {forced}, as asked.";

    public static string NoUnitIsStated(string file) =>
        $"{file}: no unit is stated; taken as mm. Override with units=.";
}
