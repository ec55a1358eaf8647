using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Mount;

/// <summary>A screw of a block as it is turned.</summary>
/// <param name="Number">Its place in the order, from 1.</param>
/// <param name="Held">Whether it stays out until the back plate is on.</param>
public sealed record MountScrew(string Hole, int Number, string Driver, bool Held);

/// <summary>Which screws go in when, in which order, with which driver.</summary>
internal static class MountScrews
{
    /// <summary>Where neither block nor kit says.</summary>
    private const string AnyDriver = "PH1";

    /// <summary>Screws that go in now, and those that a back plate needs.</summary>
    public static (List<BlockHole> First, List<BlockHole> Held) Split(Block block, Ways ways)
    {
        var holes = block.Plates.SelectMany(p => p.Holes).ToList();
        var uses = BehindScrews.Held(block);
        var held = holes.Where(h => uses.Contains(h.Id)).ToList();
        return (ways.AllScrewsIn ? holes : [.. holes.Except(held)], held);
    }

    public static IEnumerable<BlockHole> Sequence(Block block, List<BlockHole> first, TighteningResult? tightening) =>
        tightening is null
            ? block.Plates.SelectMany(p => ScrewOrder.Compute([.. p.Holes.Intersect(first)]))
            : [.. tightening.Order.Select(id => first.First(h => h.Id == id)), .. Untold(first, tightening)];

    /// <summary>Screws that go in now and that the simulation does not turn: those of a second half, or behind the board.</summary>
    public static IReadOnlyList<BlockHole> Untold(List<BlockHole> first, TighteningResult tightening) =>
        ScrewOrder.Compute([.. first.Where(h => !tightening.Order.Contains(h.Id))]);

    public static IEnumerable<BlockHole> Numbered(List<BlockHole> sequence, List<BlockHole> held) =>
        sequence.Concat(ScrewOrder.Compute([.. held.Except(sequence)]));

    /// <summary>The driver that turns a screw of this thread, by the block's kit.</summary>
    public static string Driver(Block block, BlockHole hole) =>
        block.Kit?.Screws.FirstOrDefault(s => s.Thread == hole.Thread)?.Driver ?? AnyDriver;

    public static IReadOnlyList<MountScrew> Find(Block block, Ways ways, TighteningResult? tightening)
    {
        var (first, held) = Split(block, ways);
        List<BlockHole> sequence = [.. Sequence(block, first, tightening)];
        return
        [
            .. Numbered(sequence, held)
                .Select((h, i) => new MountScrew(h.Id, i + 1, Driver(block, h), !sequence.Contains(h))),
        ];
    }
}
