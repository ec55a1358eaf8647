using FaithfulBracket.Store.Keeping;

namespace FaithfulBracket.Server.Shop;

/// <summary>Looks every minute whether the hour's backup is due.</summary>
internal sealed class HourlyBackup(BackupRing ring, TimeProvider time, ILogger<HourlyBackup> log) : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromMinutes(1);

    /// <summary>Why the last one failed; null when it did not.</summary>
    public string? Trouble { get; private set; }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            await Task.Delay(Look, time, stoppingToken);
            try
            {
                if (ring.Due())
                    log.LogInformation("Backed up to {File}", (await Task.Run(ring.Add, stoppingToken)).Name);
                Trouble = null;
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                Trouble = e.Message;
                log.LogError(e, "The hourly backup failed");
            }
        }
    }
}
