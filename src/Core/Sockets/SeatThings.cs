using FaithfulBracket.Core.Bench;

namespace FaithfulBracket.Core.Sockets;

/// <summary>Things on the bench that belong to one processor in its socket and the block on it.</summary>
internal sealed record SeatThings(SeatPlan Seat)
{
    public ThingId Board => new(ThingKind.Board, Seat.Board);
    public ThingId Processor => new(ThingKind.Processor, Seat.Board);
    public ThingId Lid => new(ThingKind.Lid, Seat.Board);
    public ThingId Clamp => new(ThingKind.Clamp, Seat.Board);
    public ThingId Levers => new(ThingKind.Levers, Seat.Board);
    public ThingId Frame => new(ThingKind.Frame, Seat.Board);
    public ThingId Gasket => new(ThingKind.Gasket, Seat.Board);

    /// <summary>Where the lid's glue sits.</summary>
    public ThingId Substrate => new(ThingKind.Face, Seat.Board, BenchWalk.Substrate);
    public ThingId Plate => new(ThingKind.Backplate, Seat.Pair);
    public ThingId Posts => new(ThingKind.Posts, Seat.Pair);
    public ThingId Block => new(ThingKind.Block, Seat.Pair);
    public ThingId Jet => new(ThingKind.Jet, Seat.Pair);
    public ThingId Insert => new(ThingKind.Insert, Seat.Pair);

    /// <summary>The ring between the block and its lid.</summary>
    public ThingId LidRing => new(ThingKind.Oring, Seat.Pair, "lid");

    public ThingId Face(string part) => new(ThingKind.Face, Seat.Board, part);

    /// <summary>Levers and clamp out of the package's way.</summary>
    /// <param name="levers">How many the socket has.</param>
    public IEnumerable<Act> Unlatch(int levers) =>
        [.. levers > 0 ? new[] { new Act(Verb.Open, Levers) } : [], new(Verb.Open, Clamp)];

    /// <summary>Clamp down, levers home.</summary>
    public IEnumerable<Act> Latch(int levers) =>
        [new(Verb.Close, Clamp), .. levers > 0 ? new[] { new Act(Verb.Close, Levers) } : []];
}
