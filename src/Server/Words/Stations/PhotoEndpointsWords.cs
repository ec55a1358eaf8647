namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of photo endpoints.</summary>
internal static class PhotoEndpointsWords
{
    public const string ThisPicturesFileIsGone =
        "This picture's file is gone from the folder photos: put it back from a backup.";

    public const string ExpectedJPEGOrPNGPicture = "Expected a JPEG or PNG picture of at most 50 million pixels.";

    public static string ExpectedFrontOrBackFound(string face) => $"Expected front or back, found \"{face}\".";

    public const string ExpectedMillimetresOnBoard = "Expected millimetres on the board.";
}
