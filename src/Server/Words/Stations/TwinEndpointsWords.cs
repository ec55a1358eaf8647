namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of twin endpoints.</summary>
internal static class TwinEndpointsWords
{
    public const string BoardCountsAsSurveyedWhenJob =
        "A board counts as surveyed when its job is finished: sign the traveller first.";
}
