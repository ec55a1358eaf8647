using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store.Backups;

/// <summary>Which pictures a database names.</summary>
internal static class PhotoFiles
{
    private static readonly string[] Tables = ["photo", "trace", "catalogue_picture"];

    /// <summary>In a file of an earlier version not every table may be there yet.</summary>
    public static IReadOnlyList<string> Named(SqliteConnection c)
    {
        var there = c.Query<string>("select name from sqlite_master where type = 'table'").ToHashSet();
        var named = Tables.Where(there.Contains).Select(t => $"select file from {t}").ToList();
        return named.Count == 0 ? [] : [.. c.Query<string>($"{string.Join(" union ", named)} order by 1")];
    }
}
