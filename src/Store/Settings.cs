using Dapper;

namespace FaithfulBracket.Store;

/// <summary>A change of one working default.</summary>
/// <param name="Value">Null where it went back to the default.</param>
public sealed record SettingChangeRow(long Id, string Key, double? Value, string Reason, string ByInitials, string At);

/// <param name="Value">Null takes the default again.</param>
public sealed record NewSetting(string Key, double? Value);

/// <summary>Working defaults that the shop changed: nothing is overwritten, the last change of a key stands.</summary>
public sealed class Settings(ShopDatabase database, TimeProvider time)
{
    private const string Columns = "id, key, value, reason, by_initials, at";

    /// <summary>Changes whenever a setting does.</summary>
    public long Edition
    {
        get
        {
            using var c = database.Open();
            return c.ExecuteScalar<long>("select coalesce(max(id), 0) from setting_change");
        }
    }

    /// <summary>What stands changed, by key.</summary>
    public IReadOnlyDictionary<string, double> Changed()
    {
        using var c = database.Open();
        return c.Query<(string Key, double? Value)>(
                "select key, value from setting_change where id in (select max(id) from setting_change group by key)"
            )
            .Where(r => r.Value is not null)
            .ToDictionary(r => r.Key, r => r.Value!.Value);
    }

    public IReadOnlyList<SettingChangeRow> History()
    {
        using var c = database.Open();
        return [.. c.Query<SettingChangeRow>($"select {Columns} from setting_change order by id desc limit 500")];
    }

    /// <summary>All or none.</summary>
    /// <summary>How often this server kept a change: what may be a moment behind is watched by it, without asking the store.</summary>
    public long Kept => Interlocked.Read(ref _kept);

    private long _kept;

    public void Put(IReadOnlyList<NewSetting> settings, string reason, string by)
    {
        database.Change(
            (c, t) =>
            {
                foreach (var s in settings)
                    c.Execute(
                        "insert into setting_change (key, value, reason, by_initials, at) values (@Key, @Value, @reason, @by, @at)",
                        new
                        {
                            s.Key,
                            s.Value,
                            reason,
                            by,
                            at = Stamp.Format(time),
                        },
                        t
                    );
                return 0;
            }
        );
        Interlocked.Increment(ref _kept);
    }
}
