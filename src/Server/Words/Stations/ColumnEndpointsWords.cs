namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of column endpoints.</summary>
internal static class ColumnEndpointsWords
{
    public static string SayWhichColumnHolds(string name) => $"Say which column holds {name}.";

    public static string ColumnIsStated(int key, string twice) => $"Column {key} is told to be {twice}: one of them.";
}
