namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of work order endpoint.</summary>
internal static class WorkOrderEndpointWords
{
    public const string LimitsBodyOfMiBBoardsBlocks = "Limits: a body of 4 MiB, 24 boards, 24 blocks.";

    public static string ExpectedToBlocksFound(int mostPairs, int pairCount) =>
        $"Expected 1 to {mostPairs} blocks, found {pairCount}.";

    public static string ExpectedToBoardsOrCardFound(int mostPieces, int boardCount) =>
        $"Expected 1 to {mostPieces} boards or a card, found {boardCount}.";

    public static string ThereIsNoBoardHere(string on) => $"There is no board \"{on}\" here.";

    public static string ThereIsNoBoardHere2(string? board) => $"There is no board \"{board}\" here.";
}
