namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of drill digits.</summary>
internal static class DrillDigitsWords
{
    public static string HowNumbersAreWritten(string file, string inWords, double width, double height) =>
        $"{file}: how its numbers are written is not stated; read as {inWords}, which makes the holes span "
        + $"{width:0.#} × {height:0.#} mm";

    public static string WouldMakeIt(string inWords, double width, double height) =>
        $" ({inWords} would make it {width:0.#} × {height:0.#} mm)";

    public static string DigitsWithZerosLeftOut(int integers, int decimals, string leading) =>
        $"{integers}.{decimals} digits with {leading} zeros left out";
}
