namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault trainer.</summary>
internal static class FaultTrainerWords
{
    public const string ThisCanNotBeLooked = "This cannot be looked for there.";

    public static string FoundInLikeliestFirstTakes(string looks, string otherLooks) =>
        $"Found in {looks}; the likeliest first takes {otherLooks}.";

    public static string ItWasLikeliestFirstTakes(string words, string looks) =>
        $"It was: {words}. The likeliest first takes {looks}.";

    public static string WrongWithThisBench(string somethingIs) => $"{somethingIs} wrong with this bench.";

    public const string CompareWhatWasRead = " Compare what was read with what was expected, then look.";
}
