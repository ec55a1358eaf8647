namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of next reading.</summary>
internal static class NextReadingWords
{
    public static Message FlowAtMeter => $"the flow at a meter";

    public static Message PowerAtPlugOrCable => $"the power at the plug or the cable";

    public static Message ToOneByOneByProbe(string first, string last) =>
        $"{first} to {last} one by one, by probe or thermal camera";

    public static Message ToBeSurerRead(string what, double then, double now) =>
        $"To be surer, read {what}: the likeliest would then stand at about {then:0} %, now {now:0} %.";
}
