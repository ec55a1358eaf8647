namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of seating solver.</summary>
internal static class SeatingSolverWords
{
    public static Message PlateHasNoScrews(string plate) => $"Plate {plate} has no screws: nothing pulls it down.";

    public static Message PadsPushBack(double padCount) => $"The pads push back {padCount:0} N. ";

    public static Message WhatPressesIsUnknown(string theDie, string unknown) =>
        $"What presses {theDie} is not known: {unknown}";

    public static Message NoDieIsUnderPaste => $"No die is under paste: the plate stands on its standoffs.";

    public static Message PadsPushBackDieKeeps(double padCount, double load) =>
        $"The pads push back {padCount:0} N, the die keeps {load:0} N";

    public static Message FilmIsMore(string push, string limit, string film, double limitUm) =>
        $"{push}{limit}. Its film is {film} µm, more than {limitUm:0}: the block floats.";

    public static Message FilmIsItDoesNotFloat(string push, string limit, string film) =>
        $"{push}{limit}. Its film is {film} µm: it does not float.";
}
