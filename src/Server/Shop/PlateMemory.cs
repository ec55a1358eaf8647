using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Server.Shop;

/// <summary>Cold plates that were reckoned, by the laid block and the flow, for as long as the plan that laid it is kept.</summary>
internal sealed class PlateMemory
{
    /// <summary>Flows kept for one laid block; a slider has fewer places.</summary>
    private const int MostFlows = 24;

    private readonly ConditionalWeakTable<LaidBlock, ConcurrentDictionary<double, BlockHeat>> _kept = [];

    /// <exception cref="Core.InputException">See <see cref="BlockHeat"/>.</exception>
    public BlockHeat Of(LaidBlock laid, double flowLMin, CancellationToken cancel)
    {
        var own = _kept.GetOrCreateValue(laid);
        if (own.TryGetValue(flowLMin, out var kept))
            return kept;
        var heat = BlockHeat.Of(laid, null, flowLMin, cancel);
        if (own.Count >= MostFlows)
            own.Clear();
        return own[flowLMin] = heat;
    }
}
