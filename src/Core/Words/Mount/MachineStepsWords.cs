namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of machine steps.</summary>
internal static class MachineStepsWords
{
    public static Message StandCardInSlotBracketScrewed(string card, int slot) =>
        $"Stand card {card} in slot {slot}, its bracket screwed loosely";

    public static Message WithBlockItTakesSlots(int firstSlot, int lastSlot) =>
        $"With its block it takes slots {firstSlot} to {lastSlot}.";

    public static Message WithBlockItTakesThisSlot => $"With its block it takes this slot only.";

    public static Message ItSlidesInLevelUntilSlots =>
        $"It slides in level until the slot's latch clicks; the bracket meets the case without a pull.";

    public static Message JoinPortOfCardToPort(
        string port,
        string card,
        string otherPort,
        string otherCard,
        double distanceMm
    ) =>
        $"Join port {port} of card {card} to port {otherPort} of card {otherCard} by a rigid link, drawn to "
        + $"{distanceMm:0.0} mm";

    public static Message ItSealsFromToAndTakes(double minMm, double maxMm, double maxOffsetMm, double offsetMm) =>
        $"It seals from {minMm:0.0} to {maxMm:0.0} mm and takes {maxOffsetMm:0.0} mm beside each other; here it "
        + $"is {offsetMm:0.0} mm. Both O-rings wet, pushed straight; then the brackets firm.";

    public static Message CardThatLeansOnLinkPulls =>
        $"A card that leans on its link pulls at both ports: brackets carry the cards.";

    public static Message JoinedSquareToBoth => $"Joined, square to both";

    public static Message PushedHomeItTurnsByHand =>
        $"Pushed home it turns by hand and does not tip; neither ring is in sight.";

    public static Message InSlot => $"In its slot";
}
