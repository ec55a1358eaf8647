using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>Stick-on sinks from the kit for the parts a block leaves uncovered.</summary>
public static class PassiveSinks
{
    /// <summary>The coolest sink of the kit that the part can carry, with the temperature T = air + P·R; each sink is used once.</summary>
    public static IReadOnlyList<PassiveSink> For(Board board, Block block, IReadOnlyList<string> uncovered, double airC)
    {
        // the same sink may stand in two lines of a kit
        var left = (block.Kit?.Sinks ?? [])
            .SelectMany(s => Enumerable.Repeat(s, Math.Min(s.Count, uncovered.Count)))
            .ToList();
        var placed = new List<PassiveSink>();
        foreach (var part in uncovered.Select(board.FindPart).OfType<Part>().OrderByDescending(p => p.DissipationW))
        {
            var sink = left.OrderBy(s => Overhang(s, part)).ThenBy(s => s.RKPerW).FirstOrDefault();
            if (sink is null)
                break;
            left.Remove(sink);
            placed.Add(
                new(
                    part.Id,
                    sink.WidthMm,
                    sink.DepthMm,
                    sink.HeightMm,
                    airC + part.DissipationW * sink.RKPerW,
                    part.LimitC
                )
                {
                    RKPerW = sink.RKPerW,
                }
            );
        }
        return placed;
    }

    private static double Overhang(KitSink sink, Part part) =>
        Math.Max(0, sink.WidthMm - part.WidthMm - 4) + Math.Max(0, sink.DepthMm - part.DepthMm - 4);
}
