using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Bench;

/// <summary>What hands or eyes do to a thing: a closed list.</summary>
public enum Verb
{
    PowerOff,
    Run,
    Measure,
    Unplug,
    Plug,
    Loosen,
    Unscrew,
    Start,
    Turn,
    Fasten,
    Lift,
    Lower,
    SetAside,
    BringBack,
    TurnOver,
    Hold,
    Clean,
    Warm,
    Shear,
    Scrape,
    Polish,
    Coat,
    Cut,
    PeelInner,
    PeelOuter,
    Lay,
    Trim,
    Spread,
    Insert,
    Remove,
    Open,
    Close,
    Fit,
    Join,
    Fill,
    Drain,
    Bleed,
    Press,
    Look,
    Photograph,
    Count,
    Read,
    Note,
    Store,
    Try,
    Wait,
}

/// <summary>One verb on one thing.</summary>
/// <param name="To">Where it goes, or what it is joined to.</param>
/// <param name="Count">How many.</param>
/// <param name="Turns">Of a pass: turns of the ring with most of them; null for the last, which ends at home.</param>
/// <param name="At">Holes in the order in which they are turned; null for all.</param>
/// <param name="From">The face from which screws are driven.</param>
public sealed record Act(
    Verb Do,
    ThingId Thing,
    ThingId? To = null,
    int? Count = null,
    double? Turns = null,
    IReadOnlyList<string>? At = null,
    Face? From = null
);
