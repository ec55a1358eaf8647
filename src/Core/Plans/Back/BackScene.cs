using System.Collections.Immutable;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>
/// The bench as it stands when somebody wants everything back as it was: the same things, those of the stock cooler
/// wanted again, its own pads and paste in place of the block's.
/// </summary>
internal static class BackScene
{
    /// <param name="forward">The bench on the way there.</param>
    /// <param name="stands">What stands now.</param>
    /// <param name="gone">Stock pieces, screws and leads that cannot go back.</param>
    public static Scene Create(
        WorkOrder order,
        Scene forward,
        BenchState stands,
        IReadOnlyList<StockContact> contacts,
        IReadOnlySet<ThingId> gone
    )
    {
        var back = contacts.Where(c => !gone.Contains(c.Piece)).ToList();
        List<SceneThing> things =
        [
            .. forward.Things.Where(t => !OfPad(t)).Select(t => Thing(t, stands, back, gone, forward)),
        ];
        foreach (var contact in back)
        foreach (var face in contact.Faces.Where(f => things.TrueForAll(t => t.Id != f)))
            things.Add(Face(order, contact, face, back, stands));
        foreach (var pad in back.SelectMany(c => c.Pads).DistinctBy(p => p.Pad))
        {
            things.Add(new(pad.Pad, Condition.Uncut));
            foreach (var side in (ReadOnlySpan<string>)["inner", "outer"])
                things.Add(
                    new(pad.Pad with { Kind = ThingKind.Film, Key = $"{pad.Pad.Key}/{side}" }, Condition.FilmOn)
                    {
                        On = [pad.Pad],
                    }
                );
        }
        return new([.. things.DistinctBy(t => t.Id)]) { IsBack = true };
    }

    /// <summary>What stands, seen with the things of the way back.</summary>
    public static BenchState Start(Scene back, BenchState stands) =>
        stands with
        {
            Conditions = back.Things.ToImmutableDictionary(t => t.Id, t => t.Start),
            Held = [],
        };

    /// <summary>The block's pads and their films leave with it.</summary>
    private static bool OfPad(SceneThing thing) =>
        thing.Id.Kind is ThingKind.Pad or ThingKind.Putty || thing.Id.Kind == ThingKind.Film && thing.On.Count > 0;

    private static bool OfStock(SceneThing thing, Scene forward) =>
        thing.Id.Kind is ThingKind.Piece or ThingKind.Ribbon
        || thing.Id.Kind is ThingKind.Screws or ThingKind.Lead
            && thing.Start is Condition.Home or Condition.Plugged
            && forward.Find(new(ThingKind.Block, thing.Id.Owner)) is null;

    private static SceneThing Thing(
        SceneThing thing,
        BenchState stands,
        List<StockContact> back,
        IReadOnlySet<ThingId> gone,
        Scene forward
    )
    {
        var stock = OfStock(thing, forward);
        var start = stands.Conditions.GetValueOrDefault(thing.Id, thing.Start);
        var now = thing with
        {
            // screws of the stock that are out lie in the tray
            Start = stock && start == Condition.Out ? Condition.Off : start,
            Wanted = stock && !gone.Contains(thing.Id),
        };
        return thing.Id.Kind switch
        {
            ThingKind.Plate or ThingKind.Backplate => now with { Takes = [] },
            ThingKind.Piece => now with
            {
                Closes = [.. back.Where(c => c.Piece == thing.Id).SelectMany(c => c.Faces).Distinct()],
                Takes = [.. back.Where(c => c.Piece == thing.Id).SelectMany(c => c.Pads).Select(p => p.Pad)],
            },
            ThingKind.Face when thing.Board is not null => Taking(now, back),
            _ => now,
        };
    }

    private static SceneThing Face(
        WorkOrder order,
        StockContact contact,
        ThingId id,
        List<StockContact> back,
        BenchState stands
    )
    {
        var part = order.Find(contact.Board)!.Board.FindPart(id.Key.Split('@')[0]);
        return Taking(
            new(id, stands.Is(contact.Piece, Condition.On) ? Condition.Taken : Condition.Dirty)
            {
                Board = contact.Board,
                Face = contact.Side,
                Hot = part?.Cool == Cooling.Must,
                Reach = order.Find(contact.Board)!.Board.Kind == BoardKind.MemoryModule ? Reach.Edge : Reach.Open,
            },
            back
        );
    }

    /// <summary>A face with what lies over it and between, on the way back.</summary>
    private static SceneThing Taking(SceneThing face, List<StockContact> back)
    {
        var own = back.Where(c => c.Faces.Contains(face.Id)).ToList();
        return face with
        {
            Under = [.. face.Under.Concat(own.Select(c => c.Piece)).Distinct()],
            Takes = [.. own.SelectMany(c => c.Pads).Where(p => p.Face == face.Id).Select(p => p.Pad)],
            TakesPaste = own.Exists(c => c.Pasted.Contains(face.Id)),
            // what only the block cooled has no cooler of its own
            Hot = face.Hot && own.Count > 0,
            On = [],
        };
    }
}
