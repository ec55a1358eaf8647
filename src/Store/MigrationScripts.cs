using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>Which migrations a file had, and which it has still to get.</summary>
internal static class MigrationScripts
{
    private const string Journal = "SchemaVersions";

    /// <summary>Every migration of this version, in order.</summary>
    public static IReadOnlyList<string> All { get; } =
    [
        .. typeof(MigrationScripts)
            .Assembly.GetManifestResourceNames()
            .Where(n => n.EndsWith(".sql", StringComparison.Ordinal))
            .Order(StringComparer.Ordinal),
    ];

    /// <summary>Migrations the file had; none in one that is new.</summary>
    public static IReadOnlySet<string> Had(SqliteConnection c) =>
        c.ExecuteScalar<long>("select count(*) from sqlite_master where name = @Journal", new { Journal }) == 0
            ? new HashSet<string>()
            : c.Query<string>($"select ScriptName from {Journal}").ToHashSet();

    /// <summary>The newest the file had; null in one that is new.</summary>
    public static string? Newest(SqliteConnection c) => Had(c).Max(StringComparer.Ordinal);

    /// <summary>Migrations it has still to get.</summary>
    public static IReadOnlyList<string> Open(SqliteConnection c) =>
        Had(c) is var had ? [.. All.Where(s => !had.Contains(s))] : [];
}
