namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of block evidence.</summary>
internal static class BlockEvidenceWords
{
    public static Message LandOrScrew => $"land or screw is";

    public static Message LandsAndScrews => $"lands and screws are";

    public static Message OnlyAssumedFromBoard(string landOrScrewIs, string named) =>
        $"{landOrScrewIs} only assumed from the board: {named}. Look at the block, measure it, or take its "
        + $"manual's table.";

    public static Message WhatPressesDieIsUnknown(string unknown) => $"What presses the die is not known: {unknown}";

    public static Message MeasureFirstOnStep(string land, string partRests) =>
        $"Measure {land} first: {partRests} on its step, ";
}
