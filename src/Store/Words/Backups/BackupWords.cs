namespace FaithfulBracket.Store.Words.Backups;

/// <summary>Sentences of backup.</summary>
internal static class BackupWords
{
    public static string HoldsShopAlready(string target) =>
        $"{target} holds a shop already: nothing was changed. Name an empty folder, or move that shop away first.";

    public static string WasWrittenByNewerVersion(string file) =>
        $"{file} was written by a newer version of this program: nothing was changed. Restore it with that "
        + "version.";

    public static string DatabaseInIsDamaged(string file, string? whole) =>
        $"The database in {file} is damaged: {whole}.";

    public static string TableInIs(string table, string file) => $"Table {table} in {file} is not what was backed up.";

    public static string IsNotWholeBackup(string file, string message) => $"{file} is not a complete backup: {message}";

    public static string ThereIsNoFile(string file) => $"There is no file {file}.";

    public static string IsNotBackupOfShop(string file) => $"{file} is not a backup of a shop.";

    public static string WasWrittenByNewerVersionOfThisProgram(string file) =>
        $"{file} was written by a newer version of this program.";

    public static string IsNotFileOfBackup(string file) => $"\"{file}\" is not a file of a backup.";

    public static string IsMissingInBackup(string file) => $"{file} is missing in the backup.";

    public static string IsNotWhatWasBackedUp(string file) => $"{file} is not what was backed up: its hash is another.";
}
