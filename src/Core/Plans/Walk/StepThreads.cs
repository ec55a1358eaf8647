using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>
/// Steps of one station that belong together and keep their order: those of one block on one board, those of one stock
/// piece that goes on again with its leads and screws. What no thread claims stays with the step before it.
/// </summary>
internal static class StepThreads
{
    /// <summary>
    /// Stretches of a station that follow one another whatever they cost: what goes on again waits until every block sits.
    /// </summary>
    public static IEnumerable<IReadOnlyList<WorkStep>> Stretches(IReadOnlyList<WorkStep> steps)
    {
        for (var i = 0; i < steps.Count; )
        {
            var again = steps[i].Thread is not null;
            List<WorkStep> stretch = [.. steps.Skip(i).TakeWhile(s => s.Thread is not null == again)];
            yield return stretch;
            i += stretch.Count;
        }
    }

    /// <returns>In the order in which the station begins them.</returns>
    public static IReadOnlyList<IReadOnlyList<WorkStep>> Split(IReadOnlyList<WorkStep> steps)
    {
        var keys = new List<string>();
        foreach (var step in steps)
            keys.Add(
                step.Thread is { } own ? own
                : step.Pair is { } pair ? $"{pair} {step.Board}"
                : keys.Count > 0 ? keys[^1]
                : ""
            );
        // threads that the station itself goes to and fro between are one
        var threads = new List<List<WorkStep>>();
        for (var i = 0; i < steps.Count; )
        {
            var end = keys.LastIndexOf(keys[i]);
            for (var k = i; k <= end; k++)
                end = Math.Max(end, keys.LastIndexOf(keys[k]));
            threads.Add([.. steps.Skip(i).Take(end - i + 1)]);
            i = end + 1;
        }
        return threads;
    }
}
