namespace FaithfulBracket.Core.Words.Sockets;

/// <summary>Sentences of direct die.</summary>
internal static class DirectDieWords
{
    public static Message ExpectedAtLeastOneDie =>
        $"Expected at least one die: without one nothing lies under the lid.";

    public static Message ExpectedLidWithoutOneThere => $"Expected a lid: without one there is nothing to take off.";

    public static Message DiesPowerSharesSum(double shareCount) =>
        $"The dies' power shares sum to {shareCount:0.###}; expected 1.";

    public static Message WithLidOffBlockLands(double gap) =>
        $"With the lid off the block lands on its stops {gap:0.00} mm before it touches: the stops have to come "
        + $"down by as much.";

    public static Message WithLidOffSpringsStandLower(double shimMm) =>
        $"With the lid off the springs stand {shimMm:0.00} mm lower than they are made for: ";

    public static Message SpringsPullOutsideAllDies =>
        $"The springs pull outside all dies: the block tips over. Turn it, or change the springs.";

    public static Message IsNotPressedEverywhere(string part, string whichWay) =>
        $"{part} is not pressed everywhere: the load lies too far off. {whichWay}";

    public static Message WithLidOffBlockMeets(string part, double marginMm) =>
        $"With the lid off the block meets {part} by {marginMm:0.00} mm, however it is turned.";

    public static Message OnContactsAtLeast(double socketLoadN, double contactMinN) =>
        $"{socketLoadN:0} N on the contacts, {contactMinN:0} at least: memory shows it first.";

    public static Message DiesDifferBy(double apart) =>
        $"The dies differ by {apart:0.00} mm: the lower ones get a film as much thicker.";

    public static Message ItPullsTowards(double offMm, double directionDeg) =>
        $"It pulls {offMm:0.0} mm towards {directionDeg:0}°; turn the block so that its stiffer springs lie the "
        + $"other way.";

    public static Message BareInReachOfDrop(int bareCount, string partsLie) =>
        $"{bareCount} bare {partsLie} in reach of a drop: coat them and let it dry before any metal is opened.";

    public static Message LidThatIsOffStaysOff =>
        $"A lid that is off stays off: nothing brings it back, nor the maker's warranty.";

    public static Message WouldCarryOfAtMost(string part, double loadN, double most) =>
        $"{part} would carry {loadN:0} N of at most {most:0}.";

    public static Message WouldBePressed(string part, double peakMPa, double limit) =>
        $"{part} would be pressed with {peakMPa:0.00} MPa of at most {limit:0.00}.";

    public static Message OnContactsAtMost(double socketLoadN, double contactMaxN) =>
        $"{socketLoadN:0} N on the contacts, {contactMaxN:0} at most.";
}
