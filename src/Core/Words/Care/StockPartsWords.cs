namespace FaithfulBracket.Core.Words.Care;

/// <summary>Sentences of stock parts.</summary>
internal static class StockPartsWords
{
    public static Message NeededToPutBackForWarranty(string subject) =>
        $"Needed to put the {subject} back for a warranty claim.";

    public static Message FittedAgainNotToBeStored(string again) => $"Fitted again, not to be stored: {again}.";

    public static Message BackPlatesPadsStay => $"The back plate's pads stay with it, undisturbed.";

    public static Message PadsAreReplacedWhenItGoes => $"Its pads are replaced when it goes back.";
}
