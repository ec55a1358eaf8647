namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of bridging.</summary>
internal static class BridgingWords
{
    public static Message LowerOntoBoardAsOneJoined(string names) =>
        $"Lower {names} onto the board as one, joined as they are";

    public static Message HandOnEach =>
        $"A hand on each: neither leads, and the fitting carries nothing. Line up before contact.";

    public static Message BlockThatHangsFromFittingBends =>
        $"A block that hangs from its fitting bends it or rolls a ring.";

    public static Message JoinAndByFittingPort(
        string block,
        string otherBlock,
        string fitting,
        string port,
        string otherPort
    ) => $"Join {block} and {otherBlock} by fitting {fitting}, port {port} to port {otherPort}";

    public static Message InThisOrder(string port, double lengthMm, double tolMm) =>
        $"In this order: spacer on the fitting, first O-ring in its groove, into port {port}; second O-ring, then "
        + $"the other block onto it by hand, both lying flat. {lengthMm:0.0} mm from port to port, ±{tolMm:0.0} mm.";

    public static Message SlideIntoBothPorts(double lengthMm, double tolMm) =>
        $"Both blocks are home. Fit an O-ring into each groove of the fitting, push it all the way into one port, then draw "
        + $"it back into the other until both rings are out of sight. {lengthMm:0.0} mm from port to port, ±{tolMm:0.0} mm.";

    public static Message StandOnTheBlockThatIsHome(double lengthMm, double tolMm) =>
        $"In this order: spacer on the fitting, first O-ring in its groove, the fitting on the block that is home; second "
        + $"O-ring, then the seal, loose. The other block comes down onto it. {lengthMm:0.0} mm from port to port, ±{tolMm:0.0} mm.";

    public static Message TurnSealWithScrews(string fittings) =>
        $"Turn the seal of {fittings} with them, little by little, alternately.";

    public static Message ORingThatRollsLeaksLater =>
        $"An O-ring that rolls leaks later: wet it, push straight, look all round.";

    public static Message JoinedBothRingsSeated => $"Joined, both rings seated";

    public static Message EvenScrewsOfAndAgainstEach(int screws, string from, string toText) =>
        $"Even the {screws} screws of {from} and {toText} against each other";

    public static Message JoinedBlockThatIsLowerPulls =>
        $"A joined block that is lower pulls the fitting askew: the fitting stands square to both, its rings not "
        + $"in sight.";

    public static Message SquareToBoth => $"Square to both";

    public static Message PeelOuterFilmOff(string narrowPads) =>
        $"Peel the outer film off {narrowPads} first and count. ";
}
