using FaithfulBracket.Core.Words.Plans;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>What a reading can be; anything else was mistyped.</summary>
public static class ReadingRules
{
    /// <summary>Longest note on a reading.</summary>
    public const int MaxNote = 500;

    private static readonly (string Field, Func<Reading, double?> Value, double Least, double Most)[] Ranges =
    [
        ("roomC", r => r.RoomC, -20, 60),
        ("coolantC", r => r.CoolantC, -20, 100),
        ("dieC", r => r.DieC, -20, 150),
        ("hotspotC", r => r.HotspotC, -20, 150),
        ("memoryC", r => r.MemoryC, -20, 150),
        ("powerStageC", r => r.PowerStageC, -20, 170),
        ("powerW", r => r.PowerW, 1, 3000),
        ("flowLMin", r => r.FlowLMin, 0.01, 100),
    ];

    /// <summary>Every broken rule, by field; empty when the reading can be.</summary>
    public static IEnumerable<InputFault> Check(Reading reading)
    {
        foreach (var (field, value, least, most) in Ranges)
            if (value(reading) is { } v && !(v >= least && v <= most))
                yield return new(field, FormattableString.Invariant($"Expected {least} to {most}, found {v}."));
        if (reading.DieC <= reading.RoomC)
            yield return new("dieC", ReadingRulesWords.DieIsNotWarmerThanRoom);
        if (reading.Note is { Length: > MaxNote } note)
            yield return new("note", JobRulesWords.ExpectedAtMostCharactersFound(MaxNote, note.Length));
    }
}
