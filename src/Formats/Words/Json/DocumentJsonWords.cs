namespace FaithfulBracket.Formats.Words.Json;

/// <summary>Sentences of document json.</summary>
internal static class DocumentJsonWords
{
    public const string ExpectedAtLeastThreePoints = "Expected at least three points.";

    public const string ExpectedIdOfStep = "Expected the id of a step.";

    public const string ExpectedIdOfThing = "Expected the id of a thing.";
}
