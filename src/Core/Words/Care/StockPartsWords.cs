namespace FaithfulBracket.Core.Words.Care;

/// <summary>Sentences of stock parts.</summary>
internal static class StockPartsWords
{
    public static string NeededToPutBackForWarranty(string subject) =>
        $"Needed to put the {subject} back for a warranty claim.";

    public static string FittedAgainNotToBeStored(string again) => $"Fitted again, not to be stored: {again}.";

    public const string BackPlatesPadsStay = "The back plate's pads stay with it, undisturbed.";

    public const string PadsAreReplacedWhenItGoes = "Its pads are replaced when it goes back.";
}
