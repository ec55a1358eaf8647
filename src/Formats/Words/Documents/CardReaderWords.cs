namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of card reader.</summary>
internal static class CardReaderWords
{
    public static string ExpectedToBoardsFound(int maxBoards, int boardCount) =>
        $"Expected 1 to {maxBoards} boards, found {boardCount}.";

    public const string FirstBoardIsFrame = "The first board is the frame: it has no pose of its own.";

    public const string MissingSayHowThisBoardSits = "Missing: say how this board sits to the first.";

    public static string IsNotBoardOfThisCard(string board) => $"\"{board}\" is not a board of this card.";
}
