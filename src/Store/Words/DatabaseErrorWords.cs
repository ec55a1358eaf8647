namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of shop trouble.</summary>
internal static class DatabaseErrorWords
{
    public static string IsEmptyThoughShopWasKept(string file) =>
        $"{file} is empty, though a shop was kept here. Nothing was written to it. Move it away and restore a "
        + "backup (./run restore FILE; the newest lie in the folder backups beside it), or take the empty file "
        + "away to begin a new shop.";

    public static string IsDamagedNothingMoreIsWritten(string file) =>
        $"{file} is damaged. Nothing more is written to it. Copy its folder as it is, move the file away, then "
        + "restore the newest backup: ./run restore FILE. The hourly ones lie in the folder backups beside it.";

    public const string DiskIsFull =
        "The disk is full: nothing was changed. Free some space and do it again; reading goes on.";

    public static string FolderCanNotBeWritten(string? directoryName) =>
        $"The folder {directoryName} cannot be written: nothing was changed. Give this program the right to write "
        + "there; reading goes on.";

    public static string IsOfEarlierVersion(string file, string why) =>
        $"{file} is of an earlier version and has to be upgraded first, which failed: {why} Nothing was changed. "
        + "Free some space or give this program the right to write, then start again.";

    public static string WasWrittenByNewerVersion(string file, string later) =>
        $"{file} was written by a newer version of this program ({later}). Nothing was written to it. Start that "
        + "version, or restore a backup of this one.";
}
