using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Schedule;

namespace FaithfulBracket.Server.Demo;

/// <summary>
/// When the steps of the demo jobs were done: backwards from now, one job after another in each person's hands, now
/// faster, now slower than usual.
/// </summary>
internal sealed class DemoTimes(DateTimeOffset now)
{
    private const int BetweenMin = 12,
        FirstMin = 150,
        MaxAgoMin = 24 * 60;

    /// <summary>When each person began what is known so far.</summary>
    private readonly Dictionary<string, DateTimeOffset> _began = [];

    /// <param name="lastMinAgo">
    /// When the last one was signed; 0 for before whatever the same hands did after it.
    /// </param>
    public IReadOnlyList<(WorkStep Step, DateTimeOffset At)> Compute(
        long job,
        string by,
        IReadOnlyList<WorkStep> steps,
        int lastMinAgo
    )
    {
        // the same demo every time
        var hands = new Random((int)job);
        var at =
            lastMinAgo > 0 ? now.AddMinutes(-lastMinAgo)
            : _began.TryGetValue(by, out var began) ? began.AddMinutes(-BetweenMin)
            : now.AddMinutes(-FirstMin);
        var done = new List<(WorkStep, DateTimeOffset)>();
        foreach (var step in steps.Reverse())
        {
            done.Add((step, at));
            var minutes =
                StepMinutes.Default.Estimate(step.Kind, step.Count) * (0.6 + hands.NextDouble())
                + (step.TimerS ?? 0) / 60.0;
            at = at.AddMinutes(-minutes);
        }
        done.Reverse();
        if (!_began.TryGetValue(by, out var before) || at < before && lastMinAgo < MaxAgoMin)
            _began[by] = at;
        return done;
    }
}
