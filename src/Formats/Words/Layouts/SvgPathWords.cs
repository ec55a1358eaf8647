namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of svg path.</summary>
internal static class SvgPathWords
{
    public static string PathCommandIsNotUnderstood(char command) => $"path command \"{command}\" is not understood.";

    public static string PathBreaksOff(string shortText) => $"a path breaks off at \"{shortText}\".";

    public static string PathLacksNumber(string shortText) => $"a path lacks a number at \"{shortText}\".";

    public const string ArcOfPathLacksFlag = "an arc of a path lacks a flag of 0 or 1.";
}
