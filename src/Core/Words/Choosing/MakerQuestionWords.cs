namespace FaithfulBracket.Core.Words.Choosing;

/// <summary>Sentences of maker question.</summary>
internal static class MakerQuestionWords
{
    public static Message IsMadeForHolePattern(string theirs, string mine, string lower) =>
        $"Is {theirs} made for the hole pattern of {mine}? Here {lower}";

    public static Message HowDeepIs(string theirs, string part) => $"How deep is {theirs} over {part}? ";

    public static Message OnItStandsHighMore(string mine, double heightMm, double over) =>
        $"On {mine} it stands {heightMm:0.00} mm high, {over:0.00} more than there is room for.";

    public static Message OfLandsAndScrews => $"of its lands and screws";

    public static Message WhatAreStepsOfSLands(string theirs, string ofItsLandsAndScrews) =>
        $"What are the steps of {theirs}'s lands against its die land? Nobody has measured {ofItsLandsAndScrews}.";

    public static Message HowHighDoStand(string refs, string mine) => $"How high do {refs} stand on {mine}?";

    public static Message HowHighDoesStand(string next, string mine) =>
        $"How high does {next} stand on {mine}, to a tenth of a millimetre?";

    public static Message WhereDoScrewHolesOfLie(string mine, string theirs, double percent, string next) =>
        $"Where do the screw holes of {mine} lie? Ours were measured, not drawn: {theirs} seats with a chance of "
        + $"{percent} %, and hole {next} would settle most.";

    public static Message DoesClearThereAreBetweenThem(string theirs, string part, double marginMm, string mine) =>
        $"Does {theirs} clear {part}? There are {marginMm:0.00} mm between them on {mine}.";

    public static Message IsStatedToFit(string twin, string mine, string lower) =>
        $"{twin} is stated to fit. On {mine} one thing differs: {lower} Does it matter?";

    public static Message IsMadeFor(string theirs, string mine, string doesNot) =>
        $"Is {theirs} made for {mine}? By its drawing it {doesNot}, and no statement says so.";
}
