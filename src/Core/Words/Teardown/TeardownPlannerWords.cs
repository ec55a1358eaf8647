namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown planner.</summary>
internal static class TeardownPlannerWords
{
    public const string BoardHasNoAssembly =
        "The board has no assembly: describe its pieces, fasteners and leads first.";
}
