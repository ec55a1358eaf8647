namespace FaithfulBracket.Server.Words;

/// <summary>Sentences of command line.</summary>
internal static class CommandLineWords
{
    public const string WrittenAndReadBack = "written and read back";

    public static string ThereIsNoShop(string? directoryName) => $"There is no shop in {directoryName}.";

    public static string OfRowsInTablesPicturesEvery(
        string what,
        string file,
        string at,
        long rows,
        int tableCount,
        int fileCount
    ) => $"{what}: {file}, of {at}, {rows} rows in {tableCount} tables, {fileCount} pictures, every hash right.";

    public static string NotInItBecause(string missing) => $"not in it, because it was gone from the disk: {missing}";
}
