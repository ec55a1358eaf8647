namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of drift.</summary>
internal static class DriftWords
{
    public static Message LimitsToPointsNotAll => $"Limits: 2 to 10,000 points, not all of one day.";
}
