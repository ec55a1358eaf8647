namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of sink steps.</summary>
internal static class SinkStepsWords
{
    public static Message StickOfOn(string aSink, string size, string kind, string on) =>
        $"Stick {aSink} of {size} on the {kind}{on}";

    public static Message FilmOffStraightDownOntoClean =>
        $"Film off, straight down onto the clean face, fins along the air, ten seconds under a finger each.";

    public static Message LongSideAcross(string turned) => $" Its long side across on {turned}.";

    public static Message HottestWillBeInAir(string part, double temperatureC, double airC) =>
        $" Hottest will be {part}, {temperatureC:0} °C in air of {airC:0} °C";

    public static Message SinkThatComesOffFallsOnto =>
        $"A sink that comes off falls onto bare solder: pull each once, gently.";

    public static Message ItDoesNotTurnUnderFingertip =>
        $"It does not turn under a fingertip and touches neither its neighbours nor the block.";

    public static Message SinkIsOn => $"Sink is on";

    public static Message SinksOn(int sinkCount) => $"{sinkCount} sinks on";
}
