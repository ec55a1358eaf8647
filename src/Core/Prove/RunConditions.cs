using System.Text.Json.Serialization;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>Under what a run was read, as far as somebody said.</summary>
/// <param name="ClockMHz">Of the chip under load.</param>
/// <param name="FanPercent">Fan setting, 0 to 100.</param>
/// <param name="PumpPercent">Pump setting, 0 to 100.</param>
/// <param name="Load">The program that loads it.</param>
/// <param name="Beside">What ran beside it.</param>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record RunConditions(
    double? ClockMHz = null,
    double? MemoryClockMHz = null,
    double? PowerLimitW = null,
    double? VoltageV = null,
    double? FanPercent = null,
    double? PumpPercent = null,
    string? Load = null,
    string? Beside = null
)
{
    private const int MaxText = 200;

    /// <summary>Further apart than these, two runs are not the same load.</summary>
    private const double ClockShare = 0.03,
        LimitShare = 0.03,
        VoltageApartV = 0.02;

    private static readonly (
        string Field,
        string Name,
        Func<RunConditions, double?> Value,
        double Least,
        double Most
    )[] Ranges =
    [
        ("clockMHz", "clock", c => c.ClockMHz, 1, 20_000),
        ("memoryClockMHz", "memory clock", c => c.MemoryClockMHz, 1, 50_000),
        ("powerLimitW", "power limit", c => c.PowerLimitW, 1, 5000),
        ("voltageV", "voltage", c => c.VoltageV, 0.1, 5),
        ("fanPercent", "fan", c => c.FanPercent, 0, 100),
        ("pumpPercent", "pump", c => c.PumpPercent, 0, 100),
    ];

    /// <summary>Every broken rule, by field; empty where they can be.</summary>
    public IEnumerable<InputFault> Faults()
    {
        foreach (var (field, _, value, least, most) in Ranges)
            if (value(this) is { } v && !(v >= least && v <= most))
                yield return new(
                    $"/conditions/{field}",
                    FormattableString.Invariant($"Expected {least} to {most}, found {v}.")
                );
        if (Load is { Length: > MaxText })
            yield return new("/conditions/load", FigureSourceWords.ExpectedAtMostCharacters(MaxText));
        if (Beside is { Length: > MaxText })
            yield return new("/conditions/beside", FigureSourceWords.ExpectedAtMostCharacters(MaxText));
    }

    /// <summary>What is known of them, as a record says it.</summary>
    public string InWords()
    {
        static string? Said(string name, double? value, string unit) =>
            value is { } v ? FormattableString.Invariant($"{name} {v:0.##} {unit}") : null;
        return string.Join(
            ", ",
            new[]
            {
                Said("clock", ClockMHz, "MHz"),
                Said("memory clock", MemoryClockMHz, "MHz"),
                Said("power limit", PowerLimitW, "W"),
                Said("voltage", VoltageV, "V"),
                Said("fan", FanPercent, "%"),
                Said("pump", PumpPercent, "%"),
                Load is { } load ? $"load {load}" : null,
                Beside is { } beside ? $"beside it {beside}" : null,
            }.OfType<string>()
        );
    }

    /// <summary>
    /// What was otherwise in two runs so that they cannot be compared, each in a sentence. Where only one of them says
    /// something, nothing is known; fan and pump belong to the coolers.
    /// </summary>
    public static IEnumerable<Message> Unlike(RunConditions? before, RunConditions? after)
    {
        if (before is not { } b || after is not { } a)
            yield break;
        if (Apart(b.ClockMHz, a.ClockMHz, ClockShare))
            yield return Describe("clock", b.ClockMHz, a.ClockMHz, "MHz");
        if (Apart(b.MemoryClockMHz, a.MemoryClockMHz, ClockShare))
            yield return Describe("memory clock", b.MemoryClockMHz, a.MemoryClockMHz, "MHz");
        if (Apart(b.PowerLimitW, a.PowerLimitW, LimitShare))
            yield return Describe("power limit", b.PowerLimitW, a.PowerLimitW, "W");
        if (b.VoltageV is { } bv && a.VoltageV is { } av && Math.Abs(bv - av) > VoltageApartV)
            yield return RunConditionsWords.VoltageDiffersBeforeAfter(bv, av);
        if (Other(b.Load, a.Load))
            yield return RunConditionsWords.LoadDiffersBeforeAfter(b.Load, a.Load);
        if (Other(b.Beside, a.Beside))
            yield return RunConditionsWords.WhatRanBesideItDiffers(b.Beside, a.Beside);
    }

    private static bool Apart(double? before, double? after, double share) =>
        before is { } b && after is { } a && Math.Abs(a - b) > share * b;

    private static bool Other(string? before, string? after) =>
        before is { } b && after is { } a && !string.Equals(b.Trim(), a.Trim(), StringComparison.OrdinalIgnoreCase);

    private static Message Describe(string name, double? before, double? after, string unit) =>
        RunConditionsWords.DiffersBeforeAfter(name, before, unit, after);
}
