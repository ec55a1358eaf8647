namespace FaithfulBracket.Core.Words.Match.Identify;

/// <summary>Sentences of differences.</summary>
internal static class DifferencesWords
{
    public static Message IsWideHere(string part, double? hereMm, double? thereMm, string board) =>
        $"{part} is {hereMm:0.0#} mm wide here, {thereMm:0.0#} mm on {board}.";

    public static Message StandsHereOn(string part, double? hereMm, double? thereMm, string board) =>
        $"{part} stands {hereMm:0.00} mm here, {thereMm:0.00} mm on {board}: ";

    public static Message SitsFromWhere(string call, double mm, string name) =>
        $"{call} sits {mm:0.00} mm from where {name} has it.";

    public static Message OfWasNotSeen(string call, string name) => $"{call} of {name} was not seen.";

    public static Message AtIsNot(string part, double x, double y, string board) =>
        $"{part} at {x:0.0}, {y:0.0} is not on {board}.";
}
