namespace FaithfulBracket.Core.Prove;

/// <summary>
/// A pressure hold of which somebody read the gauge twice: leak = ∓V·(p₁·T₀/T₁ − p₀)/(t·ambient), with what gauge and
/// thermometer are good for.
/// </summary>
public static class LeakByTwo
{
    /// <summary>Standard uncertainty of a hand gauge, kPa, of a thermometer, and of a temperature nobody read, K.</summary>
    private const double GaugeKPa = 0.2,
        ReadK = 0.3,
        UnreadK = 1,
        Wide = 1.96,
        ZeroC = 273.15,
        RoomC = 21;

    /// <param name="startKPa">Over ambient; under it for a vacuum.</param>
    /// <param name="startC">Null where nobody read the temperature.</param>
    public static LeakResult Compute(
        double volumeMl,
        double ambientKPa,
        double startKPa,
        double endKPa,
        double minutes,
        double? startC,
        double? endC,
        double limitMlPerMin,
        bool vacuum
    )
    {
        var read = startC is not null && endC is not null;
        var (t0, t1) = read ? (startC!.Value + ZeroC, endC!.Value + ZeroC) : (RoomC + ZeroC, RoomC + ZeroC);
        var (p0, p1) = (startKPa + ambientKPa, (endKPa + ambientKPa) * t0 / t1);
        var perKPa = (vacuum ? volumeMl : -volumeMl) / (minutes * ambientKPa);
        var sigma = Math.Sqrt(2) * Math.Sqrt(GaugeKPa * GaugeKPa + Math.Pow(p0 * (read ? ReadK : UnreadK) / t0, 2));
        var leak = perKPa * (p1 - p0);
        var half = Wide * Math.Abs(perKPa) * sigma;
        var (low, high) = (leak - half, leak + half);
        var verdict =
            low > limitMlPerMin ? LeakVerdict.Fail
            : high < limitMlPerMin ? LeakVerdict.Pass
            : LeakVerdict.Wait;
        // both errors stand still: the interval narrows as the time grows
        var apart = Math.Abs(limitMlPerMin - leak);
        var more = verdict == LeakVerdict.Wait && apart > 0 ? 60 * minutes * Math.Max(0, half / apart - 1) : 0;
        return new(leak, low, high, verdict, Math.Min(more, 86_400));
    }
}
