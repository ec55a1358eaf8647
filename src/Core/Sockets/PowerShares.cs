using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Sockets;

/// <summary>How a package's power is shared by its dies.</summary>
public static class PowerShares
{
    /// <summary>Stated shares sum to one within this.</summary>
    public const double SumWithin = 0.01;

    /// <summary>As stated; the rest by area, all by area where none is.</summary>
    public static double[] Compute(IReadOnlyList<Part> dies)
    {
        var stated = dies.Sum(d => d.PowerShare ?? 0);
        var openArea = dies.Where(d => d.PowerShare is null).Sum(d => d.Top().Area);
        double[] shares =
        [
            .. dies.Select(d => d.PowerShare ?? Math.Max(0, 1 - stated) * d.Top().Area / Math.Max(openArea, 1e-9)),
        ];
        return shares.Sum() > 0 ? shares : [.. dies.Select(d => d.Top().Area / dies.Sum(x => x.Top().Area))];
    }
}
