namespace FaithfulBracket.Core.Route;

/// <summary>A step that may not be signed yet.</summary>
/// <param name="waitsFor">Ids of the steps still open.</param>
public sealed class StepLockedException(string message, IReadOnlyList<string> waitsFor) : Exception(message)
{
    public IReadOnlyList<string> WaitsFor { get; } = waitsFor;
}

/// <summary>Whether a step may be signed: counts right, everything it is locked by signed.</summary>
public static class SignOff
{
    /// <param name="count">What the installer counted; null where nothing is counted.</param>
    /// <param name="overrideReason">Signs in spite of a lock; kept in the record.</param>
    /// <exception cref="StepLockedException">A lock is closed or the count is off, and no reason is given.</exception>
    /// <exception cref="InputException">The plan has no such step.</exception>
    public static WorkStep Check(
        JobPlan plan,
        IReadOnlySet<string> signed,
        string stepId,
        int? count,
        string? overrideReason
    )
    {
        var step =
            plan.Stations.SelectMany(s => s.Steps).Concat(plan.Restore).FirstOrDefault(s => s.Id == stepId)
            ?? throw new InputException(
                "/stepId",
                $"The plan has no step \"{stepId}\": the board, block or pads changed. Load the job again."
            );
        if (overrideReason is { Length: > 0 })
            return step;
        if (step.Count is { } need && count != need)
            throw new StepLockedException(
                $"{count ?? 0} of {need} counted: {(count > need ? "one too many, count again" : $"{need - (count ?? 0)} still in")}.",
                []
            );
        var open = step.Locks.Where(l => !signed.Contains(l)).ToList();
        if (open.Count == 0)
            return step;
        var names = open.Select(id =>
            plan.Stations.SelectMany(s => s.Steps).FirstOrDefault(s => s.Id == id)?.Title ?? id
        );
        throw new StepLockedException(
            $"Locked: {open.Count} {(open.Count == 1 ? "step is" : "steps are")} open. {string.Join(". ", names)}.",
            open
        );
    }
}
