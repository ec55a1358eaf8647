namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of machine reader.</summary>
internal static class MachineReaderWords
{
    public static string ExpectedToCardsFound(int maxCards, int cardCount) =>
        $"Expected 1 to {maxCards} cards, found {cardCount}.";

    public static string IsNotCardOfThisMachine(string card) => $"\"{card}\" is not a card of this machine.";

    public const string LinkJoinsTwoCards = "A link joins two cards.";

    public const string ExpectedNoLessThanMinMm = "Expected no less than minMm.";

    public const string SayOneOfJobCard = "Say one of job, card or board.";

    public const string MissingNameBlockThatGoes = "Missing: name the block that goes on it.";
}
