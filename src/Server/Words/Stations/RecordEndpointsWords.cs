namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of record endpoints.</summary>
internal static class RecordEndpointsWords
{
    public const string RecordAsItWasGivenOut = "A record as it was given out. Limits: a body of 32 MiB.";

    public const string ExpectedClientOrShop = "Expected client or shop.";

    public const string ThisIsNotBuildRecord = "This is not a build record of this program.";

    public static string WordForWordWhatThisShop(long job) => $"Word for word what this shop gave out for job {job}.";

    public const string JobWentOnSince = " The job went on since: its record reads otherwise today.";

    public static string NotWhatWasGivenOut(long job) =>
        $"Not what was given out: something in this record of job {job} was changed after it was sealed.";

    public static string WholeInItselfButNotSealed(long job) =>
        $"Whole in itself, but not sealed by this shop: job {job} of another shop, or sealed by somebody else.";

    public static string IsNotInLibraryNow(string role, string id) => $"{role} {id} is not in the library now";

    public static string IsSameInLibrary(string role, string id) => $"{role} {id} is the same in the library";

    public static string WasChangedInLibrarySince(string role, string id) =>
        $"{role} {id} was changed in the library since";
}
