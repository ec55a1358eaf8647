namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of back ask.</summary>
internal static class BackAskWords
{
    public static string IsNotIdOfStepSuch(string id) => $"\"{id}\" is not the id of a step, such as \"mount.lower\".";

    public static string ExpectedAtMostThings(int maxKept) => $"Expected at most {maxKept} things.";

    public static string IsNotIdOfThingSuch(string named) =>
        $"\"{named}\" is not the id of a thing, such as \"frame:A\".";

    public static string PlanHasNoStep(object? after) => $"The plan has no step \"{after}\".";

    public static string ThereIsNoOnThisBench(object keep) => $"There is no {keep} on this bench.";
}
