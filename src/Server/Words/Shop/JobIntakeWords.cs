namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of job intake.</summary>
internal static class JobIntakeWords
{
    public static string DrawerHasNoPaste(string p) => $"The drawer has no paste \"{p}\".";

    public static string LibraryHasNoMachine(string? machineId) => $"The library has no machine \"{machineId}\".";

    public static string CardIsOneOfSeveralBoards(string key) =>
        $"Card {key} is one of several boards: such cards are jobs of their own, not yet part of a machine.";

    public static string JobIsNotAboutOneBoard(int number) =>
        $"Job {number} is not about one board: it cannot stand in a machine.";

    public static string CardIsJob(int at, int number) => $"Its card {at} is job {number}, which is not here.";

    public const string ExpectedTurnFrom = "Expected a turn from −360 to 360°.";

    public static string LibraryHasNoProcessor(string? processorId) =>
        $"The library has no processor \"{processorId}\".";

    public const string CardHasNoSocket = "A card has no socket: leave the seat out.";

    public static string OrderHasNoBoard(string? on) => $"The order has no board \"{on}\".";

    public static string NamesNoSocket(string board) => $"\"{board}\" names no socket: a processor cannot lie on it.";

    public static string LibraryHasNoSocket(string socket) =>
        $"The library has no socket \"{socket}\": drop its document first.";

    public static string LibraryHasNoCard(string card) => $"The library has no card \"{card}\".";

    public static string LibraryHasNoBoard(string? boardId) => $"The library has no board \"{boardId}\".";

    public static string ExpectedToBoardsFound(int mostPieces, int pieceCount) =>
        $"Expected 1 to {mostPieces} boards, found {pieceCount}.";

    public static string LibraryHasNoBlock(string b) => $"The library has no block \"{b}\".";

    public static string ExpectedAtMostBlocksFound(int mostPairs, int pairCount) =>
        $"Expected at most {mostPairs} blocks, found {pairCount}.";

    public static string LibraryHasNoBlock2(string? blockId) => $"The library has no block \"{blockId}\".";

    public const string ExpectedToLettersAndDigits = "Expected 1 to 12 letters and digits.";

    public static string OrderHasNoBoard2(string on) => $"The order has no board \"{on}\".";
}
