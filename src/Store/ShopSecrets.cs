using System.Security.Cryptography;
using Dapper;

namespace FaithfulBracket.Store;

/// <summary>Keys that only this shop has; made when they are asked for first, and in every backup.</summary>
public sealed class ShopSecrets(ShopDatabase database)
{
    public const string RecordKey = "record";

    public byte[] Get(string name, int bytes)
    {
        using (var c = database.Open())
            if (Find(c, null, name) is { } kept)
                return kept;
        return database.Change(
            (c, t) =>
            {
                c.Execute(
                    "insert into shop_secret (name, value) values (@name, @value) on conflict do nothing",
                    new { name, value = RandomNumberGenerator.GetBytes(bytes) },
                    t
                );
                return Find(c, t, name)!;
            }
        );
    }

    /// <summary>Another key in its place: what was signed with the old one can no longer be checked.</summary>
    public void Renew(string name, int bytes) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    "insert into shop_secret (name, value) values (@name, @value) on conflict (name) do update set value = @value",
                    new { name, value = RandomNumberGenerator.GetBytes(bytes) },
                    t
                )
        );

    private static byte[]? Find(
        Microsoft.Data.Sqlite.SqliteConnection c,
        System.Data.Common.DbTransaction? t,
        string name
    ) => c.QuerySingleOrDefault<byte[]>("select value from shop_secret where name = @name", new { name }, t);
}
