using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>
/// Why the shop's file cannot be worked with, and what to do, in a sentence for whoever stands before it.
/// </summary>
public sealed record DatabaseError(string Code, string Sentence)
{
    /// <summary>
    /// Looks at the file before anything is written to it; null when all is well or nothing is there yet.
    /// </summary>
    /// <param name="source">The file as a connection names it.</param>
    internal static DatabaseError? Look(string file, string source)
    {
        if (!File.Exists(file))
            return null;
        if (new FileInfo(file).Length == 0)
            return new("empty", DatabaseErrorWords.IsEmptyThoughShopWasKept(file));
        try
        {
            using var c = new SqliteConnection($"Data Source={source};Mode=ReadOnly;Pooling=False");
            c.Open();
            c.ExecuteScalar<long>("select count(*) from sqlite_master");
            return Newer(c, file);
        }
        catch (SqliteException e)
        {
            return From(e, file);
        }
    }

    /// <summary>What a failure of the store means; null when it is no trouble of the file's.</summary>
    public static DatabaseError? From(Exception e, string file) =>
        e switch
        {
            SqliteException { SqliteErrorCode: 11 or 26 } => new(
                "damaged",
                DatabaseErrorWords.IsDamagedNothingMoreIsWritten(file)
            ),
            SqliteException { SqliteErrorCode: 13 } => new("full", DatabaseErrorWords.DiskIsFull),
            SqliteException { SqliteErrorCode: 8 or 14 or 10 } or UnauthorizedAccessException => new(
                "read-only",
                DatabaseErrorWords.FolderCanNotBeWritten(Path.GetDirectoryName(file))
            ),
            // ENOSPC and EDQUOT
            IOException { HResult: 28 or 122 or unchecked((int)0x80070070) } => new(
                "full",
                DatabaseErrorWords.DiskIsFull
            ),
            _ => null,
        };

    /// <summary>The file is of an earlier version and cannot be migrated now.</summary>
    public static DatabaseError NotMigrated(string file, string why) =>
        new("not-migrated", DatabaseErrorWords.IsOfEarlierVersion(file, why));

    private static DatabaseError? Newer(SqliteConnection c, string file)
    {
        var known = MigrationScripts.All.ToHashSet();
        return MigrationScripts.Had(c).FirstOrDefault(s => !known.Contains(s)) is { } later
            ? new("newer", DatabaseErrorWords.WasWrittenByNewerVersion(file, later))
            : null;
    }
}
