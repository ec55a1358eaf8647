namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of board reader.</summary>
internal static class BoardReaderWords
{
    public static string IsNoPartOfThisBoard(string lid) => $"\"{lid}\" is no part of this board.";
}
