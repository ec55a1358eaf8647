namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of edge pressure.</summary>
internal static class EdgePressureWords
{
    public static string OverEdgeChips(double mostMPa) => $"over {mostMPa:0} MPa: the edge chips";

    public static string OverTimesLimit(double mostTimes) => $"over {mostTimes:0} times the limit: the edge chips";
}
