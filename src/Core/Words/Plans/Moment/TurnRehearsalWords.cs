namespace FaithfulBracket.Core.Words.Plans.Moment;

/// <summary>Sentences of turn rehearsal.</summary>
internal static class TurnRehearsalWords
{
    public const string HandStaysOnWhatNoScrew = "a hand stays on what no screw holds";

    public const string BothPalmsAtEdgesNothing = "both palms at the edges, nothing on the die";

    public const string BothPalmsAtEdges = "both palms at the edges";

    public const string HandHoldsIt = "a hand holds it: no screw does";

    public const string NothingHoldsIt = "nothing holds it: it falls";

    public const string PadsAndSnugFitHold = "its pads and the snug fit hold it";

    public const string ScrewsHoldIt = "its screws hold it";

    public static string ScrewsAndAcrossFromEachOther(int? screw, int? opposite, int screwCount) =>
        $"screws {screw} and {opposite}, across from each other, hold it; {screwCount} are in";

    public const string TheirTackHoldsThem = "their tack holds them";
}
