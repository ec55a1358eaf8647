using System.Security.Cryptography;
using System.Text;
using Dapper;
using FaithfulBracket.Store.Words;

namespace FaithfulBracket.Store;

/// <summary>A tablet that was let into the shop.</summary>
/// <param name="RevokedAt">Since when it is shut out; null for one that may come in.</param>
public sealed record DeviceRow(long Id, string Name, string PairedAt, string? SeenAt, string? RevokedAt);

/// <summary>Tablets of the shop's network. A device's key is known to it alone; here is its hash.</summary>
public sealed class Devices(ShopDatabase database, TimeProvider time)
{
    private const string Columns = "id, name, paired_at, seen_at, revoked_at";
    private const int TokenBytes = 32;

    public IReadOnlyList<DeviceRow> All()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long Id, string Name, string PairedAt, string? SeenAt, string? RevokedAt)>(
                    $"select {Columns} from device order by revoked_at is not null, id desc"
                )
                .Select(r => new DeviceRow(r.Id, r.Name, r.PairedAt, r.SeenAt, r.RevokedAt)),
        ];
    }

    /// <returns>The device's id and its key, told once.</returns>
    public (long Id, string Token) Pair(string name)
    {
        var token = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(TokenBytes));
        var id = database.Change(
            (c, t) =>
                c.ExecuteScalar<long>(
                    "insert into device (name, token_sha256, paired_at) values (@name, @hash, @at) returning id",
                    new
                    {
                        name,
                        hash = Hash(token),
                        at = Stamp.Format(time),
                    },
                    t
                )
        );
        return (id, token);
    }

    /// <summary>Whose key it is; null for nobody's, or for one that is shut out.</summary>
    public long? Find(string token)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<long?>(
            "select id from device where token_sha256 = @hash and revoked_at is null",
            new { hash = Hash(token) }
        );
    }

    /// <exception cref="NotFoundException">No such device.</exception>
    public void Revoke(long id) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    "update device set revoked_at = coalesce(revoked_at, @at) where id = @id",
                    new { id, at = Stamp.Format(time) },
                    t
                ) == 1
                    ? 0
                    : throw new NotFoundException(DevicesWords.ThereIsNoDevice(id))
        );

    public void Seen(long id) =>
        database.Change(
            (c, t) =>
                c.Execute("update device set seen_at = @at where id = @id", new { id, at = Stamp.Format(time) }, t)
        );

    private static string Hash(string token) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
