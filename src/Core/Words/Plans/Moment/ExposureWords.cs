namespace FaithfulBracket.Core.Words.Plans.Moment;

/// <summary>Sentences of exposure.</summary>
internal static class ExposureWords
{
    public static string PasteIsSpreadOnFaces(int count) => $"paste is spread on {count} faces";

    public const string LiquidMetalIs = "liquid metal is on";

    public static string WithoutOuterFilm(string pads) => $"{pads} without the outer film";

    public const string FaceIsCleanAndOpen = "1 face is clean and open";

    public static string FacesAreCleanAndOpen(int count) => $"{count} faces are clean and open";
}
