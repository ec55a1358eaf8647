using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>Standard uncertainties of the sensors.</summary>
/// <param name="PowerShare">Of the power, as a share.</param>
public sealed record SensorSigma(double DieC = 1, double RoomC = 0.3, double CoolantC = 0.3, double PowerShare = 0.03);

/// <summary>One steady reading.</summary>
public sealed record SteadyReading(
    double DieC,
    double RoomC,
    double? CoolantInC,
    double? FlowLMin,
    double PowerW,
    SensorSigma Sigma
);

/// <param name="ToRoomKPerW">Die over room by the power.</param>
/// <param name="PlusMinus">Its standard uncertainty.</param>
/// <param name="ToCoolantKPerW">Die over the mean coolant; null without an inlet and a flow.</param>
public sealed record ProvenResistance(double ToRoomKPerW, double PlusMinus, double? ToCoolantKPerW)
{
    /// <summary>Die over the inlet by the power, and its standard uncertainty; null without an inlet.</summary>
    public double? ToInletKPerW { get; init; }
    public double? InletPlusMinus { get; init; }
}

/// <summary>Two readings compared at equal power and room.</summary>
/// <param name="CoolantRiseK">Through the block, after, or before where nothing was read after.</param>
/// <param name="GainK">Cooler at the before's power.</param>
/// <param name="Comparable">Whether the two are alike enough to be compared.</param>
public sealed record BeforeAfterResult(
    ProvenResistance? Before,
    ProvenResistance? After,
    double? CoolantRiseK,
    double? GainK,
    double? GainPlusMinusK,
    bool Comparable,
    IReadOnlyList<Message> Reasons
);

/// <summary>What a block is worth: resistances with their uncertainty, and the gain at equal power.</summary>
public static class BeforeAfter
{
    /// <summary>Apart by more than this the correction cannot carry it.</summary>
    private const double UnlikePowerShare = 0.4,
        TellPowerShare = 0.05,
        UnlikeRoomK = 15,
        UnlikeInletK = 20;

    public static BeforeAfterResult Compute(SteadyReading? before, SteadyReading? after)
    {
        var reasons = new List<Message>();
        var rise = RiseOf(after) ?? RiseOf(before);
        var comparable = before is not null && after is not null;
        double? gain = null,
            gainSigma = null;
        if (before is null || after is null)
            reasons.Add(
                before is null && after is null ? BeforeAfterWords.NothingWasReadYet
                : before is null ? BeforeAfterWords.ThereIsNoReadingFromBefore
                : BeforeAfterWords.ThereIsNoReadingFromAfterwards
            );
        else
        {
            foreach (var unlike in Unlike(before, after))
            {
                comparable = false;
                reasons.Add(unlike);
            }
            if (comparable)
            {
                (gain, gainSigma) = Gain(before, after);
                if (Math.Abs(after.PowerW - before.PowerW) > TellPowerShare * before.PowerW)
                    reasons.Add(BeforeAfterWords.PowerDiffersBeforeAndAfter(before.PowerW, after.PowerW));
                if (Math.Abs(gain.Value) < 2 * gainSigma)
                    reasons.Add(BeforeAfterWords.DifferenceIsWithinWhatSensors);
            }
        }
        return new(Proven(before), Proven(after), rise, gain, gainSigma, comparable, reasons);
    }

    private static IEnumerable<Message> Unlike(SteadyReading b, SteadyReading a)
    {
        if (Math.Abs(a.PowerW - b.PowerW) > UnlikePowerShare * b.PowerW)
            yield return BeforeAfterWords.BeforeAndAfterAreUnlikeLoads(b.PowerW, a.PowerW);
        if (Math.Abs(a.RoomC - b.RoomC) > UnlikeRoomK)
            yield return BeforeAfterWords.RoomsOfAndAreTooFar(b.RoomC, a.RoomC);
        if (a.CoolantInC is { } ai && b.CoolantInC is { } bi && Math.Abs(ai - a.RoomC - (bi - b.RoomC)) > UnlikeInletK)
            yield return BeforeAfterWords.InletsStandAndOverTheirRooms(bi - b.RoomC, ai - a.RoomC);
    }

    private static double? RiseOf(SteadyReading? r) =>
        r is { FlowLMin: { } q and > 0 } ? Coolant.RiseK(r.PowerW, q) : null;

    private static ProvenResistance? Proven(SteadyReading? r)
    {
        if (r is null)
            return null;
        var (toRoom, sigma) = Over(r.DieC - r.RoomC, r.Sigma.DieC, r.Sigma.RoomC, r);
        if (r.CoolantInC is not { } inlet)
            return new(toRoom, sigma, null);
        // the mean rise is proportional to the power, and leaves a constant of the resistance
        var (inletR, inletSigma) = Over(r.DieC - inlet, r.Sigma.DieC, r.Sigma.CoolantC, r);
        return new(toRoom, sigma, RiseOf(r) is { } rise ? inletR - rise / 2 / r.PowerW : null)
        {
            ToInletKPerW = inletR,
            InletPlusMinus = inletSigma,
        };
    }

    private static (double KPerW, double Sigma) Over(double rise, double hot, double cold, SteadyReading r)
    {
        var k = rise / r.PowerW;
        var own = (hot * hot + cold * cold) / (r.PowerW * r.PowerW);
        return (k, Math.Sqrt(own + k * k * r.Sigma.PowerShare * r.Sigma.PowerShare));
    }

    /// <summary>
    /// (R_before − R_after)·P_before = ΔT_before − ΔT_after·P_before/P_after: the before's power counts only in the
    /// second term.
    /// </summary>
    private static (double K, double Sigma) Gain(SteadyReading b, SteadyReading a)
    {
        var ratio = b.PowerW / a.PowerW;
        var (db, da) = (b.DieC - b.RoomC, a.DieC - a.RoomC);
        static double Square(double v) => v * v;
        var variance =
            Square(b.Sigma.DieC)
            + Square(b.Sigma.RoomC)
            + Square(ratio) * (Square(a.Sigma.DieC) + Square(a.Sigma.RoomC))
            + Square(da * ratio) * (Square(a.Sigma.PowerShare) + Square(b.Sigma.PowerShare));
        return (db - da * ratio, Math.Sqrt(variance));
    }
}
