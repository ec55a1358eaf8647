namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of seat endpoints.</summary>
internal static class SeatEndpointsWords
{
    public static string NoProcessorLiesOnBoard(string board, long id) =>
        $"No processor lies on board \"{board}\" of job {id}.";

    public const string ExpectedThicknessUpToMm = "Expected a thickness up to 50 mm.";

    public static string JobHasNoBlock(long id, string? pair) => $"Job {id} has no block \"{pair}\".";

    public static string NoProcessorLiesUnderBlock(string key, long id) =>
        $"No processor lies under block \"{key}\" of job {id}.";
}
