using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Orders;

/// <summary>
/// Ribbons that may stay plugged while two boards that face each other are opened like a book and laid side by side.
/// </summary>
public static class RibbonStay
{
    /// <summary>Height of its two plugs together, by which the ribbon is shorter than the boards lie apart, mm.</summary>
    private const double PlugsMm = 4;

    /// <summary>Boards that lie nearer than this leave no room for a hand at their edge, mm.</summary>
    public const double MinApartMm = 10;

    /// <summary>
    /// How far apart the two boards can lie at the edge that they are opened over, mm: what the ribbon has, straight between
    /// its ends in the closed card and its slack, less its plugs and its way from each end to that edge.
    /// </summary>
    /// <returns>Null where its slack or the boards' places are not known, or the boards do not face each other.</returns>
    public static double? ApartMm(WorkOrder order, Ribbon ribbon)
    {
        if (
            ribbon.SlackMm is not { } slack
            || order.Find(ribbon.From.Board) is not { } one
            || order.Find(ribbon.To.Board) is not { } other
            || (one.Pose?.Flipped ?? false) == (other.Pose?.Flipped ?? false)
        )
            return null;
        Point2 from = Place(one.Pose, ribbon.From.At),
            to = Place(other.Pose, ribbon.To.At);
        var between = (one.Pose?.SpacingMm ?? 0) - (other.Pose?.SpacingMm ?? 0);
        var straight = Math.Sqrt((from - to).Length * (from - to).Length + between * between);
        return straight + slack - PlugsMm - Sides(one).Zip(Sides(other), (a, b) => a(from) + b(to)).Min();
    }

    /// <summary>Ribbons that are long enough for it.</summary>
    public static IReadOnlyList<Ribbon> Possible(WorkOrder order) =>
        [.. order.Ribbons.Where(r => ApartMm(order, r) >= MinApartMm)];

    /// <summary>Those that stay plugged.</summary>
    public static IReadOnlyList<Ribbon> Chosen(WorkOrder order, Ways ways) =>
        ways.Ribbon == RibbonBetween.Stay ? Possible(order) : [];

    /// <summary>A stock assembly without their plugs: nobody opens those.</summary>
    /// <param name="boardOf">Key of the board that a lead is plugged into.</param>
    public static Assembly Without(
        WorkOrder order,
        Assembly assembly,
        Func<string, string> boardOf,
        IReadOnlyList<Ribbon> staying
    )
    {
        var plugs = assembly
            .Leads.Where(l => RibbonEnds.Find(order, l, boardOf(l.Id)) is { } r && staying.Contains(r))
            .Select(l => l.Id)
            .ToHashSet();
        return plugs.Count == 0
            ? assembly
            : assembly with
            {
                Leads = [.. assembly.Leads.Where(l => !plugs.Contains(l.Id))],
                After = [.. assembly.After.Where(a => !plugs.Contains(a.First) && !plugs.Contains(a.Second))],
            };
    }

    /// <summary>A point of a board as it lies over the first board of the card.</summary>
    private static Point2 Place(BoardPose? pose, Point2 at) =>
        pose is null ? at : new(pose.XMm + (pose.Flipped ? -at.X : at.X), pose.YMm + at.Y);

    /// <summary>The ways from a point to the left, right, lower and upper edge of a board as it lies in the card.</summary>
    private static IEnumerable<Func<Point2, double>> Sides(Workpiece piece)
    {
        var b = piece.Board.Outline.Bounds;
        Point2 one = Place(piece.Pose, new(b.MinX, b.MinY)),
            other = Place(piece.Pose, new(b.MaxX, b.MaxY));
        return
        [
            p => p.X - Math.Min(one.X, other.X),
            p => Math.Max(one.X, other.X) - p.X,
            p => p.Y - Math.Min(one.Y, other.Y),
            p => Math.Max(one.Y, other.Y) - p.Y,
        ];
    }
}
