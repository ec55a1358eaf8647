namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of dxf file.</summary>
internal static class DxfFileWords
{
    public static string GroupExpectedNumberFound(int code, string shortText) =>
        $"group {code}: expected a number, found \"{shortText}\".";

    public static string ExpectedGroupCodeFound(string shortText) => $"expected a group code, found \"{shortText}\".";

    public const string DrawingDoesNotEndWithEOF = "the drawing does not end with EOF: the file is cut off.";
}
