using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Teardown;

/// <summary>
/// A card of boards that face each other is turned as one: what is on the back of a flipped board is reached from the side
/// on which the first board's front lies. Its order is searched by sides and told by each board's own faces.
/// </summary>
internal static class CardSides
{
    /// <summary>The board with its assembly's faces as sides of the whole card.</summary>
    public static Board ToSides(WorkOrder order, Workpiece piece, Board board)
    {
        if (Flipped(order).Count == 0)
            return board;
        Face Side(string target, Face face) => IsFlipped(order, piece, target) ? Other(face) : face;
        var a = board.Assembly!;
        return board with
        {
            Assembly = a with
            {
                Pieces = [.. a.Pieces.Select(p => p with { Face = Side(p.Id, p.Face) })],
                Fasteners = [.. a.Fasteners.Select(f => f with { Face = Side(f.Id, f.Face) })],
                Leads = [.. a.Leads.Select(l => l with { Face = Side(l.Id, l.Face) })],
            },
        };
    }

    /// <summary>A plan by sides, told by each board's own faces.</summary>
    public static TeardownPlan ToFaces(WorkOrder order, Workpiece piece, TeardownPlan plan) =>
        Flipped(order).Count == 0
            ? plan
            : plan with
            {
                Steps =
                [
                    .. plan.Steps.Select(s => IsFlipped(order, piece, s.Target) ? s with { Face = Other(s.Face) } : s),
                ],
                Restore =
                [
                    .. plan.Restore.Select(s =>
                        IsFlipped(order, piece, s.Target) ? s with { Face = Other(s.Face) } : s
                    ),
                ],
            };

    private static HashSet<string> Flipped(WorkOrder order) =>
        order.Assembly is null ? [] : [.. order.Pieces.Where(p => p.Pose?.Flipped == true).Select(p => p.Key)];

    private static bool IsFlipped(WorkOrder order, Workpiece piece, string target) =>
        Flipped(order).Contains(TeardownStation.BoardOf(order, piece, target));

    private static Face Other(Face face) => face == Face.Front ? Face.Back : Face.Front;
}
