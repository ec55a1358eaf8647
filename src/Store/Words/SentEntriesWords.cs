namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of sent entries.</summary>
internal static class SentEntriesWords
{
    public static string ThisKeyWasUsedBefore(string kind, long paperId, long jobId) =>
        $"This key was used before for another {kind} (number {paperId} of job {jobId}), which is saved. Send "
        + "this with a key of its own.";
}
