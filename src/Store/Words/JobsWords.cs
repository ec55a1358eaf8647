namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of jobs.</summary>
internal static class JobsWords
{
    public const string SomebodyChangedThisJobSinceYou =
        "Somebody changed this job since you opened it. Look at their change, then make yours again.";
}
