namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of shop database.</summary>
internal static class ShopDatabaseWords
{
    public static string FolderCanNotBeWritten(string? directoryName) =>
        $"The folder {directoryName} cannot be written: no shop can be kept there. Give this program the right to "
        + "write, or name another folder with --data.";
}
