using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>What a client complained of is proved at its own sensor, first.</summary>
public static class Complaint
{
    /// <summary>What can be complained of, because a sensor reads it.</summary>
    public static IReadOnlyList<PartKind> Kinds { get; } = [PartKind.Die, PartKind.Memory, PartKind.PowerStage];

    /// <summary>Its sensor first; where it was not read after the work, nothing is proved yet.</summary>
    internal static Comparison On(Comparison comparison, PartKind? complaint, IReadOnlyList<Reading> readings)
    {
        if (complaint is not { } kind)
            return comparison;
        var sensors = comparison.Sensors.OrderBy(s => s.Kind != kind).ToList();
        var read = readings.Any(r => r.Phase == Phase.After && Read(r, kind) is not null);
        if (read || !readings.Any(r => r.Phase == Phase.After))
            return comparison with { Sensors = sensors };
        var name = PartNames.Several(kind);
        return comparison with
        {
            Sensors = sensors,
            Verdict = ComplaintWords.NotReadComplained(name),
            Trouble = true,
            Why = [ComplaintWords.ComplaintWasAbout(name), .. comparison.Why],
        };
    }

    private static double? Read(Reading reading, PartKind kind) =>
        kind switch
        {
            PartKind.Memory => reading.MemoryC,
            PartKind.PowerStage => reading.PowerStageC,
            _ => reading.DieC,
        };
}
