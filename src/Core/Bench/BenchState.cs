using System.Collections.Immutable;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Bench;

/// <summary>Place and condition of a thing in one word; which ones a thing can have goes by its kind.</summary>
public enum Condition
{
    /// <summary>New, as it came.</summary>
    InBox,

    /// <summary>In its place.</summary>
    On,

    /// <summary>Parted within the slack of its leads, in hand.</summary>
    Raised,

    /// <summary>Off and set aside.</summary>
    Off,

    /// <summary>Put away with its label.</summary>
    Stored,

    /// <summary>It was used once and cannot be used again.</summary>
    UsedUp,

    // boards and packages
    InMachine,
    InJig,

    // levers, clamps and blocks that come apart
    Open,
    Closed,

    // screws
    Out,
    Started,
    Turned,
    Home,

    // leads and ribbons
    Plugged,
    Free,

    // pads
    Uncut,
    Cut,
    Laid,
    Pressed,

    // films
    FilmOn,
    FilmOff,

    // faces
    Dirty,
    Clean,
    Taken,

    // power
    PowerOff,
    PowerOn,

    // loop
    Empty,
    Tight,
    Filled,
    Bled,
}

/// <summary>What lies on the bench at one moment.</summary>
public sealed record BenchState
{
    /// <summary>Hands that a person has.</summary>
    public const int Hands = 2;

    public ImmutableDictionary<ThingId, Condition> Conditions { get; init; } =
        ImmutableDictionary<ThingId, Condition>.Empty;

    /// <summary>Which face of each board is up; a board that nobody has laid down yet has none.</summary>
    public ImmutableDictionary<string, Face> Up { get; init; } = ImmutableDictionary<string, Face>.Empty;

    /// <summary>What a hand holds until the next turn.</summary>
    public ImmutableHashSet<ThingId> Held { get; init; } = [];

    public static BenchState Create(Scene scene) =>
        new() { Conditions = scene.Things.ToImmutableDictionary(t => t.Id, t => t.Start) };

    /// <exception cref="KeyNotFoundException">The scene has no such thing.</exception>
    public Condition this[ThingId id] => Conditions[id];

    public bool Is(ThingId id, params ReadOnlySpan<Condition> any) =>
        Conditions.TryGetValue(id, out var c) && any.Contains(c);

    public BenchState With(ThingId id, Condition condition) =>
        this with
        {
            Conditions = Conditions.SetItem(id, condition),
        };
}
