using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Plans.Walk;

/// <summary>What a processor in its socket adds to the bench: package, lid, clamp, frame, plate, posts, the opened block.</summary>
internal static class SeatScene
{
    /// <param name="things">Those of the boards and blocks, made already.</param>
    /// <param name="metal">Whether liquid metal goes on its dies: only then the bare parts have to be coated.</param>
    /// <returns>The same with those of the seat, and what changes with them.</returns>
    public static List<SceneThing> With(WorkOrder order, SeatPlan seat, List<SceneThing> things, bool metal)
    {
        var piece = order.Find(seat.Board)!;
        var (socket, isIn) = (piece.Seated!.Socket, SeatedBoard.IsIn(piece));
        var at = new SeatThings(seat);
        var lidded = seat.Bare && HeightChain.Lid(piece.Seated.Processor) is not null;
        var contacts = piece
            .Board.Parts.Where(p => p.Kind is PartKind.Lid or PartKind.Die)
            .Select(p => BenchScene.Id.Face(seat.Board, p.Id))
            .ToHashSet();
        // the lid that a cooler was on is gone from the board by the time its dies are met
        var bonded = things
            .Where(t => t.Id.Kind == ThingKind.Piece && t.Id.Owner == seat.Board && t.Closes.Any(OnPackage))
            .Select(t => t.Id);
        List<ThingId> over =
        [
            .. bonded,
            .. things.Where(t => t.Id.Kind == ThingKind.Plate && t.Id.Owner == seat.Pair).Select(t => t.Id),
        ];
        bool OnPackage(ThingId face) =>
            contacts.Contains(face)
            || piece.Seated.Processor.Parts.Any(p => SeatedBoard.NameOn(piece.Seated, p.Id) == face.Key);
        SceneThing OnBoard(ThingId id, Condition start) => new(id, start) { Board = seat.Board };

        List<ThingId> coated = [.. seat.Coat.Select(c => BenchScene.Id.Face(seat.Board, c))];
        List<SceneThing> own =
        [
            OnBoard(at.Processor, isIn ? Condition.On : Condition.InBox) with
            {
                Under = over,
                Wanted = true,
            },
            OnBoard(at.Clamp, Condition.Closed) with
            {
                Under = over,
                Holds = [at.Processor],
            },
            .. coated.Select(f => OnBoard(f, Condition.Clean)),
        ];
        if (socket.Levers > 0)
            own.Add(OnBoard(at.Levers, Condition.Closed) with { Under = over });
        if (seat.Bare)
            own.Add(
                OnBoard(at.Frame, Condition.InBox) with
                {
                    On = [at.Processor],
                    Holds = [at.Processor],
                    Wanted = true,
                }
            );
        if (lidded)
            own.AddRange([
                OnBoard(at.Lid, Condition.On),
                OnBoard(at.Substrate, Condition.Dirty) with
                {
                    Under = [at.Lid],
                },
                new(ThingId.Jig, Condition.On),
            ]);
        own.AddRange(Behind(socket, seat, at));
        if (seat.Fit is { JetPlate: not null } fit)
            own.AddRange([
                new(at.Jet, Condition.InBox),
                .. fit.Insert is null ? Array.Empty<SceneThing>() : [new(at.Insert, Condition.InBox)],
                new(at.LidRing, Condition.InBox),
            ]);
        return [.. things.Select(t => Changed(t, seat, at, lidded, metal ? coated : [])), .. own];
    }

    private static SceneThing Changed(
        SceneThing thing,
        SeatPlan seat,
        SeatThings at,
        bool lidded,
        List<ThingId> coated
    ) =>
        thing.Id.Kind == ThingKind.Plate && thing.Id.Owner == seat.Pair && seat.Posts.Count > 0
            ? thing with
            {
                On = [at.Posts],
            }
        : thing is { Id.Kind: ThingKind.Face, TakesPaste: true } && thing.Board == seat.Board
            ? thing with
            {
                Under = lidded ? [at.Lid, .. thing.Under] : thing.Under,
                On = [at.Processor, .. coated],
            }
        : thing;

    /// <summary>Gasket and plate behind the board, and the posts that go into them.</summary>
    private static IEnumerable<SceneThing> Behind(Socket socket, SeatPlan seat, SeatThings at)
    {
        var plate = socket is { Posts: Posts.BackPlate, StockBackPlate: false };
        if (plate && socket.Gasket)
            yield return new(at.Gasket, Condition.InBox)
            {
                Board = seat.Board,
                Face = Face.Back,
                Under = [at.Plate],
                Wanted = true,
            };
        if (plate)
            yield return new(at.Plate, Condition.InBox)
            {
                Board = seat.Board,
                Face = Face.Back,
                On = socket.Gasket ? [at.Gasket] : [],
                Wanted = true,
            };
        if (seat.Posts.Count > 0)
            yield return new(at.Posts, Condition.InBox)
            {
                Board = seat.Board,
                On = plate ? [at.Plate] : [],
                Holds =
                    !plate ? []
                    : socket.Gasket ? [at.Plate, at.Gasket]
                    : [at.Plate],
                Wanted = true,
            };
    }
}
