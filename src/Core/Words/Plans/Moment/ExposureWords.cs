namespace FaithfulBracket.Core.Words.Plans.Moment;

/// <summary>Sentences of exposure.</summary>
internal static class ExposureWords
{
    public static Message PasteIsSpreadOnFaces(int count) => $"paste is spread on {count} faces";

    public static Message LiquidMetalIs => $"liquid metal is on";

    public static Message WithoutOuterFilm(string pads) => $"{pads} without the outer film";

    public static Message FaceIsCleanAndOpen => $"1 face is clean and open";

    public static Message FacesAreCleanAndOpen(int count) => $"{count} faces are clean and open";
}
