namespace FaithfulBracket.Core.Words.Pads.Seating;

/// <summary>Sentences of seating solver.</summary>
internal static class SeatingSolverWords
{
    public static string PlateHasNoScrews(string plate) => $"Plate {plate} has no screws: nothing pulls it down.";

    public static string PadsPushBack(double padCount) => $"The pads push back {padCount:0} N. ";

    public static string WhatPressesIsUnknown(string theDie, string unknown) =>
        $"What presses {theDie} is not known: {unknown}";

    public const string NoDieIsUnderPaste = "No die is under paste: the plate stands on its standoffs.";

    public static string PadsPushBackDieKeeps(double padCount, double load) =>
        $"The pads push back {padCount:0} N, the die keeps {load:0} N";

    public static string FilmIsMore(string push, string limit, string film, double limitUm) =>
        $"{push}{limit}. Its film is {film} µm, more than {limitUm:0}: the block floats.";

    public static string FilmIsItDoesNotFloat(string push, string limit, string film) =>
        $"{push}{limit}. Its film is {film} µm: it does not float.";
}
