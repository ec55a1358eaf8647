namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of block heat.</summary>
internal static class BlockHeatWords
{
    public const string NoLandOfBlockLies = "No land of the block lies on a die: its curve says nothing here.";

    public const string DiesLandLiesBesideBlocksPlate = "The die's land lies beside the block's plate.";

    public static string NoCoolingOfThisPlateGives(double perWatt) =>
        $"No cooling of this plate gives the {perWatt:0.000} K/W that its curve says: base, fin area or curve do "
        + "not go together.";

    public const string BlockStatesNoResistanceOverFlow =
        "Cannot predict temperatures: the block document has no resistance-versus-flow data.";

    public const string NoPartStatesHeatItGives = "No part states the heat it gives: the power cannot be shared out.";
}
