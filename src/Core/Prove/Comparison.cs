using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>Before against after and against what the block should do.</summary>
/// <param name="BeforeToRoom">Die to room with the stock cooler, K/W.</param>
/// <param name="AfterToRoom">Die to room with the block.</param>
/// <param name="AfterToCoolant">Die to coolant with the block.</param>
/// <param name="ExpectedToCoolantKPerW">From the sensor's part to the mean coolant, the whole way.</param>
/// <param name="GainK">Cooler at the before power, room for room, K.</param>
/// <param name="CoolantRiseK">Rise of the coolant through the block.</param>
public sealed record Comparison(
    Resistance? BeforeToRoom,
    Resistance? AfterToRoom,
    Resistance? AfterToCoolant,
    double? ExpectedToCoolantKPerW,
    double? GainK,
    double? GainUncertaintyK,
    double? CoolantRiseK,
    Message Verdict,
    bool Trouble,
    IReadOnlyList<Message> Why
)
{
    /// <summary>Less warming of the coolant is not worth a word, K.</summary>
    private const double MinRiseK = 0.1;

    /// <summary>Each sensor against what is expected there.</summary>
    public IReadOnlyList<SensorProof> Sensors { get; init; } = [];

    /// <summary>Of the expected resistance, what lies between the part and the block, K/W; null where nothing is expected.</summary>
    public double? ExpectedThroughKPerW { get; init; }

    /// <param name="sensors">Of the same readings.</param>
    /// <param name="scale">The shop's own jobs over the maker's claim; null where the claim stands.</param>
    /// <param name="part">What the first sensor sits in.</param>
    /// <param name="trial">Of the same readings: its gain is the gain; null compares the last run of each side.</param>
    public static Comparison Create(
        IReadOnlyList<Reading> readings,
        IReadOnlyList<SensorProof>? sensors = null,
        double? scale = null,
        string part = "die",
        JobTrial? trial = null
    )
    {
        sensors ??= [];
        var before = readings.LastOrDefault(r => r.Phase == Phase.Before);
        var after = readings.LastOrDefault(r => r.Phase == Phase.After);
        var why = new List<Message>();
        var proven = BeforeAfter.Compute(Steady(before), Steady(after));
        List<Message> unlike = [.. RunConditions.Unlike(before?.Conditions, after?.Conditions)];
        Resistance? beforeRoom = proven.Before is { } pb ? new(pb.ToRoomKPerW, pb.PlusMinus) : null;
        Resistance? afterRoom = proven.After is { } pa ? new(pa.ToRoomKPerW, pa.PlusMinus) : null;
        // without a flow only the inlet is known
        Resistance? afterCoolant =
            proven.After is { InletPlusMinus: { } sigma } to && (to.ToCoolantKPerW ?? to.ToInletKPerW) is { } r
                ? new(r, sigma)
                : null;
        double? rise = after?.FlowLMin is > 0 ? proven.CoolantRiseK : null;
        var first = sensors.Count > 0 ? sensors[0] : null;
        double? PerWatt(double? k) => k is { } x && after is not null ? x / after.PowerW : null;
        var expected = PerWatt(first?.ExpectedC - first?.At.CoolantInC - (rise ?? 0) / 2);
        if (beforeRoom is { } b)
            why.Add(
                ComparisonWords.BeforeOverRoomAtW(
                    part,
                    before!.DieC - before.RoomC,
                    before.PowerW,
                    b.KPerW,
                    b.UncertaintyKPerW
                )
            );
        if (afterRoom is { } a)
            why.Add(
                ComparisonWords.AfterOverRoomAtW(
                    part,
                    after!.DieC - after.RoomC,
                    after.PowerW,
                    a.KPerW,
                    a.UncertaintyKPerW
                )
            );
        if (afterCoolant is { } ac)
            why.Add(
                $"{char.ToUpperInvariant(part[0])}{part[1..]} to coolant {ac.KPerW:0.000} ± {ac.UncertaintyKPerW:0.000} K/W{Expected(expected, scale)}."
            );
        if (rise is { } k && k >= MinRiseK)
            why.Add(ComparisonWords.CoolantWarmsByThroughBlock(k, after!.FlowLMin));
        var (gain, gainU) = unlike.Count > 0 ? (null, null) : (proven.GainK, proven.GainPlusMinusK);
        if (trial is { } fit)
            (gain, gainU) = (fit.GainK, (fit.HighK - fit.LowK) / 2 / Student.Normal(0.95));
        if (before is not null && after is not null)
            why.AddRange(unlike.Count > 0 ? unlike : proven.Reasons);
        var (verdict, trouble) = Judge(before, after, sensors, gain, gainU, unlike.Count == 0);
        return new(beforeRoom, afterRoom, afterCoolant, expected, gain, gainU, rise, verdict, trouble, why)
        {
            Sensors = sensors,
            ExpectedThroughKPerW = PerWatt(first?.ThroughK),
        };
    }

    private static SteadyReading? Steady(Reading? r) =>
        r is null ? null : new(r.DieC, r.RoomC, r.CoolantC, r.FlowLMin, r.PowerW, new());

    private static string Expected(double? kPerW, double? scale)
    {
        if (kPerW is not { } expected)
            return "";
        var by = scale is { } own ? ComparisonWords.ByThisShopsOwnJobs(own) : "";
        return FormattableString.Invariant($", expected {expected:0.000}{by}");
    }

    private static (Message, bool) Judge(
        Reading? before,
        Reading? after,
        IReadOnlyList<SensorProof> sensors,
        double? gain,
        double? gainU,
        bool alike
    )
    {
        if (before is null && after is null)
            return ($"no readings yet", false);
        if (after is null)
            return ($"before: {before!.DieC - before.RoomC:0} K over room", false);
        if (sensors.Where(s => s.State == SensorState.Poor).MaxBy(s => s.OverK) is { } worst)
            return (
                (Message)$"poor, {worst.Name} {worst.OverK:0} K over expected"
                    + (alike ? Message.Empty : ComparisonWords.AndNotComparableWithBefore),
                true
            );
        var against = Against(sensors);
        if (gain is { } g)
            return g < -2 * (gainU ?? 0)
                ? ((Message)$"{-g:0} K warmer than stock", true)
                : ((Message)$"{g:0} K cooler{against}", false);
        return ($"after: {after.DieC - after.RoomC:0} K over room{(alike ? against : ", not comparable")}", false);
    }

    /// <summary>The scale is the same for a bare die, a lid, a card and a module.</summary>
    private static string Against(IReadOnlyList<SensorProof> sensors) =>
        sensors.Count == 0 ? ""
        : sensors.FirstOrDefault(s => s.State == SensorState.Open) is { } open
            ? ComparisonWords.AtEdgeOfWhatIsExpected(open.Name)
        : sensors[0].State == SensorState.Better ? ", better than expected"
        : ", as expected";
}
