using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>Makes the things on the bench out of an order and what is planned for it.</summary>
public static class BenchScene
{
    public static Scene Create(WorkOrder order, JobPlan plan)
    {
        var (match, pads, paste) = (plan.Match, plan.Pads, plan.Paste);
        var things = Stock(order, plan.Teardown.Plugged);
        var laid = match.Laid().ToList();
        things.AddRange(
            Faces(order, laid.ConvertAll(l => (order.Pairs.First(p => p.Key == l.Pair.Key), l.On)), pads, paste)
        );
        things.AddRange(StuckSinks.Find(match).SelectMany(s => Sink(order, s)));
        things.AddRange(pads.Pieces.Where(p => p.Parts.Count > 0).SelectMany(p => Pad(order, p)));
        foreach (var box in laid.GroupBy(l => l.Pair.Key))
        {
            var block = Block(order, order.Pairs.First(p => p.Key == box.Key), [.. box.Select(b => b.On)], pads);
            things.AddRange(PlateFirst(plan, box.Key) ? block.Select(ThroughPlate) : block);
        }
        foreach (var seat in plan.Seats)
            things = SeatScene.With(
                order,
                seat,
                things,
                paste.Faces.Any(f => f.Pair == seat.Pair && f.Method == PasteWay.Film)
            );
        things.AddRange((match.Order?.Machine?.Links ?? []).Select(Link));
        if (laid.Count > 0)
            things.Add(new(ThingId.Loop, Condition.Empty));
        return new([.. things.DistinctBy(t => t.Id)]);
    }

    /// <summary>Whether the plan lays a block's own back plate before its screws are started.</summary>
    private static bool PlateFirst(JobPlan plan, string pair)
    {
        List<WorkStep> own = [.. plan.Mount.Sheet.Steps.Where(s => s.Pair == pair)];
        var plate = own.FindIndex(s => s.Kind == StepKind.BackPlate && s.Id.Target == "back-plate");
        return plate >= 0 && plate < own.FindIndex(s => s.Kind == StepKind.Start);
    }

    /// <summary>Screws that hold a back plate which lies there first need it, as they need what else they go through.</summary>
    private static SceneThing ThroughPlate(SceneThing thing) =>
        thing.Id.Kind == ThingKind.Screws
            ? thing with
            {
                On = [.. thing.On, .. thing.Holds.Where(h => h.Kind == ThingKind.Backplate)],
            }
            : thing;

    /// <summary>Boards, what holds their stock coolers, ribbons, power: all there is before anything new is laid out.</summary>
    private static List<SceneThing> Stock(WorkOrder order, IReadOnlyList<Ribbon> plugged) =>
        [
            new(ThingId.Power, Condition.PowerOff),
            .. order.Pieces.Select(p => new SceneThing(Id.Board(p.Key), Condition.On)
            {
                Flipped = order.Card is null || order.Pieces.Count < 2 ? null : p.Pose?.Flipped ?? false,
            }),
            .. TeardownStation.Pieces(order).SelectMany(p => Stock(order, p, plugged)),
            .. order.Ribbons.Select(Ribbon),
        ];

    /// <summary>The steps of taking the stock assembly apart, each with what locks it, where nothing else is planned.</summary>
    public static IReadOnlyList<WorkStep> Locked(WorkOrder order, TeardownResult teardown)
    {
        var scene = new Scene([.. Stock(order, teardown.Plugged).DistinctBy(t => t.Id)]);
        return WalkLocks.On(scene, BenchState.Create(scene), teardown.Sheet.Steps);
    }

    private static SceneThing Link(LinkStand link, int i) =>
        new(MachineSteps.Link(i), Condition.InBox)
        {
            On = [Id.Board(link.From.Card), Id.Board(link.To.Card)],
            Wanted = true,
        };

    private static IEnumerable<SceneThing> Stock(WorkOrder order, Workpiece piece, IReadOnlyList<Ribbon> plugged)
    {
        var assembly = TeardownStation.Opened(order, piece, plugged).Assembly!;
        string Owner(string target) => TeardownStation.BoardOf(order, piece, target);
        ThingId PieceId(string id) => Id.Piece(Owner(id), id);
        ThingId? Known(string? id) => id is not null && assembly.Pieces.Any(p => p.Id == id) ? PieceId(id) : null;
        List<ThingId> Pieces(IEnumerable<string> ids) => [.. ids.Select(Known).OfType<ThingId>()];
        foreach (var p in assembly.Pieces)
            yield return new(PieceId(p.Id), Condition.On)
            {
                Board = Owner(p.Id),
                Face = p.Face,
                Closes =
                [
                    .. assembly
                        .Bonds.Where(b => b.Between.Contains(p.Id))
                        .SelectMany(b => b.Parts.Select(part => Id.Face(b.Board ?? Owner(p.Id), part)))
                        .Distinct(),
                ],
            };
        foreach (var f in assembly.Fasteners)
            yield return new(Id.Screws(Owner(f.Id), f.Id), Condition.Home)
            {
                Board = Owner(f.Id),
                Face = f.Face,
                Under = Pieces(f.HiddenBy is { } h ? [h] : []),
                Holds = Pieces(f.Joins),
            };
        foreach (var l in assembly.Leads)
            yield return new(Id.Plugged(order, l, Owner(l.Id)), Condition.Plugged)
            {
                Wanted = RibbonEnds.Find(order, l, Owner(l.Id)) is not null,
                Board = Owner(l.Id),
                Face = l.Face,
                Under = Pieces(l.HiddenBy is { } h ? [h] : []),
                Holds = Pieces(l.Between),
                Reach = l.HiddenBy is { } over && l.Between.Contains(over) ? Reach.Raised : Reach.Open,
            };
    }

    private static SceneThing Ribbon(Ribbon r) =>
        new(new(ThingKind.Ribbon, r.Id), Condition.Plugged)
        {
            Holds = [Id.Board(r.From.Board), Id.Board(r.To.Board)],
            Wanted = true,
        };

    /// <summary>Faces of the parts that a block meets, with what lies over each and what it takes.</summary>
    private static IEnumerable<SceneThing> Faces(
        WorkOrder order,
        List<(Pair Pair, BoardFit On)> laid,
        PadsResult pads,
        PasteResult paste
    )
    {
        var stock = TeardownStation
            .Pieces(order)
            .SelectMany(p => Stock(order, p, []))
            .Where(t => t.Id.Kind == ThingKind.Piece)
            .ToList();
        foreach (var (pair, on) in laid)
        foreach (var part in on.Laid.Board.Parts.Where(p => on.Laid.Contacts().Contains(p.Id)))
        {
            var id = Id.Face(on.Board, part.Id);
            yield return new(id, Condition.Dirty)
            {
                Board = on.Board,
                Face = part.Face,
                Hot = true,
                Reach = on.Laid.Board.Kind == BoardKind.MemoryModule ? Reach.Edge : Reach.Open,
                Under =
                [
                    .. stock.Where(s => s.Closes.Contains(id)).Select(s => s.Id),
                    .. Closers(pair, on.Board, part.Face, order),
                ],
                Takes =
                [
                    .. pads
                        .Pieces.Where(p => p.Board == on.Board && p.Pair == pair.Key && p.Parts.Contains(part.Id))
                        .Select(Id.Pad),
                ],
                TakesPaste = paste.Faces.Any(f => f.Board == on.Board && f.Pair == pair.Key && f.Part == part.Id),
            };
        }
    }

    /// <summary>A sink, the film on its tape, and the face that it cools.</summary>
    private static IEnumerable<SceneThing> Sink(WorkOrder order, StuckSink sink)
    {
        var face = Id.Face(sink.Board, sink.Part.Id);
        yield return new(SinkSteps.Sink(sink), Condition.InBox)
        {
            Board = sink.Board,
            Face = sink.Part.Face,
            Wanted = true,
        };
        yield return new(SinkSteps.Film(sink), Condition.FilmOn) { On = [SinkSteps.Sink(sink)] };
        yield return new(face, Condition.Dirty)
        {
            Board = sink.Board,
            Face = sink.Part.Face,
            Hot = true,
            Under =
            [
                .. TeardownStation
                    .Pieces(order)
                    .SelectMany(p => Stock(order, p, []))
                    .Where(t => t.Id.Kind == ThingKind.Piece && t.Closes.Contains(face))
                    .Select(t => t.Id),
                SinkSteps.Sink(sink),
            ],
        };
    }

    /// <summary>What of a block closes over a face of a board.</summary>
    private static IEnumerable<ThingId> Closers(Pair pair, string board, Face face, WorkOrder order)
    {
        var plates = pair.Block.Plates.Where(p => order.KeyOf(pair, p) == board && p.Face == face).ToList();
        if (plates.Count > 0)
            return plates.Select(p => Id.Plate(pair.Key, p.Id));
        return face == Face.Back && pair.Block.BackPlate is not null ? [new(ThingKind.Backplate, pair.Key)] : [];
    }

    private static readonly string[] Sides = ["inner", "outer"];

    private static IEnumerable<SceneThing> Pad(WorkOrder order, PadPiece piece)
    {
        var pad = Id.Pad(piece);
        yield return new(pad, Condition.Uncut)
        {
            Face = piece.Face,
            Board = piece.OnBlock || piece.Half is not null ? null : piece.Board,
            // a module stands on its edge
            Reach = order.Find(piece.Board)!.Board.Kind == BoardKind.MemoryModule ? Reach.Edge : Reach.Open,
        };
        foreach (var side in Sides)
            yield return new(Id.Film(piece, side), Condition.FilmOn) { On = [pad] };
    }

    private static IEnumerable<SceneThing> Block(WorkOrder order, Pair pair, List<BoardFit> on, PadsResult pads)
    {
        var block = pair.Block;
        ThingId id = new(ThingKind.Block, pair.Key);
        var own = order.Boxes.Contains(pair);
        if (own)
        {
            yield return new(id, Condition.InBox) { Wetted = true };
            yield return new(Id.Sticker(pair.Key), Condition.FilmOn);
            foreach (var port in OpenPorts.Plugged(order, pair))
                yield return new(new(ThingKind.Plug, pair.Key, port.Id), Condition.InBox) { Wanted = true };
            foreach (var port in OpenPorts.Used(order, pair))
                yield return new(new(ThingKind.Fitting, pair.Key, port.Id), Condition.InBox) { Wanted = true };
        }
        foreach (var carrier in block.Carriers)
            yield return new(new(ThingKind.Carrier, pair.Key, carrier.Id), Condition.InBox)
            {
                On = [.. block.Plates.Where(p => p.Face == carrier.Face).Select(p => Id.Plate(pair.Key, p.Id))],
            };
        if (own && block.Carriers.Count > 0)
            yield return new(Id.Bolts(pair.Key), Condition.Out) { On = [id], Wanted = true };
        foreach (var at in on)
        foreach (var plate in at.Laid.Block.Plates)
        foreach (var thing in Plate(pair, plate, at, pads))
            yield return thing.Id.Kind == ThingKind.Plate ? OnPieces(order, pair, thing) : thing;
        foreach (var half in block.Halves)
            yield return new(new(ThingKind.Half, pair.Key, half.Id), Condition.InBox)
            {
                On = [Id.Plate(pair.Key, half.Plate)],
            };
        var first = on[0];
        if (block.BackPlate is not null)
            yield return new(new(ThingKind.Backplate, pair.Key), Condition.InBox)
            {
                Board = first.Board,
                Face = Face.Back,
                On = [id],
                Wanted = true,
                Closes = Contacts(first, Face.Back),
                Takes = PadsOn(pads, pair, first.Board, Face.Back),
            };
        if (block.BracketSlots is not null)
            yield return new(new(ThingKind.Bracket, first.Board), Condition.InBox) { On = [id], Wanted = true };
        foreach (var header in block.Headers)
            yield return new(new(ThingKind.Lead, pair.Key, header), Condition.Free) { On = [id] };
        foreach (var join in block.Joins)
            if (OpenPorts.Other(order, pair, join) is { } other)
                yield return new(new(ThingKind.Link, join.Id), Condition.InBox)
                {
                    Wanted = true,
                    Holds = [id, new(ThingKind.Block, other.Key)],
                };
    }

    /// <summary>A block that sits on stock pieces comes down once they are there.</summary>
    private static SceneThing OnPieces(WorkOrder order, Pair pair, SceneThing plate) =>
        plate with
        {
            On = [.. plate.On, .. FittedAgain.Under(order, pair).Select(p => Id.Piece(p.Board, p.Piece))],
        };

    private static IEnumerable<SceneThing> Plate(Pair pair, Plate plate, BoardFit at, PadsResult pads)
    {
        var id = Id.Plate(pair.Key, plate.Id);
        yield return new(id, Condition.InBox)
        {
            Board = at.Board,
            Face = plate.Face,
            Closes = [.. Contacts(at, plate.Face), .. plate.Lands.Select(l => Id.Land(pair.Key, plate.Id, l.Id))],
            Takes = PadsOn(pads, pair, at.Board, plate.Face),
        };
        foreach (var land in plate.Lands)
            yield return new(Id.Land(pair.Key, plate.Id, land.Id), Condition.Dirty);
        foreach (var ring in ScrewRings.Find(at.Laid.Block, plate))
            yield return new(ring.Id(pair.Key), Condition.Out)
            {
                Board = at.Board,
                Face = plate.Face,
                On = [id, .. Under(at, ring)],
                Holds =
                    !ring.Shared ? []
                    : pair.Block.BackPlate is not null ? [new(ThingKind.Backplate, pair.Key)]
                    : Behind(at, ring),
                Wanted = true,
            };
    }

    /// <summary>A stock plate that lies under the board before the first of the ring's screws bites.</summary>
    private static IEnumerable<ThingId> Under(BoardFit at, ScrewRing ring) =>
        at
            .Laid.Block.StockPlates.Where(p =>
                BehindScrews.FromStart(at.Laid.Block, p) && p.UsesHoles.Any(ring.Holes.Contains)
            )
            .Select(p => Id.Piece(at.Board, p.Piece));

    /// <summary>The stock plate behind the board that a ring goes through.</summary>
    private static List<ThingId> Behind(BoardFit at, ScrewRing ring) =>
        [
            .. at
                .Laid.Block.StockPlates.Where(p => p.Pair is null && p.UsesHoles.Any(ring.Holes.Contains))
                .Select(p => Id.Piece(at.Board, p.Piece)),
        ];

    private static List<ThingId> Contacts(BoardFit at, Face face)
    {
        var met = at.Laid.Contacts();
        return
        [
            .. at
                .Laid.Board.Parts.Where(p => p.Face == face && met.Contains(p.Id))
                .Select(p => Id.Face(at.Board, p.Id)),
        ];
    }

    private static List<ThingId> PadsOn(PadsResult pads, Pair pair, string board, Face face) =>
        [
            .. pads
                .Pieces.Where(p => p.Pair == pair.Key && p.Board == board && p.Face == face && p.Parts.Count > 0)
                .Select(Id.Pad),
        ];

    /// <summary>Ids of things, as every plan and every act spells them.</summary>
    internal static class Id
    {
        public static ThingId Board(string key) => new(ThingKind.Board, key);

        public static ThingId Piece(string owner, string id) => new(ThingKind.Piece, owner, id);

        public static ThingId Screws(string owner, string group) => new(ThingKind.Screws, owner, group);

        public static ThingId Lead(string owner, string id) => new(ThingKind.Lead, owner, id);

        /// <summary>A lead, or the ribbon whose plug it is.</summary>
        public static ThingId Plugged(WorkOrder order, Lead lead, string owner) =>
            RibbonEnds.ThingOf(order, lead, owner);

        public static ThingId Face(string board, string part) => new(ThingKind.Face, board, part);

        public static ThingId Plate(string pair, string plate) => new(ThingKind.Plate, pair, plate);

        public static ThingId Land(string pair, string plate, string land) =>
            new(ThingKind.Face, pair, $"{plate}/{land}");

        /// <summary>Bolts of a block through the carriers of all its modules.</summary>
        public static ThingId Bolts(string pair) => new(ThingKind.Screws, pair, "bolts");

        public static ThingId Sticker(string pair) => new(ThingKind.Film, pair, "sticker");

        /// <summary>By the first part it lies on; behind the board with its face.</summary>
        public static ThingId Pad(PadPiece piece) => new(ThingKind.Pad, piece.Board, PartKey(piece));

        public static ThingId Film(PadPiece piece, string side) =>
            new(ThingKind.Film, piece.Board, $"{PartKey(piece)}/{side}");

        private static string PartKey(PadPiece piece) =>
            piece.Face == Boards.Face.Back ? $"{piece.Parts[0]}@back" : piece.Parts[0];
    }
}
