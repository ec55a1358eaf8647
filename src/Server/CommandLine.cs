using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using FaithfulBracket.Store.Backups;

namespace FaithfulBracket.Server;

/// <summary>What is done on a shop's folder without serving it: back up, check a backup, restore, doctor.</summary>
internal static class CommandLine
{
    /// <returns>The exit code; null where the shop is to be served.</returns>
    public static int? Run(IConfiguration configuration, ShopDatabase shop)
    {
        try
        {
            if (configuration["backup"] is { } to)
                return BackUp(shop, to);
            if (configuration["check-backup"] is { } file)
                return Report("whole", file, Backup.Check(file));
            if (configuration["restore"] is { } from)
                return Report("restored", from, Backup.Restore(from, Path.GetDirectoryName(shop.File)!));
            return configuration["doctor"] is { } how ? Examine(shop, how == "mend") : null;
        }
        catch (Exception e)
            when (e is BackupFaultException or IOException or UnauthorizedAccessException
                || DatabaseError.From(e, shop.File) is not null
            )
        {
            Console.Error.WriteLine(DatabaseError.From(e, shop.File)?.Sentence ?? e.Message);
            return 1;
        }
    }

    private static int BackUp(ShopDatabase shop, string file)
    {
        if ((shop.Look() ?? Missing(shop)) is { } trouble)
        {
            Console.Error.WriteLine(trouble.Sentence);
            return 1;
        }
        return Report(CommandLineWords.WrittenAndReadBack, file, Backup.Write(shop, file, TimeProvider.System));
    }

    private static DatabaseError? Missing(ShopDatabase shop) =>
        File.Exists(shop.File) ? null : new("empty", CommandLineWords.ThereIsNoShop(Path.GetDirectoryName(shop.File)));

    private static int Report(string what, string file, BackupManifest m)
    {
        Console.WriteLine(
            CommandLineWords.OfRowsInTablesPicturesEvery(what, file, m.At, m.Rows, m.Tables.Count, m.Files.Count - 1)
        );
        foreach (var missing in m.Missing)
            Console.WriteLine(CommandLineWords.NotInItBecause(missing));
        return 0;
    }

    private static int Examine(ShopDatabase shop, bool mend)
    {
        var findings = new Doctor(shop, TimeProvider.System, d => LibraryDocuments.Digest(d)).Look(mend);
        foreach (var f in findings)
            Console.WriteLine(
                $"{(f.Fault ? "wrong " : f.Mended is null ? "good  " : "mended")} {f.Text}{(f.Mended is null ? "" : $" {f.Mended}.")}"
            );
        if (File.Exists(shop.File) && shop.Look() is null)
        {
            using var c = shop.Open();
            foreach (var t in RowDigests.Compute(c))
                Console.WriteLine($"table  {t.Table} {t.Rows} {t.Sha256[..16]}");
        }
        return findings.Any(f => f.Fault) ? 1 : 0;
    }
}
