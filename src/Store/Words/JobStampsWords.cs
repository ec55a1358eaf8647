namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of job stamps.</summary>
internal static class JobStampsWords
{
    public static string ThereIsNoJob(long jobId) => $"There is no job {jobId}.";
}
