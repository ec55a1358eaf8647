namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of intake endpoints.</summary>
internal static class IntakeEndpointsWords
{
    public const string OneDocumentLineEachAtMost =
        "One document a line, each at most 4 MiB, 1 GiB together. All are kept or none.";
}
