namespace FaithfulBracket.Formats.Words.Drawers;

/// <summary>Sentences of drawer table.</summary>
internal static class DrawerTableWords
{
    public static string NoHeaderWithColumnsId(string elsewhere) =>
        $"No header with the columns id and count, amount or gramsLeft was found.{elsewhere}";

    public const string TableHasNoRows = "The table has no rows.";

    public static string LineKindExpectedFound(int line, string kinds, string shortText) =>
        $"Line {line}, kind: expected {kinds}, found \"{shortText}\".";
}
