using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Words.Plans.Moment;

namespace FaithfulBracket.Core.Plans.Moment;

/// <summary>What keeps a thing on a board that is turned over.</summary>
public enum TurnHold
{
    Screws,
    Hand,

    /// <summary>Its own tack, or what sticks it.</summary>
    Tack,
    Nothing,
}

/// <summary>Something on a board while it is turned over, seen from the side.</summary>
/// <param name="FromMm">Where it begins along the board, in the board's frame.</param>
/// <param name="Screws">Places of the screws that hold it, along the board.</param>
/// <param name="Text">What holds it, in words.</param>
public sealed record TurnedThing(
    string Name,
    Face Face,
    TurnHold HeldBy,
    double FromMm,
    double ToMm,
    IReadOnlyList<TurnedScrew> Screws,
    Message Text
)
{
    /// <summary>Whether it is pads that lie open.</summary>
    public bool Pads { get; init; }
}

/// <param name="Number">Its place in the order in which it is turned; null for a stock screw.</param>
public sealed record TurnedScrew(int? Number, double AtMm);

/// <summary>A part that stands out of the face that comes to lie below, seen from the side.</summary>
/// <param name="HeightMm">Above its face.</param>
public sealed record StandingOut(string Part, double HeightMm, double FromMm, double ToMm);

/// <summary>What a turn of a board does to everything on it.</summary>
/// <param name="HandMm">Along the board, the middle of what a hand holds; null where no hand has to.</param>
/// <param name="Hand">Where the hands go, in words.</param>
/// <param name="Below">Parts that stand out of the face that comes to lie below; empty where something on it lies below them.</param>
/// <param name="Rest">What the board comes to rest on, in words.</param>
public sealed record TurnRehearsal(
    string Board,
    Face Up,
    double FromMm,
    double ToMm,
    IReadOnlyList<TurnedThing> Things,
    double? HandMm,
    string Hand,
    IReadOnlyList<StandingOut> Below,
    string Rest
)
{
    /// <summary>Narrower things are drawn this wide, mm.</summary>
    private const double MinWideMm = 6;

    internal static TurnRehearsal? Create(
        WorkOrder order,
        JobPlan plan,
        Scene scene,
        BenchState before,
        ThingNames names,
        WorkStep step
    )
    {
        var at = step.Acts.ToList().FindIndex(a => a.Do == Verb.TurnOver);
        if (at < 0)
            return null;
        var board = step.Acts[at].Thing.Owner;
        var state = BenchWalk.After(scene, before, step.Acts.Take(at));
        var piece = order.Find(board)!;
        var (from, to) = Extent(piece.Board.Outline.Points.Select(p => p.X));
        var loose = Needs.Loose(scene, state, board);
        List<TurnedThing> things =
        [
            .. scene
                .Things.Where(t =>
                    t.Board == board
                    && t.Id.Kind is ThingKind.Piece or ThingKind.Plate or ThingKind.Backplate
                    && state.Is(t.Id, Condition.On)
                )
                .Select(t => Thing(piece.Board, plan, scene, state, names, t, loose, (from, to))),
            .. Pads(plan, piece.Board, state, board),
        ];
        var held = things.Find(t => t.HeldBy == TurnHold.Hand);
        var die = piece.Board.Parts.Any(p => p.Kind is PartKind.Die or PartKind.Lid);
        var up = state.Up.TryGetValue(board, out var was) && was == Face.Back ? Face.Front : Face.Back;
        var down = up == Face.Back ? Face.Front : Face.Back;
        List<TurnedThing> under = [.. things.Where(t => t.Face == down)];
        var below = under.Exists(t => !t.Pads) ? [] : Standing(piece.Board, down);
        return new(
            board,
            up,
            from,
            to,
            things,
            held is null ? null : (held.FromMm + held.ToMm) / 2,
            held is not null ? TurnRehearsalWords.HandStaysOnWhatNoScrew
                : die ? TurnRehearsalWords.BothPalmsAtEdgesNothing
                : TurnRehearsalWords.BothPalmsAtEdges,
            below,
            Resting(piece.Board, down, under, below, Pasted(scene, state, board, down))
        );
    }

    /// <summary>Parts of a face with a known height, the lowest first.</summary>
    private static List<StandingOut> Standing(Board board, Face face) =>
        [
            .. board
                .Parts.Where(p => p.Face == face && p is { HeightUnknown: false, HeightMm: > 0 })
                .OrderBy(p => p.HeightMm)
                .Select(p =>
                {
                    var (from, to) = Extent(p.Corners().Select(c => c.X));
                    return new StandingOut(p.Id, p.HeightMm, from, to);
                }),
        ];

    /// <summary>Whether paste or metal lies open on a face of a board.</summary>
    private static bool Pasted(Scene scene, BenchState state, string board, Face face) =>
        scene.Things.Any(t =>
            t.Id.Kind == ThingKind.Face
            && t.Board == board
            && t.Face == face
            && state.Is(t.Id, Condition.Taken)
            && !t.Under.Any(o => state.Is(o, Condition.On))
        );

    /// <summary>
    /// On what lies on the face below, on nothing while pads or paste are open, else on soft support over its tallest part.
    /// </summary>
    private static string Resting(Board board, Face down, List<TurnedThing> under, List<StandingOut> below, bool pasted)
    {
        if (pasted || under.Exists(t => t.Pads))
            return TurnRehearsalWords.StaysInHandsUntilLowered;
        if (under.Count > 0)
            return TurnRehearsalWords.RestsOn(string.Join(" and the ", under.Select(t => t.Name)));
        var unknown = board.Parts.Count(p => p.Face == down && p.HeightUnknown);
        return below.Count > 0
            ? TurnRehearsalWords.SoftSupportOverTallest(below[^1].Part, below[^1].HeightMm, unknown)
            : TurnRehearsalWords.SoftSupport(unknown);
    }

    private static TurnedThing Thing(
        Board board,
        JobPlan plan,
        Scene scene,
        BenchState state,
        ThingNames names,
        SceneThing thing,
        IReadOnlyList<ThingId> loose,
        (double From, double To) whole
    )
    {
        var name = names.Describe(thing.Id);
        if (thing.Id.Kind is ThingKind.Plate)
            return Plate(plan, scene, state, name, thing);
        var (by, text) =
            state.Held.Contains(thing.Id) ? (TurnHold.Hand, TurnRehearsalWords.HandHoldsIt)
            : loose.Contains(thing.Id) ? (TurnHold.Nothing, TurnRehearsalWords.NothingHoldsIt)
            : Screwed(scene, state, thing);
        // no document says where its edge runs: as far as the parts that it is known to lie over
        var over = thing.Closes.Select(f => board.FindPart(f.Key)).OfType<Part>().ToList();
        var (from, to) = over.Count == 0 ? whole : Extent(over.SelectMany(p => p.Corners()).Select(c => c.X));
        return new(name, thing.Face, by, from, to, [], text);
    }

    private static (TurnHold, Message) Screwed(Scene scene, BenchState state, SceneThing thing)
    {
        var groups = scene
            .HoldersOf(thing.Id)
            .Where(s => state.Is(s.Id, Condition.Home, Condition.Turned, Condition.Started, Condition.On))
            .ToList();
        if (groups.Count == 0)
            return (TurnHold.Tack, TurnRehearsalWords.PadsAndSnugFitHold);
        if (thing.Id.Kind == ThingKind.Backplate)
            return (TurnHold.Screws, TurnRehearsalWords.ScrewsHoldIt);
        var names = string.Join(" and ", groups.Select(g => g.Id.Key));
        return (
            TurnHold.Screws,
            groups.Count == 1 ? (Message)$"group {names} holds it" : (Message)$"groups {names} hold it"
        );
    }

    /// <summary>A block's plate: two opposite screws of those that are in.</summary>
    private static TurnedThing Plate(JobPlan plan, Scene scene, BenchState state, string name, SceneThing thing)
    {
        var laid = plan.Match.Laid().First(l => l.Pair.Key == thing.Id.Owner && l.On.Board == thing.Board).On.Laid;
        var plate = laid.Block.Plates.First(p => p.Id == thing.Id.Key);
        var (from, to) = Extent(plate.Outline.Points.Select(p => laid.Placement.Apply(p).X));
        var rings = ScrewRings
            .Find(laid.Block, plate)
            .Where(r => state.Is(r.Id(thing.Id.Owner), Condition.Started, Condition.Turned, Condition.Home))
            .SelectMany(r => r.Holes)
            .ToHashSet();
        var numbers = plan
            .Mount.Pairs.Where(p => p.Pair == thing.Id.Owner && p.Board == thing.Board)
            .SelectMany(p => p.Screws)
            .ToDictionary(s => s.Hole, s => s.Number);
        List<TurnedScrew> screws =
        [
            .. plate
                .Holes.Where(h => rings.Contains(h.Id))
                .Select(h => new TurnedScrew(
                    numbers.TryGetValue(h.Id, out var n) ? n : null,
                    laid.Placement.Apply(h.At).X
                ))
                .OrderBy(s => s.Number ?? int.MaxValue),
        ];
        // the first two in the order lie across from each other
        return new(
            name,
            thing.Face,
            screws.Count > 0 ? TurnHold.Screws : TurnHold.Nothing,
            from,
            to,
            screws,
            screws.Count == 0 ? TurnRehearsalWords.NothingHoldsIt
                : screws.Count <= 2 ? (Message)$"{HowMany.Count(screws.Count, "screw")} of it in"
                : TurnRehearsalWords.ScrewsAndAcrossFromEachOther(screws[0].Number, screws[1].Number, screws.Count)
        );
    }

    /// <summary>Pads that lie open on the board.</summary>
    private static IEnumerable<TurnedThing> Pads(JobPlan plan, Board on, BenchState state, string board) =>
        plan
            .Pads.Pieces.Where(p => p.Board == board && p.Parts.Count > 0 && !p.OnBlock)
            .Where(p => state.Is(BenchScene.Id.Pad(p), Condition.Laid))
            .GroupBy(p => p.Face)
            .Select(g =>
            {
                var (from, to) = Extent(g.SelectMany(p => p.Parts).Select(on.FindPart).OfType<Part>().Select(p => p.X));
                return new TurnedThing(
                    HowMany.Count(g.Count(), "pad"),
                    g.Key,
                    TurnHold.Tack,
                    from,
                    Math.Max(to, from + MinWideMm),
                    [],
                    TurnRehearsalWords.TheirTackHoldsThem
                )
                {
                    Pads = true,
                };
            });

    private static (double From, double To) Extent(IEnumerable<double> at)
    {
        var (least, most) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var x in at)
            (least, most) = (Math.Min(least, x), Math.Max(most, x));
        return (least, most);
    }
}
