using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store.Backups;

/// <summary>How many rows a table holds, and a hash over all of them.</summary>
public sealed record TableDigest(string Table, long Rows, string Sha256);

/// <summary>Hashes a database row by row: two shops with equal digests hold the same to the last row.</summary>
public static class RowDigests
{
    public static IReadOnlyList<TableDigest> Compute(SqliteConnection c) =>
        [
            .. c.Query<string>(
                    "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name"
                )
                .Select(t => Table(c, t)),
        ];

    private static TableDigest Table(SqliteConnection c, string table)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var columns = c.Query<(long Cid, string Name)>($"select cid, name from pragma_table_info('{table}')")
            .Select(x => $"\"{x.Name}\"")
            .ToList();
        using var command = c.CreateCommand();
        command.CommandText =
            $"select {string.Join(", ", columns)} from \"{table}\" order by {string.Join(", ", columns)}";
        using var rows = command.ExecuteReader();
        var count = 0L;
        while (rows.Read())
        {
            count++;
            for (var i = 0; i < rows.FieldCount; i++)
                hash.AppendData(Field(rows, i));
        }
        return new(table, count, Convert.ToHexStringLower(hash.GetHashAndReset()));
    }

    /// <summary>A value with its kind and length, so that no two rows run together alike.</summary>
    private static byte[] Field(SqliteDataReader rows, int i)
    {
        var value = rows.GetValue(i);
        var bytes = value switch
        {
            DBNull => [],
            byte[] blob => blob,
            double d => Encoding.UTF8.GetBytes(d.ToString("R", CultureInfo.InvariantCulture)),
            _ => Encoding.UTF8.GetBytes(Convert.ToString(value, CultureInfo.InvariantCulture)!),
        };
        return [.. Encoding.UTF8.GetBytes($"{value.GetType().Name}:{bytes.Length}:"), .. bytes];
    }
}
