namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of job kinds.</summary>
internal static class JobKindsWords
{
    public static Message TwoDiesOnOneBoard => $"two dies on one board";

    public static Message CardWithPlugInModule => $"card with a plug-in module";

    public static Message CardOfUnknownMake => $"card of unknown make";

    public static Message SeveralCardsInOneMachine => $"several cards in one machine";

    public static Message BackPlateKeptOrCooled => $"back plate kept or cooled";

    public static Message MainboardOnePieceBlock => $"mainboard, one-piece block";

    public static Message ProcessorBlockWithKit => $"processor block with a kit";

    public static Message DirectDieSeveralDies => $"direct die, several dies";
}
