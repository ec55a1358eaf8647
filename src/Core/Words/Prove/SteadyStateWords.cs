namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of steady state.</summary>
internal static class SteadyStateWords
{
    public static Message LimitsToSamplesTimesRising => $"Limits: 4 to 20,000 samples, times rising.";
}
