namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of past endpoints.</summary>
internal static class PastEndpointsWords
{
    public static string LibraryHasNoBlock(string id) => $"The library has no block \"{id}\".";

    public const string NoJobWithThisBlock = "No job with this block has been proved yet.";

    public const string MakersClaimAgain = "the maker's claim again";

    public static string ExpectedAtMostCharactersFound(int mostText, int textCount) =>
        $"Expected at most {mostText} characters, found {textCount}.";
}
