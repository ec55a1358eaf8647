namespace FaithfulBracket.Store.Words.Backups;

/// <summary>Sentences of doctor.</summary>
internal static class DoctorWords
{
    public static string ThereIsNoShopInYet(string? directoryName) => $"There is no shop in {directoryName} yet.";

    public const string DatabaseIsWhole = "The database is whole.";

    public static string DatabaseIsDamaged(string whole) =>
        $"The database is damaged: {whole}. Copy its folder as it is, then restore the newest backup: ./run "
        + "restore FILE.";

    public static string SchemaIsThisVersions(int hadCount) => $"The schema is this version's: {hadCount} migrations.";

    public static string MigrationsAreRunAtNextStart(int openCount) =>
        $"{openCount} migrations are run at the next start.";

    public const string EveryRowHasJobItBelongs = "Every row has the job it belongs to.";

    public static string RowsBelongToNothing(int orphanCount, string tables) =>
        $"{orphanCount} rows belong to nothing: {tables}. They are left as they are; restore a backup from "
        + "before, or ask for help with this sentence.";

    public static string DocumentsThatAreGone(string jobNames, string some) =>
        $"{jobNames} documents that are gone: {some}. Import those documents again.";

    public static string DoesNotReadInRows(string table, string column, int badCount, string some) =>
        $"{table}.{column} does not read in {badCount} rows: {some}. Restore a backup from before.";

    public static string ColumnsOfJSONWereRead(int columnCount) => $"{columnCount} columns of JSON were read.";

    public static string AllDocumentsMatchTheirDigests(int read) => $"All {read} documents match their digests.";

    public static string NotMatchDigest(string documentDoes, string some) =>
        $"{documentDoes} not match the digest: {some}. Import them again, or restore a backup from before.";

    public const string OnePictureIsThere = "The one picture is there.";

    public static string AllPicturesAreThere(int namedCount) => $"All {namedCount} pictures are there.";

    public static string OfPicturesAreGone(int goneCount, int namedCount, string some) =>
        $"{goneCount} of {namedCount} pictures are gone: {some}. Take them out of a backup, folder photos.";

    public static string OfThemWereRead(int read) =>
        $"{read} of them were read through in the time a page waits; ./run doctor reads them all.";

    public static string NotWhatWasKept(string pictureIs, string some) =>
        $"{pictureIs} not what was kept: {some}. Take them out of a backup, folder photos.";

    public static string MendLaysThem(string finding, string folder) => $"{finding}. --mend lays them into {folder}.";

    public static string LaidIntoNothingWasThrownAway(string unclaimed) =>
        $"laid into {unclaimed}; nothing was thrown away";

    public static string HalfWrittenFilesOfEarlierStop(int leftCount) =>
        $"{leftCount} half-written files of an earlier stop.";
}
