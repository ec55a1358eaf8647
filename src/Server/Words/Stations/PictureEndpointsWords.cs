namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of picture endpoints.</summary>
internal static class PictureEndpointsWords
{
    public static string LibraryHasNo(string kind, string id) => $"The library has no {kind} \"{id}\".";

    public static string ExpectedAtMostCharactersFound(int longestCaption, int captionCount) =>
        $"Expected at most {longestCaption} characters, found {captionCount}.";

    public static string ThereArePictures(int mostOfOne) =>
        $"There are {mostOfOne} pictures of it: take one away first.";
}
