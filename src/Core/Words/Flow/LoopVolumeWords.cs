namespace FaithfulBracket.Core.Words.Flow;

/// <summary>Sentences of loop volume.</summary>
internal static class LoopVolumeWords
{
    public static Message AboutHoseReservoirRadiatorInBlocks(
        double totalMl,
        double offMl,
        double hoseMl,
        double reservoirMl,
        double radiatorMl,
        double blocksMl
    ) =>
        $"About {totalMl:0} ± {offMl:0} mL: hose {hoseMl:0}, reservoir {reservoirMl:0}, radiator {radiatorMl:0}, "
        + $"{blocksMl:0} in blocks by their size.";
}
