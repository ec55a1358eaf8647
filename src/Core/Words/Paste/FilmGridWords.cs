namespace FaithfulBracket.Core.Words.Paste;

/// <summary>Sentences of film grid.</summary>
internal static class FilmGridWords
{
    public static Message FaceIsOverTimesAsLong(double width, double height, int maxTimesAsLong) =>
        $"The face is {width:0.###} × {height:0.###} mm, over {maxTimesAsLong} times as long as wide: ";

    public static Message FilmIsCalculatedForWiderOnes =>
        $"the film is calculated for wider ones only. Give its true outline.";

    public static Message PatternLaysNoPasteOnFace => $"The pattern lays no paste on the face.";
}
