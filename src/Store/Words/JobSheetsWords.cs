namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of job sheets.</summary>
internal static class JobSheetsWords
{
    public const string SomebodyChangedThisMeanwhile =
        "Somebody changed this meanwhile. Look at their change, then make yours again.";
}
