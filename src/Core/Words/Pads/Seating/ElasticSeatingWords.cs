namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of elastic seating.</summary>
internal static class ElasticSeatingWords
{
    public static Message BoardsStiffnessIsUnknown => $"The board's stiffness can't be calculated from this outline.";

    public static Message PlateDoesNotComeToRest =>
        $"The plate does not come to rest on the bending board. Check springs, stops and pad curves.";
}
