using System.Globalization;

namespace FaithfulBracket.Store.Backups;

/// <summary>
/// Backups from before an upgrade: written before the first migration of a newer version, and kept apart from the
/// hourly ones.
/// </summary>
public static class UpgradeBackups
{
    private const string Prefix = "before-upgrade-";
    private const int MaxKept = 3;

    /// <param name="from">The newest migration the file had.</param>
    internal static void Write(ShopDatabase shop, string from, TimeProvider time)
    {
        var folder = Path.Combine(Path.GetDirectoryName(shop.File)!, BackupRing.FolderName);
        var version = from.Split('.') is [.., var number, _] ? number : "0";
        var stamp = time.GetUtcNow().UtcDateTime.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture);
        Backup.Write(shop, Path.Combine(folder, $"{Prefix}{stamp}-{version}.zip"), time);
        foreach (var old in All(folder).Skip(MaxKept))
            File.Delete(old);
    }

    /// <summary>Newest first.</summary>
    private static IEnumerable<string> All(string folder) =>
        Directory.EnumerateFiles(folder, $"{Prefix}*.zip").OrderDescending(StringComparer.Ordinal);
}
