using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>One sample of a torque driver.</summary>
/// <param name="AngleDeg">Turned since this turn began, degrees.</param>
/// <param name="TorqueNm">Now, N·m.</param>
/// <param name="Stopped">The hand let go.</param>
public readonly record struct DriverSample(double AngleDeg, double TorqueNm, bool Stopped);

public enum TurnState
{
    Turning,
    Met,
    Overshoot,
    CrossThread,
    Skipped,
    Free,
}

/// <param name="Share">Of the target angle, 0 to 1 and above.</param>
/// <param name="Say">One sentence for the bench.</param>
public sealed record TurnVerdict(TurnState State, double AngleDeg, double TorqueNm, double Share, string Say);

/// <summary>
/// Judges a turn while it is made: torque that comes without angle is a crossed thread, angle without torque a screw
/// that does not hold.
/// </summary>
public static class DriverWatch
{
    /// <summary>Card screws are told in N·cm.</summary>
    private const double NcmPerNm = 100;

    /// <summary>How near to the angle counts as there.</summary>
    private const double AngleTolerance = 0.08;
    private const double OverBy = 1.25,
        BarelyTurned = 0.15,
        CrossedBefore = 0.5,
        HoldsFrom = 0.3,
        BeginsWithin = 0.3;

    /// <summary>What a turn came to, as it is told.</summary>
    public static string CameTo(TurnState state) =>
        state switch
        {
            TurnState.Turning => "not there yet",
            TurnState.Met => "met",
            TurnState.Overshoot => "too far",
            TurnState.CrossThread => "across the thread",
            TurnState.Skipped => "skipped",
            _ => "turned free",
        };

    /// <summary>How far and how hard, as it is told.</summary>
    public static string Turned(double angleDeg, double torqueNm) =>
        FormattableString.Invariant($"{angleDeg:0}°, {torqueNm * NcmPerNm:0.0} N·cm");

    /// <summary>Whether a turn may begin with this sample; one far along belongs to the turn before.</summary>
    public static bool BeginsTurn(TurnTarget target, DriverSample first) =>
        first.AngleDeg <= BeginsWithin * target.AngleDeg;

    /// <param name="samples">Of this turn, oldest first.</param>
    public static TurnVerdict Judge(TurnTarget target, IReadOnlyList<DriverSample> samples)
    {
        double angle = samples.Count == 0 ? 0 : samples.Max(s => s.AngleDeg),
            peak = samples.Count == 0 ? 0 : samples.Max(s => s.TorqueNm);
        var stopped = samples.Count > 0 && samples[^1].Stopped;
        var share = target.AngleDeg > 0 ? angle / target.AngleDeg : 1;
        var crossed = samples.Any(s =>
            s.AngleDeg < CrossedBefore * target.AngleDeg
            && s.TorqueNm > Math.Max(OverBy * target.TorqueNm, 2 * TurnTarget.MinTorqueNm)
        );
        TurnVerdict Verdict(TurnState state, string say) => new(state, angle, peak, share, say);
        if (crossed)
            return Verdict(
                TurnState.CrossThread,
                DriverWatchWords.StopAfterOf(peak * NcmPerNm, angle, target.AngleDeg)
            );
        if (share > OverBy || peak > (target.LimitNm ?? Math.Max(OverBy * target.TorqueNm, 2 * TurnTarget.MinTorqueNm)))
            return Verdict(
                TurnState.Overshoot,
                DriverWatchWords.TooFarAndAndWereDue(
                    angle,
                    peak * NcmPerNm,
                    target.AngleDeg,
                    target.TorqueNm * NcmPerNm,
                    Math.Max(0, angle - target.AngleDeg)
                )
            );
        if (share >= 1 - AngleTolerance)
        {
            // it may still go too far: only a hand that let go has met it
            if (!stopped)
                return Verdict(TurnState.Turning, "There. Let go.");
            return target.TorqueNm > TurnTarget.MinTorqueNm && peak < HoldsFrom * target.TorqueNm
                ? Verdict(
                    TurnState.Free,
                    DriverWatchWords.ItTurnsWithoutLoad(peak * NcmPerNm, target.TorqueNm * NcmPerNm)
                )
                : Verdict(
                    TurnState.Met,
                    FormattableString.Invariant($"{angle:0}° and {peak * NcmPerNm:0.0} N·cm: met.")
                );
        }
        if (stopped && share < BarelyTurned)
            return Verdict(TurnState.Skipped, DriverWatchWords.ThisScrewWasNotTurned);
        return Verdict(
            TurnState.Turning,
            stopped
                ? FormattableString.Invariant($"{angle:0}° of {target.AngleDeg:0}°: go on.")
                : FormattableString.Invariant($"{target.AngleDeg - angle:0}° to go.")
        );
    }
}
