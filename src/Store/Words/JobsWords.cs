namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of jobs.</summary>
internal static class JobsWords
{
    public static string ThereIsNoJob(long id) => $"There is no job {id}.";

    public const string SomebodyChangedThisJobSinceYou =
        "Somebody changed this job since you opened it. Look at their change, then make yours again.";
}
