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

    public const string StaysInHandsUntilLowered =
        "it stays in both hands until it is lowered: a board never lies on its pads or paste";

    public static string RestsOn(string names) => $"it comes to rest on the {names}";

    public static string SoftSupportOverTallest(string part, double heightMm, int unknown) =>
        $"lay it on soft foam deeper than {heightMm:0.0} mm: {part} stands out most{NotKnown(unknown)}";

    public static string SoftSupport(int unknown) => $"lay it on soft foam{NotKnown(unknown)}";

    private static string NotKnown(int unknown) =>
        unknown == 0 ? "" : $"; the height of {HowMany.Count(unknown, "part")} is not known";
}
