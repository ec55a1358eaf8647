namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of board reader.</summary>
internal static class BoardReaderWords
{
    public static string IsNotPartOfThisBoard(string lid) => $"\"{lid}\" is not a part of this board.";
}
