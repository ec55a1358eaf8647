using FaithfulBracket.Store.Backups;

namespace FaithfulBracket.Server.Shop;

/// <summary>Looks every minute whether the hour's backup is due.</summary>
internal sealed class HourlyBackup(BackupRing ring, TimeProvider time, ILogger<HourlyBackup> log) : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromMinutes(1);

    /// <summary>Since when backups are made.</summary>
    public DateTimeOffset StartedAt { get; } = time.GetUtcNow();

    /// <summary>Why it could not be looked whether one is due; null when it could.</summary>
    private string? _look;

    /// <summary>Why the last backup failed; null when it did not.</summary>
    public string? Trouble => _look ?? ring.Trouble;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            await Task.Delay(Look, time, stoppingToken);
            try
            {
                if (ring.Due())
                    log.LogInformation("Backed up to {File}", (await ring.AddAsync().WaitAsync(stoppingToken)).Name);
                _look = null;
            }
            catch (OperationCanceledException) when (!stoppingToken.IsCancellationRequested)
            {
                log.LogInformation("The hourly backup was stopped; it is looked at again in a minute");
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                _look = e.Message;
                log.LogError(e, "The hourly backup failed");
            }
        }
    }
}
