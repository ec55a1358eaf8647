namespace FaithfulBracket.Core.Words.Pads.Section;

/// <summary>Sentences of section cut.</summary>
internal static class SectionCutWords
{
    public static Message ChooseTwoPointsAtLeastMillimetre => $"Choose two points at least a millimetre apart.";

    public static Message GapPadSquashed(string part, double gap, double thicknessMm, double squash) =>
        $"{part}: gap {gap:0.00} mm, {thicknessMm:0.0} mm pad squashed {squash:0} %.";

    public static Message GapPadLeavesOfAir(string part, double gapMm, double thicknessMm, double airMm) =>
        $"{part}: gap {gapMm:0.00} mm, the {thicknessMm:0.0} mm pad leaves {airMm:0.00} mm of air.";

    public static Message MeetsPlateTooTall(string part, double gap) =>
        $"{part} meets the plate: {gap:0.00} mm too tall.";
}
