namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of keeping endpoints.</summary>
internal static class BackupEndpointsWords
{
    public const string BackupWasStoppedBefore = "The backup was stopped before it was whole: nothing of it was kept.";

    public static string MBAreFreeOnDisk(long free) => $"{free} MB are free on the disk: free some space.";

    public static string LastBackupFailed(string trouble) => $"The last backup failed: {trouble}";

    public const string ThereIsNoGoodBackup = "There is no good backup. Check the folder backups and the clock.";

    public const string HourlyBackupIsOverdue = "The hourly backup is overdue. Check the folder backups and the clock.";
}
