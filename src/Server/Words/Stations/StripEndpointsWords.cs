namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of strip endpoints.</summary>
internal static class StripEndpointsWords
{
    public const string NothingWasRecordedInThisJob =
        "Nothing was recorded in this job: the board's own assembly stands.";

    public const string MissingExpectedEveryScrewGroupLead =
        "Missing: expected every screw group, lead and piece once, or an empty list for the best order.";

    public const string BoardHasNoAssembly = "The board has no assembly: there is nothing to order.";
}
