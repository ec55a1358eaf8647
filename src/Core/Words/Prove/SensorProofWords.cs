namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of sensor proof.</summary>
internal static class SensorProofWords
{
    public static Message UnderSameLoadWouldSettle(string moreRuns) =>
        $"{moreRuns} under the same load would settle it.";

    public static Message MoreRunsTellNoMore =>
        $"More runs tell no more than the sensors do. Look along the edges, or read another sensor.";
}
