namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of work order endpoint.</summary>
internal static class WorkOrderEndpointWords
{
    public const string LimitsBodyOfMiBBoardsBlocks = "Limits: a body of 4 MiB, 24 boards, 24 blocks.";

    public static string ExpectedToBlocksFound(int maxPairs, int pairCount) =>
        $"Expected 1 to {maxPairs} blocks, found {pairCount}.";

    public static string ExpectedToBoardsOrCardFound(int maxPieces, int boardCount) =>
        $"Expected 1 to {maxPieces} boards or a card, found {boardCount}.";
}
