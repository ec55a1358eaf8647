namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of pad faults.</summary>
internal static class PadFaultsWords
{
    public static Message EdgesLookAsEven =>
        $"The edges look as even as with good pads: the eye does not find this one.";

    public static Message BlockFloatsFilmOverDie(double filmAfter, double filmBefore) =>
        $"The block floats: the film over the die is up to {filmAfter:0} µm instead of {filmBefore:0}. The "
        + $"imprint is pale at that corner, and the die runs hot.";

    public static Message FilmOverDieThickens(double filmAfter, double filmBefore) =>
        $"The film over the die thickens to {filmAfter:0} µm from {filmBefore:0}.";

    public static Message TouchesNothingItClimbsToLimit(string part) =>
        $"{part} touches nothing: it climbs to its limit under load while its neighbours stay cool.";

    public static Message StandsOverLandInstead(string part, double riseK, double beforeK, double hotterK) =>
        $"{part} stands {riseK:0} K over its land instead of {beforeK:0}: {hotterK:0} K hotter than its "
        + $"neighbours.";

    public static Message StandsOverLandAboutAsBefore(string part, double riseK) =>
        $"{part} stands {riseK:0} K over its land, about as before.";

    public static Message HowScrewsFeel(string notTold) => $"How the screws feel is {notTold}.";

    public static Message DieKeepsInstead(double dieAfter, double dieBefore) =>
        $"The die keeps {dieAfter:0} N instead of {dieBefore:0}.";

    public static Message ScrewBesideItGripsEarly(string near, double now, double was) =>
        $"Screw {near} beside it grips early and ends at {now:0} N instead of {was:0}.";

    public static Message ScrewBesideItStaysLighterInstead(string near, double now, double was) =>
        $"Screw {near} beside it stays lighter, {now:0} N instead of {was:0}.";

    public static Message ScrewsFeelAsAlways => $"The screws feel as always.";

    public static Message WholeBlockStandsHigher(double opens) => $"The whole block stands {opens:0.00} mm higher.";

    public static Message EdgeStandsHigherThanItShould(string worst, double opens, string hardlyChanges) =>
        $"The {worst} edge stands {opens:0.00} mm higher than it should, the edge across {hardlyChanges}.";
}
