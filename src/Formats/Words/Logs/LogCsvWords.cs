namespace FaithfulBracket.Formats.Words.Logs;

/// <summary>Sentences of log csv.</summary>
internal static class LogCsvWords
{
    public static string NoHeaderWithColumnsOfNumbers(string elsewhere) =>
        $"No header with columns of numbers below it was found.{elsewhere}";

    public const string SayWhichColumnHoldsTemperature = "Say which column holds a temperature.";

    public static string ColumnCanNot(int index, string channel) => $"Column {index} cannot be {channel} in that unit.";

    public const string TimeGoesBack = "the time goes back.";

    public const string LogHasFewerThanTwoRows = "The log has fewer than two rows.";

    public static string InColumnIsNoNumber(string cell, string column) =>
        $"\"{cell}\" in column \"{column}\" is not a number.";

    public static string IsNotTimeOfClock(string shortText) => $"\"{shortText}\" is not a time of day.";
}
