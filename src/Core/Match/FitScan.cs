using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>One pair of a scan.</summary>
/// <param name="Fit">The full answer; null where the screws settle it without one.</param>
public sealed record ScanEntry(
    Block Block,
    Verdict Verdict,
    EvidenceGrade Grade,
    Message Summary,
    string TopReason,
    double ChanceOfSeating,
    FitResult? Fit
)
{
    /// <summary>Another socket or another pattern of screws: no work mends it.</summary>
    public bool IsHopeless => Verdict == Verdict.Clashes && Match.Fit.Hopeless.Any(h => h.Words == Summary);
}

/// <summary>
/// One board against many blocks: proofs on the screw pattern first, the exact judgement for those that may go on.
/// </summary>
public static class FitScan
{
    /// <summary>The exact alignment may turn a block by this much from its allowed turn, rad.</summary>
    private const double TurnReach = 0.04;

    /// <summary>Verdict, grade, summary and chance are the same as judging every pair in full.</summary>
    public static ScanEntry[] Run(
        Board board,
        IReadOnlyList<Block> blocks,
        FitSettings? settings = null,
        CancellationToken cancel = default
    )
    {
        var entries = new ScanEntry[blocks.Count];
        var distances = new HoleDistances(board);
        Parallel.For(
            0,
            blocks.Count,
            new() { CancellationToken = cancel },
            i => entries[i] = One(board, blocks[i], distances, settings, cancel)
        );
        return entries;
    }

    /// <summary>The full answer for an entry that the scan settled by its screws alone.</summary>
    public static ScanEntry InFull(
        Board board,
        Block block,
        FitSettings? settings = null,
        CancellationToken cancel = default
    )
    {
        var f = Fit.Judge(board, block, settings, cancel);
        return new(block, f.Verdict, f.Grade, f.Summary, f.Reasons[0].Text, f.ChanceOfSeating, f);
    }

    /// <summary>One pair, settled by its screws where they settle it.</summary>
    public static ScanEntry One(
        Board board,
        Block block,
        FitSettings? settings = null,
        CancellationToken cancel = default
    ) => One(board, block, new HoleDistances(board), settings, cancel);

    private static ScanEntry One(
        Board board,
        Block block,
        HoleDistances distances,
        FitSettings? settings,
        CancellationToken cancel
    )
    {
        if (board.Socket is { } socket && block.Sockets.Count > 0 && !block.Sockets.Any(s => s.Socket == socket))
            return Settled(
                board,
                block,
                0,
                EnvelopeWords.BoardsSocketIs(socket, string.Join(", ", block.Sockets.Select(s => s.Socket)))
            );
        // measured positions may lie anywhere near: only holes out of all reach settle those
        if (board.PositionSigmaMm > 0 ? !MayPair(board, block) : !distances.MayLineUp(block))
            return Settled(board, block, 1, FitScanWords.BlocksPatternOfHolesIsAnother);
        return InFull(board, block, settings, cancel);
    }

    private static ScanEntry Settled(Board board, Block block, int hopeless, Message reason) =>
        new(block, Verdict.Clashes, Fit.Grade(board, block), Fit.Hopeless[hopeless].Words, reason, 0, null);

    /// <summary>
    /// False only when no placement gives every required screw a hole within the capture radius: from one screw on
    /// each hole in turn, every other screw must have a hole within twice that radius, the slots' reach and what the
    /// turn can add.
    /// </summary>
    public static bool MayPair(Board board, Block block)
    {
        var required = block
            .Plates.Where(p => p.Board is null || p.Board == board.Id)
            .SelectMany(p => p.Holes)
            .Where(h => h.Required)
            .ToArray();
        if (required.Length < 2)
            return required.Length <= board.Holes.Count;
        if (board.Holes.Count == 0)
            return false;
        // the screw farthest from the others tells patterns apart soonest
        var anchor = required[0];
        Array.Sort(required, (a, b) => (b.At - anchor.At).Length.CompareTo((a.At - anchor.At).Length));
        var slots = 2 * board.Holes.Max(h => h.SlotMm);
        foreach (var turn in block.Rotations.DefaultIfEmpty(0))
        foreach (var hole in board.Holes)
            if (Reaches(board, required, anchor, hole.At, turn * Math.PI / 180, slots))
                return true;
        return false;
    }

    private static bool Reaches(
        Board board,
        BlockHole[] required,
        BlockHole anchor,
        Point2 at,
        double turn,
        double slots
    )
    {
        var (s, c) = Math.SinCos(turn);
        foreach (var screw in required)
        {
            var d = screw.At - anchor.At;
            double x = at.X + c * d.X - s * d.Y,
                y = at.Y + s * d.X + c * d.Y,
                reach = 2 * HoleAlignment.CaptureMm + slots + TurnReach * d.Length;
            var met = false;
            foreach (var hole in board.Holes)
            {
                double dx = hole.X - x,
                    dy = hole.Y - y;
                if (dx * dx + dy * dy <= reach * reach)
                {
                    met = true;
                    break;
                }
            }
            if (!met)
                return false;
        }
        return true;
    }
}
