namespace FaithfulBracket.Server.Words;

/// <summary>What a request names and the shop does not have.</summary>
internal static class MissingWords
{
    public static string OrderHasNoBoard(string? board) => $"The order has no board \"{board}\".";

    public static string LibraryHasNoMachine(string? id) => $"The library has no machine \"{id}\".";

    public static string LibraryHasNoCard(string id) => $"The library has no card \"{id}\".";

    public static string LibraryHasNoBoard(string? id) => $"The library has no board \"{id}\".";

    public static string LibraryHasNoBlock(string? id) => $"The library has no block \"{id}\".";

    public static string LibraryHasNo(string kind, string? id) => $"The library has no {kind} \"{id}\".";

    public static string ThereIsNoBoardHere(string? board) => $"There is no board \"{board}\" here.";

    public static string PlanHasNoStep(string stepId) => $"The plan has no step \"{stepId}\".";
}
