using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Instruments;

/// <summary>How a hand turns the screw.</summary>
public enum TurnManner
{
    Right,
    Overshoot,
    CrossThread,
    Skipped,
}

/// <summary>A driver on a made-up joint: runs free, then the load rises to what the target says.</summary>
public sealed class SimulatedTorqueDriver(TimeProvider time) : ITorqueDriver
{
    private const double DegPerSample = 9,
        OvershootBy = 1.45,
        CrossThreadBy = 1.6,
        CrossThreadAtShare = 0.3;
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(40);

    private readonly Broadcast<DriverSample> _sent = new();

    public string Name => "simulated torque driver";

    public IAsyncEnumerable<DriverSample> Samples(CancellationToken cancel) => _sent.Listen(cancel);

    /// <summary>Turns one screw by a target, sending samples as a real driver would; the last one says that it stopped.</summary>
    public async Task TurnAsync(TurnTarget target, TurnManner manner, CancellationToken cancel)
    {
        foreach (var sample in Samples(target, manner))
        {
            _sent.Send(sample);
            await Task.Delay(Between, time, cancel);
        }
    }

    /// <summary>The whole turn at once.</summary>
    public static IEnumerable<DriverSample> Samples(TurnTarget target, TurnManner manner)
    {
        var end = manner switch
        {
            TurnManner.Overshoot => target.AngleDeg * OvershootBy,
            TurnManner.CrossThread => target.AngleDeg * CrossThreadAtShare,
            TurnManner.Skipped => 0,
            _ => target.AngleDeg,
        };
        var peak = manner switch
        {
            TurnManner.Overshoot => target.TorqueNm * OvershootBy,
            TurnManner.CrossThread => Math.Max(target.TorqueNm, 2 * TurnTarget.MinTorqueNm) * CrossThreadBy,
            TurnManner.Skipped => 0,
            _ => target.TorqueNm,
        };
        var steps = Math.Max(1, (int)Math.Ceiling(end / DegPerSample));
        for (var i = 1; i <= steps && end > 0; i++)
        {
            var share = i / (double)steps;
            yield return new(
                end * share,
                peak * (target.StartTorqueNm / Math.Max(target.TorqueNm, 1e-9) * (1 - share) + share),
                false
            );
        }
        yield return new(end, 0, true);
    }
}
