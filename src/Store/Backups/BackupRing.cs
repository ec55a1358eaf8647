using System.Globalization;

namespace FaithfulBracket.Store.Backups;

/// <summary>A backup of the ring.</summary>
public sealed record RingEntry(string Name, string At, long Bytes);

/// <summary>
/// Backups beside the shop, one an hour while it is worked in; the oldest go when there are too many or they take too
/// much.
/// </summary>
public sealed class BackupRing(ShopDatabase shop, TimeProvider time, long mostBytes = BackupRing.DefaultBytes)
    : IDisposable
{
    public const string FolderName = "backups";
    public const long DefaultBytes = 2L * 1024 * 1024 * 1024;
    public const int MaxKept = 24,
        MinKept = 2;
    private const string Prefix = "shop-",
        Suffix = ".zip",
        Pattern = "yyyyMMdd-HHmmss";

    private static readonly TimeSpan Every = TimeSpan.FromHours(1);

    private readonly Lock _one = new();

    public string Folder => Path.Combine(Path.GetDirectoryName(shop.File)!, FolderName);

    /// <summary>
    /// Newest first; one that was made while the clock was ahead says nothing about now and comes last.
    /// </summary>
    public IReadOnlyList<RingEntry> All()
    {
        if (!Directory.Exists(Folder))
            return [];
        var now = Latest;
        return
        [
            .. new DirectoryInfo(Folder)
                .EnumerateFiles($"{Prefix}*{Suffix}")
                .OrderBy(f => f.LastWriteTimeUtc > now || IsNamedAfter(f.Name, now))
                .ThenByDescending(f => f.Name, StringComparer.Ordinal)
                .Select(f => new RingEntry(f.Name, Stamp.Format(f.LastWriteTimeUtc), f.Length)),
        ];
    }

    /// <summary>
    /// When the last good backup was made; null where there is none, or only ones from a clock that was ahead.
    /// </summary>
    public DateTimeOffset? LastGood =>
        All() is [var newest, ..] && !IsNamedAfter(newest.Name, Latest) && Instant(newest) is var at && at <= Latest
            ? at
            : null;

    /// <summary>A file may be stamped a little later than the clock that is read here.</summary>
    private DateTime Latest => time.GetUtcNow().UtcDateTime.AddMinutes(1);

    private static DateTimeOffset Instant(RingEntry e) =>
        DateTimeOffset.Parse(e.At, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);

    private static bool IsNamedAfter(string name, DateTime now) =>
        string.CompareOrdinal(name, $"{Prefix}{now.ToString(Pattern, CultureInfo.InvariantCulture)}{Suffix}") > 0;

    /// <summary>A backup of the ring by its name; null where it holds none such.</summary>
    public string? PathOf(string name) => All().Any(e => e.Name == name) ? Path.Combine(Folder, name) : null;

    /// <summary>Whether the newest is older than an hour and something was written since.</summary>
    public bool Due() =>
        !shop.ReadOnly && (LastGood is not { } last || time.GetUtcNow() - last >= Every && Written() > last);

    /// <summary>Whether a backup has been due for so long that something keeps it from being made.</summary>
    public bool Overdue(DateTimeOffset started) =>
        !shop.ReadOnly
        && (
            LastGood is { } last
                ? time.GetUtcNow() - last >= 2 * Every && Written() > last && time.GetUtcNow() - started >= Every
                : time.GetUtcNow() - started >= Every
        );

    /// <summary>When the database was written last.</summary>
    private DateTimeOffset Written() =>
        new[] { shop.File, $"{shop.File}-wal" }.Where(File.Exists).Max(File.GetLastWriteTimeUtc);

    private readonly Lock _gate = new();
    private Task<RingEntry>? _writing;
    private CancellationTokenSource? _stop;
    private double _share;

    /// <summary>The share of the backup under way that is done, 0 to 1; null while none is written.</summary>
    public double? Share => _writing is { IsCompleted: false } ? Volatile.Read(ref _share) : null;

    /// <summary>Why the last one failed; null when it did not, or was stopped.</summary>
    public string? Trouble { get; private set; }

    /// <summary>Writes one, or joins the one under way; it goes on when the one who asked has left.</summary>
    public Task<RingEntry> AddAsync()
    {
        lock (_gate)
        {
            if (_writing is { IsCompleted: false } one)
                return one;
            _stop?.Dispose();
            _stop = new();
            Volatile.Write(ref _share, 0);
            var stop = _stop.Token;
            return _writing = Task.Run(() => Add(stop), stop);
        }
    }

    /// <summary>Ends the backup under way; what was written of it is taken away.</summary>
    public void Stop()
    {
        lock (_gate)
            _stop?.Cancel();
    }

    /// <summary>Writes one now and lets the oldest go.</summary>
    public RingEntry Add(CancellationToken cancel = default)
    {
        lock (_one)
            try
            {
                TakeAwayParts();
                var name =
                    $"{Prefix}{time.GetUtcNow().UtcDateTime.ToString(Pattern, CultureInfo.InvariantCulture)}{Suffix}";
                Backup.Write(
                    shop,
                    Path.Combine(Folder, name),
                    time,
                    share => Volatile.Write(ref _share, share),
                    cancel
                );
                LetGo();
                Trouble = null;
                return All().First(e => e.Name == name);
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                Trouble = e.Message;
                throw;
            }
    }

    /// <summary>What a backup left that was being written when the power went: only one is written at a time.</summary>
    private void TakeAwayParts()
    {
        if (!Directory.Exists(Folder))
            return;
        foreach (var part in Directory.EnumerateFiles(Folder, $"{Prefix}*{Suffix}.*.part*"))
            File.Delete(part);
        foreach (var part in Directory.EnumerateDirectories(Folder, $"{Prefix}*{Suffix}.*.part*"))
            Directory.Delete(part, recursive: true);
    }

    private void LetGo()
    {
        var kept = 0;
        long bytes = 0;
        foreach (var e in All())
        {
            bytes += e.Bytes;
            if (++kept > MinKept && (kept > MaxKept || bytes > mostBytes))
                File.Delete(Path.Combine(Folder, e.Name));
        }
    }

    /// <summary>A backup under way ends with the shop; what was written of it is taken away.</summary>
    public void Dispose()
    {
        lock (_gate)
        {
            _stop?.Cancel();
            _stop?.Dispose();
            _stop = null;
        }
    }
}
