using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Heat;

/// <summary>A paste in the same place: what it holds the die at.</summary>
/// <param name="ThroughK">Of the die's own heat through the film.</param>
/// <param name="DieC">Of the warmest die.</param>
/// <param name="AgainstK">Warmer than with the paste that is chosen; below 0 cooler.</param>
public sealed record PasteCost(string Id, double ThroughK, double DieC, double AgainstK, bool Chosen);

/// <summary>Every paste at hand under the same block, by what it costs in kelvin.</summary>
public static class PasteCosts
{
    /// <param name="at">The flow is the plate's.</param>
    public static IReadOnlyList<PasteCost> Compute(
        BlockHeat plate,
        StackUp stack,
        IReadOnlyList<PasteStock> pastes,
        HeatConditions at
    )
    {
        ExpectedPart? Warmest(PasteMaterial paste)
        {
            var dies = plate
                .Parts.Where(p => p.Pairing.Land.Through != Blocks.Through.Pad)
                .Select(p => p.Part.Id)
                .ToHashSet();
            return Expect
                .Compute(plate, stack.Pads, stack.Materials, paste, at)
                .Parts.Where(p => dies.Contains(p.Part) && p.Watts > 0)
                .MaxBy(p => p.C);
        }
        if (Warmest(stack.Paste) is not { } chosen)
            return [];
        return
        [
            .. pastes
                .DistinctBy(p => p.Material.Id)
                .Select(p => (Stock: p, Die: Warmest(p.Material)))
                .Where(x => x.Die is not null)
                .Select(x => new PasteCost(
                    x.Stock.Material.Id ?? x.Stock.Id,
                    x.Die!.ThroughK,
                    x.Die.C,
                    x.Die.C - chosen.C,
                    x.Stock.Material == stack.Paste
                ))
                .OrderBy(c => c.DieC),
        ];
    }
}
