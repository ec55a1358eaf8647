namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of mount steps.</summary>
internal static class MountStepsWords
{
    public static string FitSlotBracket(int slots) => $"Fit the {slots}-slot bracket";

    public const string NothingIsJoinedToThem = "Nothing is joined to them. Fingers or a plastic tool, O-ring seated.";

    public static string PlugLeadPolarityChecked(string headers) => $"Plug the {headers} lead, polarity checked";

    public const string ReversedPlugDestroysStrip = "A reversed plug destroys the LED strip.";

    public static string ScrewFittingInto(string ports, string names, string pair) =>
        $"Screw a fitting into {ports} {names} of {pair}";

    public static string ORingWetted(string threads, string inAndOut) =>
        $"{threads}, O-ring wetted. {inAndOut}Started by hand, then snug: the ring seals, not the force.";

    public const string FittingStartedCrookedCutsThread =
        "A fitting started crooked cuts the thread of its port, and that is the block.";

    public const string ItTurnsInByHand =
        "It turns in by hand until the ring touches; then a short turn, and its collar lies flat.";

    public static string CoolantGoesIn(string inlet) => $"Coolant goes in by {inlet}. ";

    public const string BracketOn = "Bracket on";

    public static string Plugged(string ports) => $"{ports} plugged";

    public static string PlugOf(string ports, string names, string pair) => $"Plug {ports} {names} of {pair}";

    public const string LeadPlugged = "Lead plugged";
}
