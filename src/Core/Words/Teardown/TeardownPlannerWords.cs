namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown planner.</summary>
internal static class TeardownPlannerWords
{
    public static Message BoardHasNoAssembly =>
        $"The board has no assembly: describe its pieces, fasteners and leads first.";
}
