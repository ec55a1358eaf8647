namespace FaithfulBracket.Formats.Words.Documents.Editing;

/// <summary>Sentences of geometry.</summary>
internal static class GeometryWords
{
    public static string HasNeitherPlaceNorOutline(string nameOf) => $"{nameOf} has neither a place nor an outline.";

    public static string OutlineHoldsSomething(string pointerOf) =>
        $"{pointerOf}/outline holds something that is not a point.";
}
