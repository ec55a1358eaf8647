namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of comparison.</summary>
internal static class ComparisonWords
{
    public static string BeforeOverRoomAtW(
        string part,
        double dieC,
        double powerW,
        double kPerW,
        double uncertaintyKPerW
    ) => $"Before: {part} {dieC:0.0} K over the room at {powerW:0} W, {kPerW:0.000} ± {uncertaintyKPerW:0.000} K/W.";

    public static string AfterOverRoomAtW(
        string part,
        double dieC,
        double powerW,
        double kPerW,
        double uncertaintyKPerW
    ) => $"After: {part} {dieC:0.0} K over the room at {powerW:0} W, {kPerW:0.000} ± {uncertaintyKPerW:0.000} K/W.";

    public static string CoolantWarmsByThroughBlock(double riseK, double? flowLMin) =>
        $"The coolant warms by {riseK:0.0} K through the block at {flowLMin:0.0} L/min.";

    public static string ByThisShopsOwnJobs(double own) => $" by this shop's own jobs, {own:0.00} of the maker's claim";

    public const string AndNotComparableWithBefore = ", and not comparable with before";

    public static string AtEdgeOfWhatIsExpected(string open) => $", {open} at the edge of what is expected";
}
