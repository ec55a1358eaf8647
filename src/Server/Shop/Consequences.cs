using FaithfulBracket.Core;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>What a change does to a job's plan, in words, before anything is kept.</summary>
internal static class Consequences
{
    private const int MaxChanges = 6;

    /// <param name="now">Plans the job as it is.</param>
    /// <param name="then">Plans it with the change.</param>
    public static IReadOnlyList<string> Compute(Func<JobPlan> now, Func<JobPlan> then)
    {
        JobPlan before;
        try
        {
            before = now();
        }
        // a job that cannot be planned has no consequences to tell, and never takes the others' down
        catch (Exception e) when (e is InputException or NotFoundException)
        {
            return [];
        }
        try
        {
            return Few(Between(before, then()));
        }
        catch (Exception e) when (e is InputException or NotFoundException)
        {
            return [ConsequencesWords.ItCanNoLongerBePlanned(e.Message)];
        }
    }

    private static List<string> Between(JobPlan now, JobPlan then)
    {
        List<string> changes = [];
        foreach (var (a, b) in now.Stations.Zip(then.Stations))
        {
            if (a.Summary != b.Summary)
                changes.Add($"{a.Station}: {a.Summary} → {b.Summary}");
            var before = a.Steps.ToDictionary(s => s.Id);
            foreach (var step in b.Steps)
                if (!before.Remove(step.Id, out var old))
                    changes.Add($"{a.Station}: new: {step.Title}");
                else if (old.Title != step.Title)
                    changes.Add($"{a.Station}: {old.Title} → {step.Title}");
                else if (old.TimerS != step.TimerS)
                    changes.Add($"{a.Station}: {step.Title}: {old.TimerS} s → {step.TimerS} s");
            changes.AddRange(before.Values.Select(gone => $"{a.Station}: gone: {gone.Title}"));
        }
        return changes;
    }

    private static List<string> Few(List<string> changes) =>
        changes.Count > MaxChanges ? [.. changes.Take(MaxChanges), $"and {changes.Count - MaxChanges} more"] : changes;
}
