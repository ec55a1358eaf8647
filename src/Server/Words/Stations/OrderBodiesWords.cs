namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of order bodies.</summary>
internal static class OrderBodiesWords
{
    public static string LibraryHasNo(string field, string? stringText) =>
        $"The library has no {field} \"{stringText}\".";

    public const string ExpectedIdOfBoard =
        "Expected the id of a board: jobs and cards of several boards are not read here.";

    public static string LibraryHasNoBoard(string board) => $"The library has no board \"{board}\".";

    public static string ThereIsNoBoardHere(string? on) => $"There is no board \"{on}\" here.";

    public const string ExpectedBoardDocumentOfKindProcessor = "Expected a board document of kind processor.";

    public static string BoardHasSocket(string own, string socket) =>
        $"The board has socket \"{own}\", not \"{socket}\".";

    public static string MissingLibraryHasNoSocket(string? name) => $"Missing: the library has no socket \"{name}\".";

    public static string ExpectedAtMostFound(int mostOfAKind, int itemCount) =>
        $"Expected at most {mostOfAKind}, found {itemCount}.";
}
