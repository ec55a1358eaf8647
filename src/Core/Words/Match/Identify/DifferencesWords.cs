namespace FaithfulBracket.Core.Words.Match.Identify;

/// <summary>Sentences of differences.</summary>
internal static class DifferencesWords
{
    public static string IsWideHere(string call, double? diameterMm, double? otherDiameterMm, string name) =>
        $"{call} is {diameterMm:0.0#} mm wide here, {otherDiameterMm:0.0#} mm on {name}.";

    public static string StandsHereOn(string call, double? heightMm, double? otherHeightMm, string name) =>
        $"{call} stands {heightMm:0.00} mm here, {otherHeightMm:0.00} mm on {name}: ";

    public static string SitsFromWhere(string call, double mm, string name) =>
        $"{call} sits {mm:0.00} mm from where {name} has it.";

    public static string OfWasNotSeen(string call, string name) => $"{call} of {name} was not seen.";

    public static string AtIsNot(string call, double x, double y, string name) =>
        $"{call} at {x:0.0}, {y:0.0} is not on {name}.";
}
