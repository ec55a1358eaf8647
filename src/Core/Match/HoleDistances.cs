using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>
/// Distances between a board's holes. A rigid block keeps the distances between its screws, so a choice of holes can only be right when
/// every distance between two holes is that of their screws, up to both slacks and the slots' reach. That proves most patterns wrong
/// without laying the block down.
/// </summary>
public sealed class HoleDistances
{
    /// <summary>Choices looked at before the question is left open.</summary>
    private const int MaxChoices = 20_000;
    private const double RoundingMm = 1e-6;

    private readonly Board _board;
    private readonly double[,] _between;

    public HoleDistances(Board board)
    {
        _board = board;
        var n = board.Holes.Count;
        _between = new double[n, n];
        for (var i = 0; i < n; i++)
        for (var j = 0; j < n; j++)
            _between[i, j] = (board.Holes[i].At - board.Holes[j].At).Length;
    }

    /// <summary>False only when no placement takes every required screw of the block through a hole.</summary>
    public bool MayLineUp(Block block)
    {
        List<BlockHole> required =
        [
            .. block
                .Plates.Where(p => p.Board is null || p.Board == _board.Id)
                .SelectMany(p => p.Holes)
                .Where(h => h.Required),
        ];
        if (required.Count == 0)
            return true;
        if (_board.Holes.Count == 0)
            return false;
        var anchor = required[0].At;
        // far screws tell patterns apart soonest
        required.Sort((a, b) => (b.At - anchor).Length.CompareTo((a.At - anchor).Length));
        Span<int> chosen = required.Count <= 64 ? stackalloc int[required.Count] : new int[required.Count];
        var budget = MaxChoices;
        return Choose(required, chosen, 0, ref budget);
    }

    private bool Choose(List<BlockHole> screws, Span<int> chosen, int at, ref int budget)
    {
        if (at == screws.Count)
            return true;
        for (var h = 0; h < _board.Holes.Count; h++)
        {
            if (--budget < 0)
                return true;
            if (Slack(h, screws[at]) < -RoundingMm)
                continue;
            var agrees = true;
            for (var k = 0; k < at && agrees; k++)
            {
                var apart = (screws[at].At - screws[k].At).Length - _between[h, chosen[k]];
                agrees =
                    Math.Abs(apart)
                    <= Slack(h, screws[at])
                        + Slack(chosen[k], screws[k])
                        + (_board.Holes[h].SlotMm + _board.Holes[chosen[k]].SlotMm) / 2
                        + RoundingMm;
            }
            if (!agrees)
                continue;
            chosen[at] = h;
            if (Choose(screws, chosen, at + 1, ref budget))
                return true;
        }
        return false;
    }

    private double Slack(int hole, BlockHole screw) => (_board.Holes[hole].DiameterMm - screw.ScrewMm) / 2;
}
