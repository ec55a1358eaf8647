namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of svg units.</summary>
internal static class SvgUnitsWords
{
    public static string ItStatesNoLength(string file, double pixelsPerInch) =>
        $"{file}: it states no length; taken as {pixelsPerInch} units an inch. Override with units=.";

    public static string OfExpectedNumberFound(string attribute, string localName, string shortText) =>
        $"{attribute} of {localName}: expected a number, found \"{shortText}\".";

    public static string OfHasNoLengthOfOwn(string attribute, string localName, string shortText) =>
        $"{attribute} of {localName}: \"{shortText}\" has no length of its own.";

    public static string TransformIsNotUnderstood(string shortText) => $"transform \"{shortText}\" is not understood.";
}
