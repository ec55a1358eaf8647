using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>Slots that a card takes with its block on.</summary>
/// <param name="Slots">How many, its own among them.</param>
public sealed record SlotUse(string Card, int Slot, int Slots);

/// <summary>A rigid link between two cards' ports.</summary>
/// <param name="DistanceMm">From port to port along the slots.</param>
/// <param name="OffsetMm">How far the ports stand beside each other.</param>
public sealed record LinkStand(
    MachineLinkEnd From,
    MachineLinkEnd To,
    double DistanceMm,
    double OffsetMm,
    double MinMm,
    double MaxMm,
    double MostOffsetMm
)
{
    public bool Fits => DistanceMm >= MinMm - 1e-9 && DistanceMm <= MaxMm + 1e-9 && OffsetMm <= MostOffsetMm + 1e-9;
}

/// <summary>How the cards of a machine stand to each other. Lengths mm.</summary>
/// <param name="Free">Slots that stay free between and beside the cards, where the case states its slots; else those between.</param>
/// <param name="Plugs">Ports that no link uses and the loop does not need: in and out remain open.</param>
public sealed record MachineStand(
    IReadOnlyList<SlotUse> Slots,
    IReadOnlyList<LinkStand> Links,
    IReadOnlyList<int> Free,
    int Plugs
);

/// <summary>Slots and links of the cards in one machine.</summary>
public static class MachineRoom
{
    public static MachineStand? Compute(WorkOrder order, IReadOnlyList<PairFit> pairs)
    {
        if (order.Machine is not { } machine)
            return null;
        var slots = machine
            .Cards.Where(c => order.Find(c.Key) is not null)
            .Select(c => new SlotUse(c.Key, c.Slot, Taken(order, pairs, machine, c)))
            .OrderBy(s => s.Slot)
            .ToList();
        var links = machine.Links.Select(l => Stand(order, pairs, machine, l)).OfType<LinkStand>().ToList();
        return new(slots, links, Free(slots, machine), order.Pairs.Sum(p => OpenPorts.Count(order, p)));
    }

    public static IEnumerable<BetweenFault> Faults(WorkOrder order, IReadOnlyList<PairFit> pairs)
    {
        if (Compute(order, pairs) is not { } stand)
            yield break;
        foreach (var (a, b) in stand.Slots.Zip(stand.Slots.Skip(1)))
            if (b.Slot < a.Slot + a.Slots)
                yield return new(
                    BetweenCode.Slot,
                    a.Card,
                    b.Card,
                    MachineRoomWords.CardWithBlockTakesSlots(a.Card, a.Slot, a.Slot + a.Slots - 1, b.Card, b.Slot)
                );
        foreach (var link in stand.Links.Where(l => !l.Fits))
            yield return new(
                BetweenCode.LinkMiss,
                link.From.Card,
                link.To.Card,
                Text(link),
                MissMm: Math.Max(
                    Math.Max(link.MinMm - link.DistanceMm, link.DistanceMm - link.MaxMm),
                    link.OffsetMm - link.MostOffsetMm
                )
            );
    }

    private static Message Text(LinkStand link) =>
        link.OffsetMm > link.MostOffsetMm
            ? MachineRoomWords.PortOfCardAndPort(
                link.From.Port,
                link.From.Card,
                link.To.Port,
                link.To.Card,
                link.OffsetMm,
                link.MostOffsetMm
            )
            : MachineRoomWords.PortOfCardAndPortOfCard(
                link.From.Port,
                link.From.Card,
                link.To.Port,
                link.To.Card,
                link.DistanceMm,
                link.MinMm,
                link.MaxMm
            );

    private static PairFit? FitOn(WorkOrder order, IReadOnlyList<PairFit> pairs, string card) =>
        pairs.FirstOrDefault(f => f.On.Any(o => o.Board == card) && order.Pairs.Any(p => p.Key == f.Key));

    /// <summary>By bracket, and by the block's height over the board.</summary>
    private static int Taken(WorkOrder order, IReadOnlyList<PairFit> pairs, Machine machine, MachineCard card)
    {
        if (FitOn(order, pairs, card.Key) is not { } fit)
            return order.Find(card.Key)!.Board.Slots ?? 1;
        var block = order.Pairs.First(p => p.Key == fit.Key).Block;
        var height = (fit.On[0].Fit.PlaneMm ?? 0) + (block.HeightMm ?? 0);
        return Math.Max(block.BracketSlots ?? 1, (int)Math.Ceiling(height / machine.SlotPitchMm - 1e-9));
    }

    private static List<int> Free(List<SlotUse> slots, Machine machine)
    {
        if (slots.Count == 0)
            return [];
        var taken = slots.SelectMany(s => Enumerable.Range(s.Slot, s.Slots)).ToHashSet();
        var last = machine.Slots ?? slots.Max(s => s.Slot + s.Slots - 1);
        return [.. Enumerable.Range(1, Math.Max(0, last)).Where(s => !taken.Contains(s))];
    }

    private static LinkStand? Stand(WorkOrder order, IReadOnlyList<PairFit> pairs, Machine machine, MachineLink link)
    {
        if (At(order, pairs, machine, link.From) is not { } from || At(order, pairs, machine, link.To) is not { } to)
            return null;
        return new(
            link.From,
            link.To,
            Math.Abs(to.Along - from.Along),
            (to.Plan - from.Plan).Length,
            link.MinMm,
            link.MaxMm,
            link.OffsetMm
        );
    }

    /// <summary>A port along the slots and in the plane of the cards, whose brackets and slot edges line up.</summary>
    private static (double Along, Point2 Plan)? At(
        WorkOrder order,
        IReadOnlyList<PairFit> pairs,
        Machine machine,
        MachineLinkEnd end
    )
    {
        if (
            machine.Cards.FirstOrDefault(c => c.Key == end.Card) is not { } card
            || order.Find(end.Card) is not { } piece
            || FitOn(order, pairs, end.Card) is not { } fit
        )
            return null;
        var block = order.Pairs.First(p => p.Key == fit.Key).Block;
        if (block.Ports.FirstOrDefault(p => p.Id == end.Port) is not { } port)
            return null;
        var on = fit.On.First(o => o.Board == end.Card);
        var edge = piece.Board.Outline.Bounds;
        return (
            card.Slot * machine.SlotPitchMm + (on.Fit.PlaneMm ?? 0) + (port.ZMm ?? (block.HeightMm ?? 0) / 2),
            on.Fit.Placement.Apply(port.At) - new Point2(edge.MinX, edge.MinY)
        );
    }
}
