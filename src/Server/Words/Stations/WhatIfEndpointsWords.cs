namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of what if endpoints.</summary>
internal static class WhatIfEndpointsWords
{
    public const string ChooseTwoPointsAtLeastMillimetre = "Choose two points at least a millimetre apart.";

    public const string NoAfterReadingYet = "No after reading yet: measure under load first.";

    public const string SayWhosePad = "Say whose pad: ?part= and the part's id.";

    public static string HasNoPadInThisJob(string part) => $"\"{part}\" has no pad in this job.";

    public const string MissingExpectedListOfTurnsEach = "Missing: expected a list of turns, each with hole and turns.";

    public static string ExpectedAtMostMovesFound(int maxMoves, int listCount) =>
        $"Expected at most {maxMoves} moves, found {listCount}.";
}
