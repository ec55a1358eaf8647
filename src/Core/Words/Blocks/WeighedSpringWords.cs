namespace FaithfulBracket.Core.Words.Blocks;

/// <summary>Sentences of weighed spring.</summary>
internal static class WeighedSpringWords
{
    public static Message ExpectedToReadingsFound(int minReadings, int maxReadings, int readingCount) =>
        $"Expected {minReadings} to {maxReadings} readings, found {readingCount}.";

    public static Message ExpectedLessThanLengthUnderLighter(double lengthMm) =>
        $"Expected less than {lengthMm:0.##} mm, its length under the lighter load: the spring gets shorter.";

    public static Message TheseLoadsLieTooNearEach =>
        $"These loads lie too near each other to tell the rate: take a heavier weight, so that it gets a "
        + $"millimetre shorter.";
}
