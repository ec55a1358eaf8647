namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of exchange endpoints.</summary>
internal static class ExchangeEndpointsWords
{
    public static string ExpectedCsvEmnEmpSvg(string? form) => $"Expected csv, emn, emp, svg or dxf, found \"{form}\".";

    public static string ExpectedSvgOrDxfFound(string? form) => $"Expected svg or dxf, found \"{form}\".";

    public static string ExpectedListOfAtMostAnswers(int maxAnswers) =>
        $"Expected a list of at most {maxAnswers} answers with their parts.";

    public static string ExpectedOverTo(double tallest) => $"Expected over 0 to {tallest} mm.";

    public const string ExpectedListOfPartsKind = "Expected a list of { parts, kind?, heightMm? }.";

    public static string ItIsPictureOfWhichNeither(string? of) =>
        $"It is a picture of \"{of}\", which neither the pack nor the library holds.";
}
