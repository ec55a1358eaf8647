namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of plate balance.</summary>
internal static class PlateBalanceWords
{
    public static Message NothingPullsPlateDownOrNothing =>
        $"Nothing pulls the plate down or nothing carries it: no balance exists.";

    public static Message PlateDoesNotComeToRest(double residual) =>
        $"The plate does not come to rest: {residual:g3} N are left over. Check springs, stops and pad curves.";
}
