using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Bench;

/// <summary>How a thing can be got at.</summary>
public enum Reach
{
    /// <summary>On its face, while nothing lies over it.</summary>
    Open,

    /// <summary>From the edge, whichever face is up.</summary>
    Edge,

    /// <summary>Once the piece that it ties is raised.</summary>
    Raised,
}

/// <summary>What the documents say of one thing; it never changes.</summary>
/// <param name="Start">As it is before anything is done.</param>
public sealed record SceneThing(ThingId Id, Condition Start)
{
    /// <summary>Key of the board it sits on; null for what sits on none.</summary>
    public string? Board { get; init; }
    public Face Face { get; init; }
    public Reach Reach { get; init; }

    /// <summary>What lies over it while that is on.</summary>
    public IReadOnlyList<ThingId> Under { get; init; } = [];

    /// <summary>Of screws: what they hold. Of a lead or ribbon: what it ties.</summary>
    public IReadOnlyList<ThingId> Holds { get; init; } = [];

    /// <summary>What has to be there first: the block under its screws, the pad under its film.</summary>
    public IReadOnlyList<ThingId> On { get; init; } = [];

    /// <summary>Of a piece or block: the faces that it closes over.</summary>
    public IReadOnlyList<ThingId> Closes { get; init; } = [];

    /// <summary>Of a face: what it has to take before something closes over it; of a block, what has to be off it.</summary>
    public IReadOnlyList<ThingId> Takes { get; init; } = [];

    /// <summary>Of a face: whether it takes paste.</summary>
    public bool TakesPaste { get; init; }

    /// <summary>Of a face: whether something has to cool it before the power goes on.</summary>
    public bool Hot { get; init; }

    /// <summary>Whether it has to be in its place before the power goes on.</summary>
    public bool Wanted { get; init; }

    /// <summary>
    /// Of a board of a card: whether its front faces the first board's front; null for a board by itself and for what is no
    /// board.
    /// </summary>
    public bool? Flipped { get; init; }

    /// <summary>Whether coolant runs through it.</summary>
    public bool Wetted { get; init; }
}

/// <summary>Everything on one bench, from the documents of its order and nothing else.</summary>
public sealed class Scene(IReadOnlyList<SceneThing> things)
{
    private readonly Dictionary<ThingId, SceneThing> _things = things.ToDictionary(t => t.Id);
    private readonly ILookup<ThingId, SceneThing> _on = things
        .Where(t => t.Id.Kind is ThingKind.Film or ThingKind.Screws)
        .SelectMany(t => t.On, (t, on) => (t, on))
        .ToLookup(x => x.on, x => x.t);
    private readonly ILookup<string, SceneThing> _owned = things.ToLookup(t => t.Id.Owner);
    private readonly ILookup<ThingId, SceneThing> _holders = things
        .SelectMany(t => t.Holds, (t, held) => (t, held))
        .ToLookup(x => x.held, x => x.t);

    /// <summary>Whether everything goes back to how it was: stock pieces close over their own pads and paste.</summary>
    public bool IsBack { get; init; }

    /// <summary>In the order of the documents.</summary>
    public IReadOnlyList<SceneThing> Things { get; } = things;

    public SceneThing? Find(ThingId id) => _things.GetValueOrDefault(id);

    /// <summary>Screws that hold a thing.</summary>
    public IEnumerable<SceneThing> ScrewsOf(ThingId id) => _holders[id].Where(t => t.Id.Kind == ThingKind.Screws);

    /// <summary>Screws, posts, clamp or frame that hold a thing.</summary>
    public IEnumerable<SceneThing> HoldersOf(ThingId id) =>
        _holders[id].Where(t => t.Id.Kind is ThingKind.Screws or ThingKind.Posts or ThingKind.Clamp or ThingKind.Frame);

    /// <summary>Screws that keep a block, plate, half or carrier down.</summary>
    public IEnumerable<SceneThing> KeptBy(SceneThing thing)
    {
        return Parts(thing)
            .Append(thing.Id)
            .SelectMany(p => _on[p])
            .Where(t => t.Id.Kind == ThingKind.Screws)
            .Distinct();
    }

    /// <summary>Blocks that a fitting joins to a block while it is on.</summary>
    public IEnumerable<ThingId> JoinedTo(BenchState state, ThingId block)
    {
        HashSet<ThingId> found = [block];
        var queue = new Queue<ThingId>(found);
        while (queue.TryDequeue(out var next))
            foreach (var link in _holders[next].Where(t => t.Id.Kind == ThingKind.Link && state.Is(t.Id, Condition.On)))
            foreach (var other in link.Holds.Where(found.Add))
                queue.Enqueue(other);
        found.Remove(block);
        return found;
    }

    /// <summary>Films on a pad.</summary>
    public IEnumerable<SceneThing> FilmsOf(ThingId pad) => _on[pad].Where(t => t.Id.Kind == ThingKind.Film);

    /// <summary>Everything of one board or block, in the order of the documents.</summary>
    public IEnumerable<SceneThing> OwnedBy(string owner) => _owned[owner];

    /// <summary>Plates of a block, half or carrier; nothing for any other thing.</summary>
    public IEnumerable<ThingId> Parts(SceneThing thing) =>
        thing.Id.Kind switch
        {
            ThingKind.Block => OwnedBy(thing.Id.Owner).Where(t => t.Id.Kind == ThingKind.Plate).Select(t => t.Id),
            ThingKind.Half or ThingKind.Carrier => thing.On,
            _ => [],
        };

    /// <summary>Leads and ribbons that tie a thing.</summary>
    public IEnumerable<SceneThing> TiesOf(ThingId id) =>
        _holders[id].Where(t => t.Id.Kind is ThingKind.Lead or ThingKind.Ribbon);

    /// <summary>Whether a loop runs through anything here.</summary>
    public bool HasLoop => Find(ThingId.Loop) is not null;
}
