using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// Why the shop's file can not be worked with, and what to do, in a sentence for whoever stands before it.
/// </summary>
public sealed record ShopTrouble(string Code, string Sentence)
{
    /// <summary>
    /// Looks at the file before anything is written to it; null when all is well or nothing is there yet.
    /// </summary>
    /// <param name="source">The file as a connection names it.</param>
    internal static ShopTrouble? Look(string file, string source)
    {
        if (!File.Exists(file))
            return null;
        if (new FileInfo(file).Length == 0)
            return new(
                "empty",
                $"{file} is empty, though a shop was kept here. Nothing was written to it. "
                    + "Move it away and restore a backup (./run restore FILE; the newest lie in the folder backups beside it), "
                    + "or take the empty file away to begin a new shop."
            );
        try
        {
            using var c = new SqliteConnection($"Data Source={source};Mode=ReadOnly;Pooling=False");
            c.Open();
            c.ExecuteScalar<long>("select count(*) from sqlite_master");
            return Newer(c, file);
        }
        catch (SqliteException e)
        {
            return Of(e, file);
        }
    }

    /// <summary>What a failure of the store means; null when it is no trouble of the file's.</summary>
    public static ShopTrouble? Of(Exception e, string file) =>
        e switch
        {
            SqliteException { SqliteErrorCode: 11 or 26 } => new(
                "damaged",
                $"{file} is damaged. Nothing more is written to it. Copy its folder as it is, move the file away, "
                    + "then restore the newest backup: ./run restore FILE. The hourly ones lie in the folder backups beside it."
            ),
            SqliteException { SqliteErrorCode: 13 } => new(
                "full",
                "The disk is full: nothing was changed. Free some space and do it again; reading goes on."
            ),
            SqliteException { SqliteErrorCode: 8 or 14 or 10 } or UnauthorizedAccessException => new(
                "read-only",
                $"The folder {Path.GetDirectoryName(file)} can not be written: nothing was changed. Give "
                    + "this program the right to write there; reading goes on."
            ),
            // ENOSPC and EDQUOT
            IOException { HResult: 28 or 122 or unchecked((int)0x80070070) } => new(
                "full",
                "The disk is full: nothing was changed. Free some space and do it again; reading goes on."
            ),
            _ => null,
        };

    /// <summary>The file is of an earlier version and cannot be migrated now.</summary>
    public static ShopTrouble NotMigrated(string file, string why) =>
        new(
            "not-migrated",
            $"{file} is of an earlier version and has to be upgraded first, which failed: {why} "
                + "Nothing was changed. Free some space or give this program the right to write, then start again."
        );

    private static ShopTrouble? Newer(SqliteConnection c, string file)
    {
        var known = MigrationScripts.All.ToHashSet();
        return MigrationScripts.Had(c).FirstOrDefault(s => !known.Contains(s)) is { } later
            ? new(
                "newer",
                $"{file} was written by a newer version of this program ({later}). Nothing was written to "
                    + "it. Start that version, or restore a backup of this one."
            )
            : null;
    }
}
