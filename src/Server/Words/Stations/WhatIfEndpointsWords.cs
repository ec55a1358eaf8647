namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of what if endpoints.</summary>
internal static class WhatIfEndpointsWords
{
    public const string ExpectedMillimetresOnBoard = "Expected millimetres on the board.";

    public const string ChooseTwoPointsAtLeastMillimetre = "Choose two points at least a millimetre apart.";

    public static string OrderHasNoBoard(string board) => $"The order has no board \"{board}\".";

    public static string ExpectedOneOfFound(string all, string fault) => $"Expected one of {all}, found \"{fault}\".";

    public const string NoAfterReadingYet = "No after reading yet: measure under load first.";

    public static string ExpectedAtMostFound(int mostChecks, int checkCount) =>
        $"Expected at most {mostChecks}, found {checkCount}.";

    public const string ChooseBlockAndPaste = "Choose a block and a paste first: nothing is seated yet.";

    public const string SayWhosePad = "Say whose pad: ?part= and the part's id.";

    public static string HasNoPadInThisJob(string part) => $"\"{part}\" has no pad in this job.";

    public const string MissingExpectedListOfTurnsEach = "Missing: expected a list of turns, each with hole and turns.";

    public static string ExpectedAtMostMovesFound(int mostMoves, int listCount) =>
        $"Expected at most {mostMoves} moves, found {listCount}.";
}
