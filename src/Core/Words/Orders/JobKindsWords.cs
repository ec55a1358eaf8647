namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of job kinds.</summary>
internal static class JobKindsWords
{
    public const string TwoDiesOnOneBoard = "two dies on one board";

    public const string CardWithPlugInModule = "card with a plug-in module";

    public const string CardOfUnknownMake = "card of unknown make";

    public const string SeveralCardsInOneMachine = "several cards in one machine";

    public const string BackPlateKeptOrCooled = "back plate kept or cooled";

    public const string MainboardOnePieceBlock = "mainboard, one-piece block";

    public const string ProcessorBlockWithKit = "processor block with a kit";

    public const string DirectDieSeveralDies = "direct die, several dies";
}
