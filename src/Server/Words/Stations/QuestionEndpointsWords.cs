namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of question endpoints.</summary>
internal static class QuestionEndpointsWords
{
    public static string LibraryHasNoBoard(string boardId) => $"The library has no board \"{boardId}\".";

    public static string LibraryHasNoBlock(string blockId) => $"The library has no block \"{blockId}\".";
}
