namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of leak test.</summary>
internal static class LeakTestWords
{
    public static Message LimitsToSamplesTimesRising => $"Limits: 3 to 20,000 samples, times rising.";
}
