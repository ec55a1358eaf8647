using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store.Keeping;

/// <summary>Which pictures a database names.</summary>
internal static class PhotoFiles
{
    public static IReadOnlyList<string> Named(SqliteConnection c) =>
        [
            .. c.Query<string>(
                "select file from photo union select file from trace union select file from catalogue_picture order by 1"
            ),
        ];
}
