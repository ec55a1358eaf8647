using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Prove;

/// <summary>Before against after and against what the block should do.</summary>
/// <param name="BeforeToRoom">Die to room with the stock cooler, K/W.</param>
/// <param name="AfterToRoom">Die to room with the block.</param>
/// <param name="AfterToCoolant">Die to coolant with the block.</param>
/// <param name="ExpectedToCoolantKPerW">From the block's curve at this flow, and the paste film.</param>
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
    string Verdict,
    bool Trouble,
    IReadOnlyList<string> Why
)
{
    /// <summary>More than this share over the expected resistance is poor.</summary>
    private const double PoorShare = 0.35;

    /// <param name="filmKPerW">Resistance of the paste film; null when not known.</param>
    public static Comparison Of(IReadOnlyList<Reading> readings, FlowCurve? curve, double? filmKPerW)
    {
        var before = readings.LastOrDefault(r => r.Phase == Phase.Before);
        var after = readings.LastOrDefault(r => r.Phase == Phase.After);
        var why = new List<string>();
        var proven = BeforeAfter.Of(Steady(before), Steady(after));
        List<string> unlike = [.. RunConditions.Unlike(before?.Conditions, after?.Conditions)];
        Resistance? beforeRoom = proven.Before is { } pb ? new(pb.ToRoomKPerW, pb.PlusMinus) : null;
        Resistance? afterRoom = proven.After is { } pa ? new(pa.ToRoomKPerW, pa.PlusMinus) : null;
        // without a flow only the inlet is known
        Resistance? afterCoolant =
            proven.After is { InletPlusMinus: { } sigma } to && (to.ToCoolantKPerW ?? to.ToInletKPerW) is { } r
                ? new(r, sigma)
                : null;
        double? expected =
            curve is not null && after?.FlowLMin is > 0 and { } q
                ? curve.AKPerW + curve.BKPerW * Math.Pow(q, -curve.N) + (filmKPerW ?? 0)
                : null;
        double? rise = after?.FlowLMin is > 0 ? proven.CoolantRiseK : null;
        if (beforeRoom is { } b)
            why.Add(
                FormattableString.Invariant(
                    $"Before: die {before!.DieC - before.RoomC:0.0} K over the room at {before.PowerW:0} W, {b.KPerW:0.000} ± {b.UncertaintyKPerW:0.000} K/W."
                )
            );
        if (afterRoom is { } a)
            why.Add(
                FormattableString.Invariant(
                    $"After: die {after!.DieC - after.RoomC:0.0} K over the room at {after.PowerW:0} W, {a.KPerW:0.000} ± {a.UncertaintyKPerW:0.000} K/W."
                )
            );
        if (afterCoolant is { } ac)
            why.Add(
                FormattableString.Invariant(
                    $"Die to coolant {ac.KPerW:0.000} ± {ac.UncertaintyKPerW:0.000} K/W{Expected(expected, curve)}."
                )
            );
        if (rise is { } k)
            why.Add(
                FormattableString.Invariant(
                    $"The coolant warms by {k:0.0} K through the block at {after!.FlowLMin:0.0} L/min."
                )
            );
        var (gain, gainU) = unlike.Count > 0 ? (null, null) : (proven.GainK, proven.GainPlusMinusK);
        if (before is not null && after is not null)
            why.AddRange(unlike.Count > 0 ? unlike : proven.Reasons);
        var (verdict, trouble) = Judge(before, after, afterCoolant, expected, gain, gainU, unlike.Count == 0);
        return new(beforeRoom, afterRoom, afterCoolant, expected, gain, gainU, rise, verdict, trouble, why);
    }

    private static SteadyReading? Steady(Reading? r) =>
        r is null ? null : new(r.DieC, r.RoomC, r.CoolantC, r.FlowLMin, r.PowerW, new());

    private static string Expected(double? kPerW, FlowCurve? curve)
    {
        if (kPerW is not { } expected)
            return "";
        var by = curve?.ShopScale is { } own
            ? FormattableString.Invariant($" by this shop's own jobs, {own:0.00} of the maker's claim")
            : "";
        return FormattableString.Invariant($", expected {expected:0.000}{by}");
    }

    private static (string, bool) Judge(
        Reading? before,
        Reading? after,
        Resistance? toCoolant,
        double? expected,
        double? gain,
        double? gainU,
        bool alike
    )
    {
        if (before is null && after is null)
            return ("no readings yet", false);
        if (after is null)
            return (FormattableString.Invariant($"before: {before!.DieC - before.RoomC:0} K over room"), false);
        if (toCoolant is { } r && expected is { } e)
        {
            var margin = PoorShare * e + 2 * r.UncertaintyKPerW;
            if (r.KPerW > e + margin)
                return (FormattableString.Invariant($"poor, {100 * (r.KPerW / e - 1):0} % over expected"), true);
        }
        if (gain is { } g)
        {
            if (g < -2 * (gainU ?? 0))
                return (FormattableString.Invariant($"{-g:0} K warmer than stock"), true);
            return (FormattableString.Invariant($"{g:0} K cooler, good"), false);
        }
        return (
            FormattableString.Invariant(
                $"after: {after.DieC - after.RoomC:0} K over room{(alike ? "" : ", not comparable")}"
            ),
            false
        );
    }
}
