namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of mount steps.</summary>
internal static class MountStepsWords
{
    public static Message FitSlotBracket(int slots) => $"Fit the {slots}-slot bracket";

    public static Message NothingIsJoinedToThem =>
        $"Nothing is joined to them. Fingers or a plastic tool, O-ring seated.";

    public static Message PlugLeadPolarityChecked(string headers) => $"Plug the {headers} lead, polarity checked";

    public static Message ReversedPlugDestroysStrip => $"A reversed plug destroys the LED strip.";

    public static Message ScrewFittingInto(string ports, string names, string pair) =>
        $"Screw a fitting into {ports} {names} of {pair}";

    public static Message ORingWetted(string threads, string inAndOut) =>
        $"{threads}, O-ring wetted. {inAndOut}Started by hand, then snug: the ring seals, not the force.";

    public static Message FittingStartedCrookedCutsThread =>
        $"A fitting started crooked cuts the thread of its port, and that is the block.";

    public static Message ItTurnsInByHand =>
        $"It turns in by hand until the ring touches; then a short turn, and its collar lies flat.";

    public static Message CoolantGoesIn(string inlet) => $"Coolant goes in by {inlet}. ";

    public static Message BracketOn => $"Bracket on";

    public static Message Plugged(string ports) => $"{ports} plugged";

    public static Message PlugOf(string ports, string names, string pair) => $"Plug {ports} {names} of {pair}";

    public static Message LeadPlugged => $"Lead plugged";
}
