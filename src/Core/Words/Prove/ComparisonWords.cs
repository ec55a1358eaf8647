namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of comparison.</summary>
internal static class ComparisonWords
{
    public static Message BeforeOverRoomAtW(
        string part,
        double dieC,
        double powerW,
        double kPerW,
        double uncertaintyKPerW
    ) => $"Before: {part} {dieC:0.0} K over the room at {powerW:0} W, {kPerW:0.000} ± {uncertaintyKPerW:0.000} K/W.";

    public static Message AfterOverRoomAtW(
        string part,
        double dieC,
        double powerW,
        double kPerW,
        double uncertaintyKPerW
    ) => $"After: {part} {dieC:0.0} K over the room at {powerW:0} W, {kPerW:0.000} ± {uncertaintyKPerW:0.000} K/W.";

    public static Message CoolantWarmsByThroughBlock(double riseK, double? flowLMin) =>
        $"The coolant warms by {riseK:0.0} K through the block at {flowLMin:0.0} L/min.";

    public static Message ByThisShopsOwnJobs(double own) =>
        $" by this shop's own jobs, {own:0.00} of the maker's claim";

    public static Message AndNotComparableWithBefore => $", and not comparable with before";

    public static Message AtEdgeOfWhatIsExpected(string open) => $", {open} at the edge of what is expected";
}
