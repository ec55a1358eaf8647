using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount.Mountings;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <summary>A block in two halves closes round its board: board into the lower half, the upper half over both.</summary>
internal sealed class ShellMounting(MountedPair at) : ScrewedMounting(at)
{
    /// <summary>Pads that lie behind the board are laid once it lies in the lower half, before the upper one closes.</summary>
    protected override IEnumerable<WorkStep> Down()
    {
        foreach (var (half, i) in Halves().Select((h, i) => (h, i)))
        {
            if (i > 0)
                foreach (var lay in Laid())
                    yield return lay;
            yield return half;
        }
    }

    private IEnumerable<WorkStep> Halves()
    {
        var (pair, on) = (At.Pair, At.On);
        // the half that the board is lowered into carries the face that then lies below
        var below = FromBack ? Face.Front : Face.Back;
        List<BlockHalf> halves = [.. pair.Block.Halves.OrderByDescending(h => h.Face == below)];
        var dropped = halves.SelectMany(h => h.DropParts).ToList();
        for (var i = 0; i < halves.Count; i++)
        {
            var (half, first) = (halves[i], i == 0);
            yield return new()
            {
                Id = At.Id(first ? "lower" : $"close-{half.Id}"),
                Kind = StepKind.Lower,
                Board = on.Board,
                Pair = pair.Key,
                Face = first && FromBack ? Face.Back : Face.Front,
                Title = first
                    ? ShellMountingWords.LayHalfOnBoxAndLower(Name(half))
                    : ShellMountingWords.CloseHalfOverBoardHoles(Name(half)),
                Detail =
                    first ? ShellMountingWords.PadsAndPaste
                    : dropped.Count > 0
                        ? ShellMountingWords.BackInTheirSeatsBeforeHalves(Capital(string.Join(", ", dropped)))
                    : ShellMountingWords.DrivesPlugStaysInReach,
                Caution = ShellMountingWords.StraightDownNoSliding,
                Done = first ? ShellMountingWords.BoardLiesIn : ShellMountingWords.ClosedHolesLineUp,
                Targets =
                [
                    .. on.Laid.Block.Plates.Where(p => p.Id == half.Plate).SelectMany(p => p.Holes).Select(h => h.Id),
                ],
            };
        }
    }

    private static string Name(BlockHalf half) => half.Face == Face.Front ? "front" : "back";

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
