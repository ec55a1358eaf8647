using System.Globalization;

namespace FaithfulBracket.Store.Keeping;

/// <summary>A backup of the ring.</summary>
public sealed record RingEntry(string Name, string At, long Bytes);

/// <summary>
/// Backups beside the shop, one an hour while it is worked in; the oldest go when there are too many or they take too much.
/// </summary>
public sealed class BackupRing(ShopDatabase shop, TimeProvider time, long mostBytes = BackupRing.DefaultBytes)
{
    public const string FolderName = "backups";
    public const long DefaultBytes = 2L * 1024 * 1024 * 1024;
    public const int MostKept = 24,
        LeastKept = 2;
    private const string Prefix = "shop-",
        Suffix = ".zip",
        Pattern = "yyyyMMdd-HHmmss";

    private static readonly TimeSpan Every = TimeSpan.FromHours(1);

    private readonly Lock _one = new();

    public string Folder => Path.Combine(Path.GetDirectoryName(shop.File)!, FolderName);

    /// <summary>Newest first.</summary>
    public IReadOnlyList<RingEntry> All() =>
        Directory.Exists(Folder)
            ?
            [
                .. new DirectoryInfo(Folder)
                    .EnumerateFiles($"{Prefix}*{Suffix}")
                    .OrderByDescending(f => f.Name, StringComparer.Ordinal)
                    .Select(f => new RingEntry(f.Name, Stamp.Of(f.LastWriteTimeUtc), f.Length)),
            ]
            : [];

    /// <summary>A backup of the ring by its name; null where it holds none such.</summary>
    public string? PathOf(string name) => All().Any(e => e.Name == name) ? Path.Combine(Folder, name) : null;

    /// <summary>Whether the newest is older than an hour and something was written since.</summary>
    public bool Due() =>
        !shop.ReadOnly
        && (
            All() is not [var newest, ..]
            || time.GetUtcNow() - DateTimeOffset.Parse(newest.At, CultureInfo.InvariantCulture) >= Every
                && Written() > File.GetLastWriteTimeUtc(Path.Combine(Folder, newest.Name))
        );

    /// <summary>When the database was written last.</summary>
    private DateTime Written() =>
        new[] { shop.File, $"{shop.File}-wal" }.Where(File.Exists).Max(File.GetLastWriteTimeUtc);

    /// <summary>Writes one now and lets the oldest go.</summary>
    public RingEntry Add()
    {
        lock (_one)
        {
            var name =
                $"{Prefix}{time.GetUtcNow().UtcDateTime.ToString(Pattern, CultureInfo.InvariantCulture)}{Suffix}";
            Backup.Write(shop, Path.Combine(Folder, name), time);
            LetGo();
            return All().First(e => e.Name == name);
        }
    }

    private void LetGo()
    {
        var kept = 0;
        long bytes = 0;
        foreach (var e in All())
        {
            bytes += e.Bytes;
            if (++kept > LeastKept && (kept > MostKept || bytes > mostBytes))
                File.Delete(Path.Combine(Folder, e.Name));
        }
    }
}
