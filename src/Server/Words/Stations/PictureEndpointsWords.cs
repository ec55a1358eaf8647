namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of picture endpoints.</summary>
internal static class PictureEndpointsWords
{
    public static string ThereArePictures(int maxOfOne) => $"There are {maxOfOne} pictures of it: take one away first.";
}
