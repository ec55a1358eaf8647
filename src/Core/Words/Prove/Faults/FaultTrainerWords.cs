namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault trainer.</summary>
internal static class FaultTrainerWords
{
    public const string ThisCanNotBeLooked = "This cannot be looked for there.";

    public static string FoundInLikeliestFirstTakes(string looks, string likeliestFirst) =>
        $"Found in {looks}; the likeliest first takes {likeliestFirst}.";

    public static string ItWasLikeliestFirstTakes(string fault, string looks) =>
        $"It was: {fault}. The likeliest first takes {looks}.";

    public static string WrongWithThisBench(string somethingIs) => $"{somethingIs} wrong with this bench.";

    public const string CompareWhatWasRead = " Compare what was read with what was expected, then look.";
}
