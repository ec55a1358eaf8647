namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault trainer.</summary>
internal static class FaultTrainerWords
{
    public static Message ThisCanNotBeLooked => $"This cannot be looked for there.";

    public static Message FoundInLikeliestFirstTakes(string looks, string likeliestFirst) =>
        $"Found in {looks}; the likeliest first takes {likeliestFirst}.";

    public static Message ItWasLikeliestFirstTakes(string fault, string looks) =>
        $"It was: {fault}. The likeliest first takes {looks}.";

    public static Message WrongWithThisBench(string somethingIs) => $"{somethingIs} wrong with this bench.";

    public static Message CompareWhatWasRead => $" Compare what was read with what was expected, then look.";
}
