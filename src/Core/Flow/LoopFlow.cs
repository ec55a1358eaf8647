using FaithfulBracket.Core.Heat;

namespace FaithfulBracket.Core.Flow;

/// <summary>A pump whose pressure falls with the square of its flow, and what hoses and radiator take.</summary>
/// <param name="HeadKPa">At no flow.</param>
/// <param name="FreeLMin">At no pressure.</param>
/// <param name="RestKPa">Drop of the loop without its blocks at <see cref="RestAtLMin"/>.</param>
public sealed record Pump(double HeadKPa, double FreeLMin, double RestKPa)
{
    public const double RestAtLMin = 4;
    private const double RestExponent = 1.75;

    public double KPa(double flowLMin) => HeadKPa * (1 - flowLMin * flowLMin / (FreeLMin * FreeLMin));

    public double Rest(double flowLMin) => RestKPa * Math.Pow(flowLMin / RestAtLMin, RestExponent);
}

/// <summary>A block as the loop sees it.</summary>
/// <param name="Watts">What it takes up, W.</param>
public sealed record LoopBlock(string Pair, DropCurve Drop, double Watts);

/// <summary>What one block gets.</summary>
/// <param name="Share">Of the loop's flow, 0 to 1.</param>
/// <param name="InletRiseK">How much warmer its coolant comes in than the loop's first block gets it.</param>
public sealed record LoopPair(string Pair, double FlowLMin, double DropKPa, double Share, double InletRiseK);

/// <param name="BlocksKPa">Drop over all blocks together.</param>
public sealed record LoopResult(
    bool Parallel,
    double FlowLMin,
    double BlocksKPa,
    double RestKPa,
    IReadOnlyList<LoopPair> Pairs
)
{
    /// <summary>Keys of pairs whose maker states no drop: the loop is calculated without them.</summary>
    public IReadOnlyList<string> Unknown { get; init; } = [];
}

/// <summary>Where a pump settles on several blocks, one after the other or side by side.</summary>
public static class LoopFlow
{
    /// <returns>Null without a block whose drop is known.</returns>
    public static LoopResult? Compute(IReadOnlyList<LoopBlock> blocks, bool parallel, Pump pump)
    {
        if (blocks.Count == 0)
            return null;
        double Blocks(double flow) => parallel ? Drop(blocks, flow) : blocks.Sum(b => b.Drop.KPa(flow));
        double low = 0,
            high = pump.FreeLMin;
        for (var i = 0; i < 60; i++)
        {
            var middle = (low + high) / 2;
            if (pump.KPa(middle) > pump.Rest(middle) + Blocks(middle))
                low = middle;
            else
                high = middle;
        }
        var flow = (low + high) / 2;
        var across = Blocks(flow);
        var rise = 0.0;
        var pairs = new List<LoopPair>();
        foreach (var b in blocks)
        {
            var own = parallel ? b.Drop.FlowAt(across) : flow;
            pairs.Add(new(b.Pair, own, b.Drop.KPa(own), own / flow, parallel ? 0 : rise));
            rise += Coolant.RiseK(b.Watts, flow);
        }
        return new(parallel, flow, across, pump.Rest(flow), pairs);
    }

    /// <summary>The drop at which blocks side by side take a flow together, kPa.</summary>
    private static double Drop(IReadOnlyList<LoopBlock> blocks, double flow)
    {
        if (flow <= 0)
            return 0;
        double low = 0,
            high = blocks.Max(b => b.Drop.KPa(flow));
        for (var i = 0; i < 60; i++)
        {
            var middle = (low + high) / 2;
            if (blocks.Sum(b => b.Drop.FlowAt(middle)) < flow)
                low = middle;
            else
                high = middle;
        }
        return (low + high) / 2;
    }
}
