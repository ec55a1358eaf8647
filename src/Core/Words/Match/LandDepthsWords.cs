namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of land depths.</summary>
internal static class LandDepthsWords
{
    public const string BoardHasNoDieOnFront = "The board has no die on its front.";

    public const string BlockHasNoSuchLand = "The block has no such land.";

    public const string ReadDownToDieLand = "Read down to the die land first.";

    public const string NobodyHasMeasuredHowHighPart =
        "Nobody has measured how high the part under this land stands: use the gauge.";

    public const string PartsUnderThisLand = "The parts under this land are not equally high: use the gauge.";
}
