using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>A block in two halves closes round its board: board into the lower half, the upper half over both.</summary>
internal static class HalfSteps
{
    /// <param name="fromBack">Whether the board is seen from behind while it is lowered.</param>
    public static IEnumerable<WorkStep> Steps(WorkOrder order, Pair pair, BoardFit on, bool fromBack)
    {
        // the half that the board is lowered into carries the face that then lies below
        var below = fromBack ? Face.Front : Face.Back;
        List<BlockHalf> halves = [.. pair.Block.Halves.OrderByDescending(h => h.Face == below)];
        var dropped = halves.SelectMany(h => h.DropParts).ToList();
        for (var i = 0; i < halves.Count; i++)
        {
            var (half, first) = (halves[i], i == 0);
            yield return new()
            {
                Id = new(Station.Mount, order.ScopeOf(pair, on.Board), first ? "lower" : $"close-{half.Id}"),
                Kind = StepKind.Lower,
                Board = on.Board,
                Pair = pair.Key,
                Face = first && fromBack ? Face.Back : Face.Front,
                Title = first
                    ? HalfStepsWords.LayHalfOnBoxAndLower(Name(half))
                    : HalfStepsWords.CloseHalfOverBoardHoles(Name(half)),
                Detail =
                    first ? HalfStepsWords.PadsAndPaste
                    : dropped.Count > 0
                        ? HalfStepsWords.BackInTheirSeatsBeforeHalves(Capital(string.Join(", ", dropped)))
                    : HalfStepsWords.DrivesPlugStaysInReach,
                Caution = HalfStepsWords.StraightDownNoSliding,
                Done = first ? HalfStepsWords.BoardLiesIn : HalfStepsWords.ClosedHolesLineUp,
                Targets =
                [
                    .. on.Laid.Block.Plates.Where(p => p.Id == half.Plate).SelectMany(p => p.Holes).Select(h => h.Id),
                ],
            };
        }
    }

    public static string Name(BlockHalf half) => half.Face == Face.Front ? "front" : "back";

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
