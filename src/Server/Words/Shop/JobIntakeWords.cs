namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of job intake.</summary>
internal static class JobIntakeWords
{
    public static string DrawerHasNoPaste(string paste) => $"The drawer has no paste \"{paste}\".";

    public static string CardIsOneOfSeveralBoards(string key) =>
        $"Card {key} is one of several boards: such cards are jobs of their own, not yet part of a machine.";

    public static string JobIsNotAboutOneBoard(int number) =>
        $"Job {number} is not about one board: it cannot stand in a machine.";

    public static string CardIsJob(int at, int number) => $"Its card {at} is job {number}, which is not here.";

    public const string ExpectedTurnFrom = "Expected a turn from −360 to 360°.";

    public static string LibraryHasNoProcessor(string? processorId) =>
        $"The library has no processor \"{processorId}\".";

    public const string CardHasNoSocket = "A card has no socket: leave the seat out.";

    public static string NamesNoSocket(string board) => $"\"{board}\" names no socket: a processor cannot lie on it.";

    public static string LibraryHasNoSocket(string socket) =>
        $"The library has no socket \"{socket}\": drop its document first.";

    public static string ExpectedToBoardsFound(int maxPieces, int pieceCount) =>
        $"Expected 1 to {maxPieces} boards, found {pieceCount}.";

    public static string ExpectedAtMostBlocksFound(int maxPairs, int pairCount) =>
        $"Expected at most {maxPairs} blocks, found {pairCount}.";

    public const string ExpectedToLettersAndDigits = "Expected 1 to 12 letters and digits.";
}
