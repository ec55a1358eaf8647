namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of job entries.</summary>
internal static class JobEntriesWords
{
    public static string ThereIsNoReadingInJob(long id, long jobId) => $"There is no reading {id} in job {jobId}.";

    public static string ThereIsNoPhoto(long id) => $"There is no photo {id}.";

    public const string ThisStepIsSigned = "This step is signed: no timer starts on it. Undo its sign-off first.";

    public static string TimerOfJobDoesNotRun(long id, long jobId) => $"Timer {id} of job {jobId} does not run.";
}
