namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of pad choice.</summary>
internal static class PadChoiceWords
{
    public static Message PadMaterialIsNotKnown(string material) =>
        $"Pad material \"{material}\" is not known: give it in materials or add it to the drawer.";
}
