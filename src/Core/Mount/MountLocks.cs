using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Mount;

/// <summary>
/// What may not be turned around at Mount: no turn before every screw is started, no second side before the first is
/// home.
/// </summary>
internal static class MountLocks
{
    public static IEnumerable<WorkStep> On(WorkOrder order, IReadOnlyList<WorkStep> steps)
    {
        foreach (var step in steps)
            yield return Of(order, steps, step) is { Count: > 0 } locks
                ? step with
                {
                    Locks = [.. step.Locks.Concat(locks).Distinct()],
                }
                : step;
    }

    private static IReadOnlyList<StepId> Of(WorkOrder order, IReadOnlyList<WorkStep> steps, WorkStep step) =>
        step.Kind switch
        {
            StepKind.Turn => Started(steps, step),
            StepKind.Lower => [.. OtherSide(order, steps, step)],
            _ => [],
        };

    /// <summary>
    /// All screws of this block on this board are started before one is turned: a block that is held at one corner
    /// tilts. A pass waits for the one before it.
    /// </summary>
    private static IReadOnlyList<StepId> Started(IReadOnlyList<WorkStep> steps, WorkStep turn) =>
        [
            .. steps
                .Where(s =>
                    s.Pair == turn.Pair
                    && s.Board == turn.Board
                    && (
                        s.Kind == StepKind.Start
                        || s.Kind == StepKind.Turn && s.Pass == turn.Pass - 1 && s.Passes == turn.Passes
                    )
                )
                .Select(s => s.Id),
        ];

    /// <summary>The board goes down on its second side only when the last round of the first side's screws is home.</summary>
    private static IEnumerable<StepId> OtherSide(WorkOrder order, IReadOnlyList<WorkStep> steps, WorkStep lower)
    {
        var pair = order.Pairs.First(p => p.Key == lower.Pair);
        var before = steps.TakeWhile(s => s.Id != lower.Id).Where(s => s.Kind == StepKind.Turn).ToList();
        var first =
            pair.Block.Kind == BlockKind.BackPlate
                ? before.Where(s => s.Board == lower.Board && s.Pair != lower.Pair)
                : before.Where(s => s.Pair == lower.Pair && s.Board != lower.Board);
        return first.GroupBy(s => (s.Pair, s.Board)).Select(g => g.Last().Id);
    }
}
