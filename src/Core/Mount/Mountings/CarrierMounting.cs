using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <summary>A memory module between its two carriers, its edge pads trimmed.</summary>
internal sealed class CarrierMounting(MountedPair at) : IMounting
{
    public string Turned => "Screw";

    public IEnumerable<WorkStep> Steps()
    {
        yield return MemoryBridge.Between(at.Order, at.Pair, at.On);
        List<WorkStep> edges = [.. PadSteps.LaidBehind(at.Order, at.Pair, at.Own(edges: true), at.Ways)];
        foreach (var edge in edges)
            yield return edge;
        if (edges.Count > 0)
            yield return MemoryBridge.Trim(at.Order, at.Pair, at.On);
    }
}
