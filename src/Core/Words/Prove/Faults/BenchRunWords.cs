namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of bench run.</summary>
internal static class BenchRunWords
{
    public static Message ItSwitchesOff(string part, double? limitC) =>
        $"It switches off: {part} reaches its limit of {limitC:0} °C. Read just before.";

    public static Message ItThrottlesStandsAtLimit(string part, double? limitC, double share) =>
        $"It throttles: {part} stands at its limit of {limitC:0} °C with {share:0} % of the power.";
}
