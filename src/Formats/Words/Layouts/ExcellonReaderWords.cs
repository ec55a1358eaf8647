namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of excellon reader.</summary>
internal static class ExcellonReaderWords
{
    public const string NoHoleIsDrilled = "No hole is drilled in this file.";

    public static string NoUnitIsStated(string file, string name) =>
        $"{file}: no unit is stated; taken as {name} from the drill sizes. Override with units=.";

    public static string NumbersWithoutPointRead(string file, int? integers, int? decimals) =>
        $"{file}: numbers without a point read as {integers}.{decimals} digits, as asked.";

    public const string RoutedArcIsLeftOut = "A routed arc is left out.";

    public const string RepeatedPatternIsLeftOut = "A repeated pattern is left out: export without step and repeat.";

    public static string IsNotUnderstoodAndLeftOut(string shortText) =>
        $"\"{shortText}\" is not understood and left out.";

    public static string ToolTHasNoSize(int tool) =>
        $"Tool T{tool} has no size in this file: its holes come without a diameter.";

    public static string RepeatsAreMore(int repeats) => $"{repeats} repeats are more than 10 000.";

    public static string ExpectedXOrYWithNumber(string shortText) =>
        $"expected X or Y with a number, found \"{shortText}\".";

    public static string NumbersHaveNoDecimalPoint(string file, int integers, int decimals, string unit) =>
        $"{file}: numbers have no decimal point and no format is stated; read as {integers}.{decimals} digits in "
        + $"{unit}. Override with digits=.";

    public static string WhichZerosAreLeftOut(string file) =>
        $"{file}: which zeros are left out is not stated; taken as leading zeros left out.";
}
