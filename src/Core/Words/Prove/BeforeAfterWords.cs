namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of before after.</summary>
internal static class BeforeAfterWords
{
    public static Message NothingWasReadYet => $"Nothing was read yet.";

    public static Message ThereIsNoReadingFromBefore =>
        $"There is no reading from before: the gain cannot be calculated.";

    public static Message ThereIsNoReadingFromAfterwards => $"There is no reading from afterwards yet.";

    public static Message PowerDiffersBeforeAndAfter(double beforeW, double afterW) =>
        $"Power differs, {beforeW:0} W before and {afterW:0} W after: both are given at {beforeW:0} W. What the "
        + $"chip saves by being cooler is not the block's.";

    public static Message DifferenceIsWithinWhatSensors => $"The difference is within what the sensors can tell.";

    public static Message BeforeAndAfterAreUnlikeLoads(double beforeW, double afterW) =>
        $"{beforeW:0} W before and {afterW:0} W after are unlike loads: measure again at the same.";

    public static Message RoomsOfAndAreTooFar(double beforeC, double afterC) =>
        $"Rooms of {beforeC:0} and {afterC:0} °C are too far apart: fans and pumps behave otherwise.";

    public static Message InletsStandAndOverTheirRooms(double bi, double ai) =>
        $"The inlets stand {bi:0} and {ai:0} K over their rooms: the loops are unlike.";
}
