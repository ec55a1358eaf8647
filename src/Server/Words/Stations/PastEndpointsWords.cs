namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of past endpoints.</summary>
internal static class PastEndpointsWords
{
    public const string NoJobWithThisBlock = "No job with this block has been proved yet.";

    public const string MakersClaimAgain = "the maker's claim again";
}
