namespace FaithfulBracket.Core.Words.Plans.Moment;

/// <summary>Sentences of turn rehearsal.</summary>
internal static class TurnRehearsalWords
{
    public static Message HandStaysOnWhatNoScrew => $"a hand stays on what no screw holds";

    public static Message BothPalmsAtEdgesNothing => $"both palms at the edges, nothing on the die";

    public static Message BothPalmsAtEdges => $"both palms at the edges";

    public static Message HandHoldsIt => $"a hand holds it: no screw does";

    public static Message NothingHoldsIt => $"nothing holds it: it falls";

    public static Message PadsAndSnugFitHold => $"its pads and the snug fit hold it";

    public static Message ScrewsHoldIt => $"its screws hold it";

    public static Message ScrewsAndAcrossFromEachOther(int? screw, int? opposite, int screwCount) =>
        $"screws {screw} and {opposite}, across from each other, hold it; {screwCount} are in";

    public static Message TheirTackHoldsThem => $"their tack holds them";

    public static Message StaysInHandsUntilLowered =>
        $"it stays in both hands until it is lowered: a board never lies on its pads or paste";

    public static Message RestsOn(string names) => $"it comes to rest on the {names}";

    public static Message SoftSupportOverTallest(string part, double heightMm, int unknown) =>
        $"lay it on soft foam deeper than {heightMm:0.0} mm: {part} stands out most{NotKnown(unknown)}";

    public static Message SoftSupport(int unknown) => $"lay it on soft foam{NotKnown(unknown)}";

    private static string NotKnown(int unknown) =>
        unknown == 0 ? "" : $"; the height of {HowMany.Count(unknown, "part")} is not known";
}
