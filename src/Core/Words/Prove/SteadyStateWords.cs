namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of steady state.</summary>
internal static class SteadyStateWords
{
    public const string LimitsToSamplesTimesRising = "Limits: 4 to 20,000 samples, times rising.";
}
