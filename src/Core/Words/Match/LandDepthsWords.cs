namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of land depths.</summary>
internal static class LandDepthsWords
{
    public static Message BoardHasNoDieOnFront => $"The board has no die on its front.";

    public static Message BlockHasNoSuchLand => $"The block has no such land.";

    public static Message ReadDownToDieLand => $"Read down to the die land first.";

    public static Message NobodyHasMeasuredHowHighPart =>
        $"Nobody has measured how high the part under this land stands: use the gauge.";

    public static Message PartsUnderThisLand => $"The parts under this land are not equally high: use the gauge.";
}
