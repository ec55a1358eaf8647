namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of expect.</summary>
internal static class ExpectWords
{
    public static Message LimitsBodyOfMiBAndThose =>
        $"Limits: a body of 4 MiB, and those of the board and block documents.";

    public static Message NoLandOfBlockCovers(string part) =>
        $"No land of the block covers {part}: its temperature cannot be calculated.";

    public static Message HowBlockRests(string message, double defaultBondLineMm) =>
        $"How the block rests cannot be calculated ({message}): films of {defaultBondLineMm:0} µm and drawn gaps "
        + $"are taken.";

    public static Message WhatPressesIs(string part, string notTold, double least, double most) =>
        $"What presses {part} is {notTold}. Its film is taken between {least:0} and {most:0} µm.";

    public static Message BlockFloatsFilmOverDie =>
        $"The block floats: the film over the die is thicker than it should be.";

    public static Message PadOnDoesNotTouch(string id) =>
        $"The pad on {id} does not touch: only the board carries its heat.";

    public static Message StatesNoConductivity(string material, string id) =>
        $"{material} states no conductivity: {id} cannot be calculated.";
}
