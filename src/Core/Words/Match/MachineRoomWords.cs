namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of machine room.</summary>
internal static class MachineRoomWords
{
    public static Message CardWithBlockTakesSlots(
        string card,
        int firstSlot,
        int lastSlot,
        string otherCard,
        int otherCardSlot
    ) =>
        $"Card {card} with its block takes slots {firstSlot} to {lastSlot}; card {otherCard} stands in slot "
        + $"{otherCardSlot}.";

    public static Message PortOfCardAndPort(
        string port,
        string card,
        string otherPort,
        string otherCard,
        double offsetMm,
        double maxOffsetMm
    ) =>
        $"Port {port} of card {card} and port {otherPort} of card {otherCard} stand {offsetMm:0.0} mm beside each "
        + $"other; a rigid link takes {maxOffsetMm:0.0} mm.";

    public static Message PortOfCardAndPortOfCard(
        string port,
        string card,
        string otherPort,
        string otherCard,
        double distanceMm,
        double minMm,
        double maxMm
    ) =>
        $"Port {port} of card {card} and port {otherPort} of card {otherCard} lie {distanceMm:0.0} mm apart; the "
        + $"link reaches from {minMm:0.0} to {maxMm:0.0} mm.";
}
