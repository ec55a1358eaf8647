namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of block evidence.</summary>
internal static class BlockEvidenceWords
{
    public const string LandOrScrew = "land or screw is";

    public const string LandsAndScrews = "lands and screws are";

    public static string OnlyAssumedFromBoard(string landOrScrewIs, string named) =>
        $"{landOrScrewIs} only assumed from the board: {named}. Look at the block, measure it, or take its "
        + "manual's table.";

    public static string WhatPressesDieIsUnknown(string unknown) => $"What presses the die is not known: {unknown}";

    public static string MeasureFirstOnStep(string land, string partRests) =>
        $"Measure {land} first: {partRests} on its step, ";
}
