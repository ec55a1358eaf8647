using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>How a sensor stands to what is expected there.</summary>
public enum SensorState
{
    /// <summary>Cooler than expected; the intervals part.</summary>
    Better,
    AsExpected,

    /// <summary>Warmer than expected by more than chance, but the intervals still meet.</summary>
    Open,

    /// <summary>Warmer than expected; the intervals part.</summary>
    Poor,
}

/// <summary>One sensor after the work, all runs of its last day as one, against the whole way from there to the coolant.</summary>
/// <param name="Part">The part it is compared with: the hottest of its kind.</param>
/// <param name="MeasuredC">At the last run's conditions.</param>
/// <param name="MeasuredPlusMinusK">Half its 95 % interval.</param>
/// <param name="ExpectedPlusMinusK">Half its 95 % interval.</param>
/// <param name="Runs">That it is made of.</param>
/// <param name="MoreRuns">That could settle it; null where it is settled, or no run could.</param>
public sealed record SensorProof(
    PartKind Kind,
    string Name,
    string Part,
    double MeasuredC,
    double MeasuredPlusMinusK,
    double ExpectedC,
    double ExpectedPlusMinusK,
    SensorState State,
    int Runs,
    int? MoreRuns
)
{
    /// <summary>How it stands, in a few words.</summary>
    public string Said =>
        State switch
        {
            SensorState.Better => "better than expected",
            SensorState.AsExpected => "as expected",
            SensorState.Poor => FormattableString.Invariant($"poor, {OverK:0} K over"),
            _ => FormattableString.Invariant($"{OverK:0} K over, still open"),
        };

    /// <summary>What would settle it; null where it is settled.</summary>
    public Message? Advice =>
        State != SensorState.Open ? null
        : MoreRuns is { } n ? SensorProofWords.UnderSameLoadWouldSettle(HowMany.Count(n, "more run"))
        : SensorProofWords.MoreRunsTellNoMore;

    /// <summary>All of it in a sentence.</summary>
    public Message Text =>
        (Message)
            $"{PartNames.Capital(Kind)} {MeasuredC:0.0} ± {MeasuredPlusMinusK:0.0} °C, {ExpectedC:0.0} ± {ExpectedPlusMinusK:0.0} expected: {Said}."
        + (Advice is { } advice ? (Message)$" {advice}" : Message.Empty);

    /// <summary>Of the last run.</summary>
    public required HeatConditions At { get; init; }

    /// <summary>Of what is expected, what lies between the part and the block, K.</summary>
    public double ThroughK { get; init; }

    /// <summary>Warmer than expected, K.</summary>
    public double OverK => MeasuredC - ExpectedC;
}

/// <summary>Judges the sensors of a board by the intervals of what was measured and of what is expected.</summary>
public static class SensorProofs
{
    /// <summary>From so many runs on, what is left is the sensors' own.</summary>
    private const int SettlingRuns = 3;

    /// <summary>Runs of one day that count at most, the last ones: each flow takes a plate of its own.</summary>
    private const int MaxRuns = 8;

    /// <summary>Half of a 95 % interval, and what a sound sensor is under in 95 of 100, in standard errors.</summary>
    private static readonly double Wide = Student.Normal(0.95),
        Chance = Student.Normal(0.90);

    /// <summary>What is expected of one kind of part, at one run.</summary>
    private sealed record Run(double ReadC, ExpectedPart Expected, HeatConditions At, double CoolantC);

    /// <param name="readings">Of one board.</param>
    /// <param name="expect">What its parts run at; null where nothing can be told.</param>
    public static IReadOnlyList<SensorProof> Compute(
        IReadOnlyList<Reading> readings,
        Board board,
        Func<HeatConditions, ExpectResult?> expect
    )
    {
        var after = readings
            .Where(r => r is { Phase: Phase.After, CoolantC: not null, FlowLMin: > 0, PowerW: > 0 })
            .ToList();
        if (after.Count == 0)
            return [];
        List<(Reading Read, HeatConditions At, ExpectResult Expected)> told =
        [
            .. after
                .Where(r => r.On == after[^1].On)
                .TakeLast(MaxRuns)
                .Select(r =>
                    (Read: r, At: JobConditions.From(r, board), Expected: expect(JobConditions.From(r, board)))
                )
                .Where(t => t.Expected is not null)
                .Select(t => (t.Read, t.At, t.Expected!)),
        ];
        var memory = board.Kind == BoardKind.MemoryModule;
        return
        [
            .. new (PartKind Kind, Func<Reading, double?> Read)[]
            {
                (PartKind.Die, r => memory ? null : r.DieC),
                // a module's own sensor is the only one it has
                (PartKind.Memory, r => r.MemoryC ?? (memory ? r.DieC : null)),
                (PartKind.PowerStage, r => r.PowerStageC),
            }
                .Select(s =>
                    Judge(
                        s.Kind,
                        [
                            .. told.Select(t =>
                                    s.Read(t.Read) is { } c && Hottest(board, t.Expected, s.Kind) is { } part
                                        ? new Run(c, part, t.At, t.Read.CoolantC!.Value)
                                        : null
                                )
                                .OfType<Run>(),
                        ]
                    )
                )
                .OfType<SensorProof>(),
        ];
    }

    private static ExpectedPart? Hottest(Board board, ExpectResult expected, PartKind kind) =>
        expected.Parts.Where(p => p.Watts > 0 && board.FindPart(p.Part)?.Kind == kind).MaxBy(p => p.C);

    /// <summary>
    /// Every run's distance from what is expected under its own conditions, carried to the last one's power; what the
    /// sensors are off by stays the same from run to run, what lies between the runs is averaged.
    /// </summary>
    private static SensorProof? Judge(PartKind kind, List<Run> runs)
    {
        if (runs.Count == 0)
            return null;
        var last = runs[^1];
        List<double> over =
        [
            .. runs.Select(r => (r.ReadC - r.Expected.C) * (last.At.PowerW!.Value / r.At.PowerW!.Value)),
        ];
        // a sensor's error weighs the more the less power it was read at
        List<double> weights = [.. runs.Select(r => Math.Pow(r.At.PowerW!.Value / last.At.PowerW!.Value, 2))];
        var all = weights.Sum();
        var mean = over.Zip(weights, (o, w) => o * w).Sum() / all;
        var sigma = new SensorSigma();
        var own = Math.Sqrt(
            sigma.DieC * sigma.DieC
                + sigma.CoolantC * sigma.CoolantC
                + Math.Pow(sigma.PowerShare * (last.Expected.C - last.CoolantC), 2)
        );
        var between =
            runs.Count < 2
                ? 0
                : over.Zip(weights, (o, w) => w * (o - mean) * (o - mean)).Sum() / (runs.Count - 1) / all;
        var measured = Wide * Math.Sqrt(own * own + between);
        var expected = last.Expected.RangeK;
        var state =
            mean > measured + expected ? SensorState.Poor
            : mean < -measured - expected ? SensorState.Better
            : mean > Chance / Wide * Math.Sqrt(measured * measured + expected * expected) ? SensorState.Open
            : SensorState.AsExpected;
        int? more = state == SensorState.Open && runs.Count < SettlingRuns ? SettlingRuns - runs.Count : null;
        return new(
            kind,
            PartNames.Describe(kind),
            last.Expected.Part,
            last.Expected.C + mean,
            measured,
            last.Expected.C,
            expected,
            state,
            runs.Count,
            more
        )
        {
            At = last.At,
            ThroughK = last.Expected.ThroughK + last.Expected.SpreadK,
        };
    }

    /// <summary>What was expected when the job was signed, under a corrected run's conditions: rises go with the power.</summary>
    /// <returns>Null where it ran at another flow: what is expected there was not signed.</returns>
    public static ExpectResult? AsSigned(IReadOnlyList<SensorProof> signed, HeatConditions at)
    {
        const double alike = 0.06;
        List<ExpectedPart> parts =
        [
            .. signed
                .Where(s => Math.Abs(s.At.FlowLMin - at.FlowLMin) <= alike * at.FlowLMin)
                .Select(s =>
                {
                    var ratio = at.PowerW!.Value / s.At.PowerW!.Value;
                    var c = at.CoolantInC + (s.ExpectedC - s.At.CoolantInC) * ratio;
                    return new ExpectedPart(s.Part, c, c, s.ThroughK * ratio, null)
                    {
                        Watts = at.PowerW.Value,
                        RangeK = Math.Max(1, s.ExpectedPlusMinusK * ratio),
                    };
                }),
        ];
        return parts.Count == 0 ? null : new(0, at.CoolantInC, parts, []);
    }
}
