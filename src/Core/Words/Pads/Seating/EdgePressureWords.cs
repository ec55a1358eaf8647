namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of edge pressure.</summary>
internal static class EdgePressureWords
{
    public static Message OverEdgeChips(double maxMPa) => $"over {maxMPa:0} MPa: the edge chips";

    public static Message OverTimesLimit(double maxTimes) => $"over {maxTimes:0} times the limit: the edge chips";
}
