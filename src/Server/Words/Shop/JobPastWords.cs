namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of job past.</summary>
internal static class JobPastWords
{
    public static string SignedInSpiteOfLock(string title, string? overrideReason) =>
        $"{title}: signed in spite of a lock, {overrideReason}.";
}
