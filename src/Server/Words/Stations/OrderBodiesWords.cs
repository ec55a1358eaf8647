namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of order bodies.</summary>
internal static class OrderBodiesWords
{
    public const string ExpectedIdOfBoard =
        "Expected the id of a board: jobs and cards of several boards are not read here.";

    public static string BoardHasSocket(string own, string socket) =>
        $"The board has socket \"{own}\", not \"{socket}\".";

    public static string MissingLibraryHasNoSocket(string? name) => $"Missing: the library has no socket \"{name}\".";

    public const string ExpectedBoardDocumentOfKindProcessor = "Expected a board document of kind processor.";
}
