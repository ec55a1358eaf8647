using FaithfulBracket.Core.Words.Prove.Logs;

namespace FaithfulBracket.Core.Prove.Logs;

/// <summary>The reading that a log's steady part comes to.</summary>
public static class LogToReading
{
    /// <param name="roomC">Where the log has no column of it.</param>
    /// <exception cref="InputException">Not steady, or a channel that a reading needs is missing.</exception>
    public static Reading Convert(LogVerdict verdict, Phase phase, double? roomC, string? board)
    {
        if (verdict.SteadyFromS is null)
            throw new InputException("", LogToReadingWords.LogIsNotSteady(verdict.Text));
        double? Mean(Channel c) => verdict.Means.FirstOrDefault(m => m.Channel == c)?.Mean;
        double Needed(Channel c, double? otherwise, string field) =>
            Mean(c) ?? otherwise ?? throw new InputException(field, LogToReadingWords.LogHasNoColumn(c.Name()));
        return new(
            phase,
            Round(Needed(Channel.Room, roomC, "/roomC"), 1),
            Mean(Channel.CoolantIn) is { } coolant ? Round(coolant, 1) : null,
            Round(Needed(Channel.Die, null, "/die"), 1),
            Mean(Channel.Hotspot) is { } hot ? Round(hot, 1) : null,
            Mean(Channel.Memory) is { } memory ? Round(memory, 1) : null,
            Round(Needed(Channel.Power, null, "/power"), 0),
            Mean(Channel.Flow) is { } flow ? Round(flow, 2) : null,
            null
        )
        {
            Board = board,
            PowerStageC = Mean(Channel.PowerStages) is { } stages ? Round(stages, 1) : null,
        };
    }

    private static double Round(double v, int digits) => Math.Round(v, digits, MidpointRounding.AwayFromZero);
}
