using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Identify;

/// <summary>One hole or part of a constellation.</summary>
/// <param name="DiameterMm">Of a hole, when it was measured.</param>
/// <param name="Kind">Of a part, when it was told.</param>
/// <param name="HeightMm">Of a part, when it was measured.</param>
/// <param name="Id">As the board or the user calls it.</param>
public sealed record SeenPoint(
    double X,
    double Y,
    bool IsHole,
    double? DiameterMm = null,
    PartKind? Kind = null,
    double? HeightMm = null,
    string? Id = null
)
{
    public Point2 At => new(X, Y);
}

/// <summary>Holes and front parts as points in one frame, mm.</summary>
public sealed class Constellation(IReadOnlyList<SeenPoint> points)
{
    public IReadOnlyList<SeenPoint> Points { get; } = points;

    /// <summary>What of a board can be seen from the die side; empty sites are left out.</summary>
    public static Constellation From(Board board) =>
        new([
            .. board.Holes.Select(h => new SeenPoint(h.X, h.Y, true, h.DiameterMm, Id: h.Id)),
            .. board
                .Parts.Where(p => p.Face == Face.Front && p.Kind != PartKind.Empty)
                .Select(p => new SeenPoint(p.X, p.Y, false, null, p.Kind, p.StatedHeightMm, p.Id)),
        ]);
}
