namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of block heat.</summary>
internal static class BlockHeatWords
{
    public static Message NoLandOfBlockLies => $"No land of the block lies on a die: its curve says nothing here.";

    public static Message DiesLandLiesBesideBlocksPlate => $"The die's land lies beside the block's plate.";

    public static Message NoCoolingOfThisPlateGives(double perWatt) =>
        $"No cooling of this plate gives the {perWatt:0.000} K/W that its curve says: base, fin area or curve do "
        + $"not go together.";

    public static Message BlockStatesNoResistanceOverFlow =>
        $"Cannot predict temperatures: the block document has no resistance-versus-flow data.";

    public static Message NoPartStatesHeatItGives =>
        $"No part states the heat it gives: the power cannot be shared out.";
}
