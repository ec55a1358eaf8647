namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of job logs.</summary>
internal static class JobLogsWords
{
    public static string ThereIsNoLogInJob(long id, long jobId) => $"There is no log {id} in job {jobId}.";
}
