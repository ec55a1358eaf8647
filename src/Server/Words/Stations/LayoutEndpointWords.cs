namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of layout endpoint.</summary>
internal static class LayoutEndpointWords
{
    public const string LimitsMiBInAllFilesTogether = "Limits: 32 MiB in all files together.";

    public const string ExpectedMultipartFormDataWithLayouts =
        "Expected multipart/form-data with the layout's files in the field \"files\".";

    public static string FormCantBeRead(string message) => $"The form can't be read: {message}";

    public static string ExpectedMmCmMInch(string found) => $"Expected mm, cm, m, inch or mil, found \"{found}\".";

    public static string ExpectedDigitsBeforeAndAfterPoint(string digits) =>
        $"Expected digits before and after the point such as 2.4, found \"{digits}\".";
}
