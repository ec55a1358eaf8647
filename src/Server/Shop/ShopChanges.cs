using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// Watches for commits once for all open pages: each page waits for the next change without a connection of its own.
/// </summary>
internal sealed class ShopChanges(ShopDatabase database, TimeProvider time, ILogger<ShopChanges> log)
    : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(300);

    private volatile TaskCompletionSource _next = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>Ends with the next change.</summary>
    public Task Next => _next.Task;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var watch = new CommitWatch(database);
        while (!stoppingToken.IsCancellationRequested)
        {
            await Task.Delay(Look, time, stoppingToken);
            try
            {
                if (watch.Changed())
                    Interlocked
                        .Exchange(ref _next, new(TaskCreationOptions.RunContinuationsAsynchronously))
                        .SetResult();
            }
            catch (Microsoft.Data.Sqlite.SqliteException e)
            {
                log.LogWarning(e, "Changes could not be watched for a moment");
            }
        }
    }
}
