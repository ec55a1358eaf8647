using System.Text.Json.Serialization;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using FaithfulBracket.Store.Backups;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>How the shop's data is kept.</summary>
/// <param name="Folder">Where the ring lies.</param>
/// <param name="Trouble">Why the last backup failed; null when it did not.</param>
/// <param name="Writing">The share of the backup under way that is done, 0 to 1; null while none is written.</param>
internal sealed record BackupView(
    string Folder,
    IReadOnlyList<RingEntry> Backups,
    string? Trouble,
    bool ReadOnly,
    long FreeMb,
    double? Writing
);

/// <param name="Status">well, or ill.</param>
/// <param name="LastBackup">When the last good backup was made; null where there is none.</param>
/// <param name="LastBackupAgeMin">Its age in minutes.</param>
/// <param name="Why">What is wrong; null when nothing is.</param>
internal sealed record HealthView(
    string Status,
    string? Why,
    string Version,
    long Jobs,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] string? LastBackup,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? LastBackupAgeMin,
    long FreeMb,
    bool ReadOnly
);

/// <summary>Backups beside the shop, the doctor's look, and health for whoever runs it.</summary>
internal static class BackupEndpoints
{
    /// <summary>How long a page waits for a backup, and how long pictures are read through for it.</summary>
    private static readonly TimeSpan MaxWait = TimeSpan.FromSeconds(1.5),
        PicturesS = TimeSpan.FromSeconds(1.5);

    /// <summary>Less free space than this is told, MB.</summary>
    private const long MinFreeMb = 200;

    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<Http.ConcurrencyLimiter>();
        var keeping = app.MapGroup("/api/keeping").WithTags("keeping");
        keeping.MapGet(
            "",
            (ShopDatabase shop, BackupRing ring, HourlyBackup hourly) => TypedResults.Ok(View(shop, ring, hourly))
        );
        keeping.MapPost("/backups", AddAsync);
        keeping.MapDelete(
            "/backups/under-way",
            (BackupRing ring) =>
            {
                ring.Stop();
                return TypedResults.NoContent();
            }
        );
        // a backup holds the key that seals records
        keeping
            .MapGet("/backups/{name}", Download)
            .Produces<string>(200, "application/zip")
            .AddEndpointFilter(DeviceEndpoints.OnlyHereAsync);
        keeping
            .MapGet("/doctor", (Doctor doctor) => TypedResults.Ok(doctor.Look(mend: false, PicturesS)))
            .AddEndpointFilter(queue.QueueAsync);
        app.MapGet("/health", Health).WithTags("keeping");
    }

    /// <summary>The backup where it is soon written, else where to look how far it is.</summary>
    private static async Task<Results<Ok<RingEntry>, Accepted>> AddAsync(BackupRing ring, CancellationToken cancel)
    {
        var writing = ring.AddAsync();
        await Task.WhenAny(writing, Task.Delay(MaxWait, cancel));
        if (writing.IsCanceled)
            throw new ConcurrencyException(BackupEndpointsWords.BackupWasStoppedBefore);
        return writing.IsCompleted ? TypedResults.Ok(await writing) : TypedResults.Accepted("/api/keeping");
    }

    private static BackupView View(ShopDatabase shop, BackupRing ring, HourlyBackup hourly) =>
        new(ring.Folder, ring.All(), hourly.Trouble, shop.ReadOnly, FreeMb(shop), ring.Share);

    private static Results<PhysicalFileHttpResult, NotFound> Download(string name, BackupRing ring) =>
        ring.PathOf(name) is { } path
            ? TypedResults.PhysicalFile(path, "application/zip", name)
            : TypedResults.NotFound();

    private static Results<Ok<HealthView>, JsonHttpResult<HealthView>> Health(
        ShopDatabase shop,
        Store.Jobs jobs,
        BackupRing ring,
        HourlyBackup hourly,
        TimeProvider time
    )
    {
        string? why = null;
        long count = 0;
        try
        {
            count = jobs.Count();
        }
        catch (Microsoft.Data.Sqlite.SqliteException e)
        {
            why = DatabaseError.From(e, shop.File)?.Sentence ?? e.Message;
        }
        var free = FreeMb(shop);
        if (free < MinFreeMb)
            why ??= BackupEndpointsWords.MBAreFreeOnDisk(free);
        why ??= hourly.Trouble is { } trouble ? BackupEndpointsWords.LastBackupFailed(trouble) : null;
        var last = ring.LastGood;
        if (ring.Overdue(hourly.StartedAt))
            why ??= last is null
                ? BackupEndpointsWords.ThereIsNoGoodBackup
                : BackupEndpointsWords.HourlyBackupIsOverdue;
        var view = new HealthView(
            why is null ? "well" : "ill",
            why,
            typeof(BackupEndpoints).Assembly.GetName().Version?.ToString() ?? "0",
            count,
            last?.UtcDateTime.ToString("O"),
            last is { } at ? Math.Round((time.GetUtcNow() - at).TotalMinutes, 1) : null,
            free,
            shop.ReadOnly
        );
        return why is null
            ? TypedResults.Ok(view)
            : TypedResults.Json(view, statusCode: StatusCodes.Status503ServiceUnavailable);
    }

    private static long FreeMb(ShopDatabase shop) =>
        new DriveInfo(Path.GetDirectoryName(shop.File)!).AvailableFreeSpace / 1024 / 1024;
}
