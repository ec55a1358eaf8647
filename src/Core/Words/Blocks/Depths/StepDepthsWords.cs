namespace FaithfulBracket.Core.Words.Blocks.Depths;

/// <summary>Sentences of step depths.</summary>
internal static class StepDepthsWords
{
    public static Message LimitsReadingsOfOneLandBody(int maxReadings, int maxOfOneLand) =>
        $"Limits: {maxReadings} readings, {maxOfOneLand} of one land, a body of 4 MiB.";
}
