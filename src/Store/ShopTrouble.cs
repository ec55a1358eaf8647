using Dapper;
using FaithfulBracket.Store.Words;
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
            return new("empty", ShopTroubleWords.IsEmptyThoughShopWasKept(file));
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
                ShopTroubleWords.IsDamagedNothingMoreIsWritten(file)
            ),
            SqliteException { SqliteErrorCode: 13 } => new("full", ShopTroubleWords.DiskIsFull),
            SqliteException { SqliteErrorCode: 8 or 14 or 10 } or UnauthorizedAccessException => new(
                "read-only",
                ShopTroubleWords.FolderCanNotBeWritten(Path.GetDirectoryName(file))
            ),
            // ENOSPC and EDQUOT
            IOException { HResult: 28 or 122 or unchecked((int)0x80070070) } => new(
                "full",
                ShopTroubleWords.DiskIsFull
            ),
            _ => null,
        };

    /// <summary>The file is of an earlier version and cannot be migrated now.</summary>
    public static ShopTrouble NotMigrated(string file, string why) =>
        new("not-migrated", ShopTroubleWords.IsOfEarlierVersion(file, why));

    private static ShopTrouble? Newer(SqliteConnection c, string file)
    {
        var known = MigrationScripts.All.ToHashSet();
        return MigrationScripts.Had(c).FirstOrDefault(s => !known.Contains(s)) is { } later
            ? new("newer", ShopTroubleWords.WasWrittenByNewerVersion(file, later))
            : null;
    }
}
