namespace FaithfulBracket.Core.Boards;

/// <summary>The screws of a stock cooler round its die.</summary>
public static class Rings
{
    public static bool IsRing(FastenerGroup group) => group.Ring == "retention";

    /// <summary>Whether another group holds the same piece as one round the die: their order is then a choice.</summary>
    public static bool HasPeers(Assembly assembly) =>
        assembly.Fasteners.Where(IsRing).Any(r => assembly.Fasteners.Any(p => ArePeers(r, p)));

    /// <summary>Whether a group that is no ring holds a piece that the ring holds too.</summary>
    public static bool ArePeers(FastenerGroup ring, FastenerGroup other) =>
        !IsRing(other) && other.Joins.Any(x => x != Assembly.BoardId && ring.Joins.Contains(x));
}
