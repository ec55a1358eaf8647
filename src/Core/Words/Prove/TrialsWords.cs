namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of trials.</summary>
internal static class TrialsWords
{
    public static Message LimitsRunsBodyOfMiB(int maxRuns) => $"Limits: {maxRuns} runs, a body of 4 MiB.";

    public static Message ThereIsNoRunWork(string phase) =>
        $"There is no run {phase} the work: the gain is calculated from both.";

    public static Message NoReferenceIsInAllRuns => $"No reference is in all runs: coolant at the inlet, or the room.";
}
