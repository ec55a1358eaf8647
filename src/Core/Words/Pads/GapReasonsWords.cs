namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of gap reasons.</summary>
internal static class GapReasonsWords
{
    public static Message StandsToIntoLand(string part, double max, double min, string land) =>
        $"{part} stands {max:0.00} to {min:0.00} mm into land {land}";

    public static Message GapUpToOrNone(string part, double max) => $"{part}: gap up to {max:0.00} mm, or none";

    public static Message NoPadIsKnownForLand(string gap, string land) => $"{gap}; no pad is known for land {land}.";
}
