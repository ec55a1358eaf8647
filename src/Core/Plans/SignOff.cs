using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Plans;

namespace FaithfulBracket.Core.Plans;

/// <summary>Whether a step may be signed or taken back as things stand.</summary>
public abstract record SignOutcome
{
    private SignOutcome() { }

    /// <param name="Step">The step as it is planned now.</param>
    public sealed record Granted(WorkStep Step) : SignOutcome;

    /// <param name="Why">In a sentence.</param>
    /// <param name="WaitsFor">Steps still open; empty where a count is off.</param>
    public sealed record Locked(Message Why, IReadOnlyList<StepId> WaitsFor) : SignOutcome;

    /// <summary>Signed steps rest on the one to take back: they have to be taken back with it.</summary>
    public sealed record RestsOn(Message Why, IReadOnlyList<StepId> Steps) : SignOutcome;

    /// <summary>The plan has no such step any more.</summary>
    public sealed record NotInPlan(Message Why) : SignOutcome;
}

/// <summary>
/// The rules of signing: counts right, everything a step is locked by signed, nothing left hanging by a step taken
/// back.
/// </summary>
public static class SignOff
{
    /// <param name="signed">Steps that stand signed, read in the transaction that writes.</param>
    /// <param name="count">What the installer counted; null where nothing is counted.</param>
    /// <param name="overrideReason">Signs in spite of a lock; kept in the record.</param>
    public static SignOutcome Sign(
        JobPlan plan,
        IReadOnlySet<StepId> signed,
        StepId id,
        int? count,
        string? overrideReason
    )
    {
        if (plan.Find(id) is not { } step)
            return new SignOutcome.NotInPlan(SignOffWords.PlanHasNoStep(id));
        if (!string.IsNullOrWhiteSpace(overrideReason))
            return new SignOutcome.Granted(step);
        if (step.CountsOpen)
        {
            if (count is not > 0)
                return new SignOutcome.Locked(SignOffWords.NoneCountedCountThemAsThey, []);
        }
        else if (step.Count is { } need && count != need)
        {
            var counted = count ?? 0;
            var missing = counted > need ? SignOffWords.OneTooManyCountAgain : $"{need - counted} still in";
            return new SignOutcome.Locked($"{counted} of {need} counted: {missing}.", []);
        }
        List<StepId> open = [.. step.Locks.Where(l => !signed.Contains(l) && !IsOff(plan, signed, l))];
        if (open.Count == 0)
            return new SignOutcome.Granted(step);
        var names = open.Select(o => plan.Find(o)?.Title ?? o.ToString());
        return new SignOutcome.Locked(
            $"Locked: {HowMany.Count(open.Count, "step is", "steps are")} open. {string.Join(". ", names)}.",
            open
        );
    }

    /// <summary>Whether a step only switches the power off, and by what is signed it is off.</summary>
    private static bool IsOff(JobPlan plan, IReadOnlySet<StepId> signed, StepId id) =>
        plan.Find(id) is { Acts.Count: > 0 } step
        && step.Acts.All(a => a.Do == Verb.PowerOff)
        && !plan.Steps.TakeWhile(s => s.Id != id).Any(s => signed.Contains(s.Id) && s.Acts.Any(a => a.Do == Verb.Run));

    /// <param name="with">Steps that are taken back together with this one: all that rest on it, and no other.</param>
    /// <returns>Granted with the step, or all signed steps that rest on it.</returns>
    public static SignOutcome TakeBack(
        JobPlan plan,
        IReadOnlySet<StepId> signed,
        StepId id,
        IReadOnlyCollection<StepId> with
    )
    {
        var resting = Resting(plan, signed, id);
        var named = with.Where(s => s != id).ToHashSet();
        if (named.SetEquals(resting))
            return plan.Find(id) is { } step
                ? new SignOutcome.Granted(step)
                : new SignOutcome.NotInPlan(SignOffWords.StepIsOfEarlierPlan);
        if (named.Except(resting).ToList() is { Count: > 0 } other)
            return new SignOutcome.RestsOn(
                SignOffWords.NotUndoneWithThisStepBecause(
                    string.Join("; ", other),
                    other.Count == 1 ? "it does" : "they do"
                ),
                resting
            );
        var names = resting.Select(r => plan.Find(r)?.Title ?? r.ToString());
        return new SignOutcome.RestsOn(
            SignOffWords.SignedAndOn(
                string.Join("; ", names),
                resting.Count == 1 ? "it rests" : "they rest",
                resting.Count == 1 ? "it" : "them"
            ),
            resting
        );
    }

    /// <summary>Signed steps that are locked by this one, or by one that is, in working order.</summary>
    private static IReadOnlyList<StepId> Resting(JobPlan plan, IReadOnlySet<StepId> signed, StepId id)
    {
        HashSet<StepId> gone = [id];
        var resting = new List<StepId>();
        for (var found = true; found; )
        {
            found = false;
            foreach (
                var step in plan
                    .Steps.Concat(plan.Care.Restore)
                    .Where(s => signed.Contains(s.Id) && s.Locks.Any(gone.Contains))
            )
            {
                if (!gone.Add(step.Id))
                    continue;
                resting.Add(step.Id);
                found = true;
            }
        }
        return resting;
    }
}
