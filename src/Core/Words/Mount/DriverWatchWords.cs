namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of driver watch.</summary>
internal static class DriverWatchWords
{
    public static Message StopAfterOf(double peak, double angle, double angleDeg) =>
        $"Stop: {peak:0.0} N·cm after {angle:0}° of {angleDeg:0}°. The thread is crossed or the screw has run out "
        + $"of depth. Back it out by hand.";

    public static Message TooFarAndAndWereDue(
        double turnedDeg,
        double peakNcm,
        double dueDeg,
        double dueNcm,
        double backDeg
    ) =>
        $"Too far: {turnedDeg:0}° and {peakNcm:0.0} N·cm, {dueDeg:0}° and {dueNcm:0.0} N·cm were due. Turn back "
        + $"{backDeg:0}° before the next screw.";

    public static Message ItTurnsWithoutLoad(double peak, double torqueNm) =>
        $"It turns without load: {peak:0.0} N·cm, {torqueNm:0.0} expected. Is it in its hole, with its spring and "
        + $"washer?";

    public static Message ThisScrewWasNotTurned =>
        $"This screw was not turned: it was skipped. Turn it before the next.";
}
