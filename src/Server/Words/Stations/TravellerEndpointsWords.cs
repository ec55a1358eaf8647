namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of traveller endpoints.</summary>
internal static class TravellerEndpointsWords
{
    public static string PlanHasNoStep(string step) => $"The plan has no step \"{step}\".";
}
