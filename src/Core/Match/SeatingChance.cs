using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>Chance that a block seats on a board whose positions were measured: holes and parts drawn about where they were seen.</summary>
public static class SeatingChance
{
    public const double Passes = 0.95;
    public const double Fails = 0.05;
    private const int Draws = 2000;
    private const double ReachSigmas = 5;

    /// <summary>Share of draws in which every required screw goes through and no part meets the plate.</summary>
    /// <param name="knownHole">A hole of the board whose place is taken as exact.</param>
    public static double Compute(
        Board board,
        Alignment alignment,
        IReadOnlyList<(Ceiling Ceiling, Part Part)> loose,
        ulong seed,
        string? knownHole = null,
        CancellationToken cancel = default
    )
    {
        var sigma = board.PositionSigmaMm;
        if (alignment.Screws.Any(s => s.Required && s.BoardHole is null))
            return 0;
        var drifting = loose.Where(x => IsNearAnEdge(x.Ceiling, x.Part, sigma)).ToList();
        // a hole measured with a caliper no longer moves
        var known = knownHole is null ? null : board.Holes.FirstOrDefault(h => h.Id == knownHole);
        HolePair[] nominal = [.. alignment.RequiredPairs],
            drawn = new HolePair[nominal.Length];
        var draws = new NormalDraws(seed);
        var seated = 0;
        for (var k = 0; k < Draws; k++)
        {
            if ((k & 63) == 0)
                cancel.ThrowIfCancellationRequested();
            for (var i = 0; i < nominal.Length; i++)
            {
                var shift = new Point2(draws.Next() * sigma, draws.Next() * sigma);
                drawn[i] =
                    known is not null && nominal[i].Board == known.At
                        ? nominal[i]
                        : nominal[i] with
                        {
                            Board = nominal[i].Board + shift,
                        };
            }
            if (!ScrewsPass(drawn, alignment.Placement))
                continue;
            var clear = true;
            foreach (var (ceiling, part) in drifting)
            {
                var at = part with { X = part.X + draws.Next() * sigma, Y = part.Y + draws.Next() * sigma };
                if (ceiling.Over(at, at.Top()) is { MarginMm: < 0 })
                {
                    clear = false;
                    break;
                }
            }
            if (clear)
                seated++;
        }
        return seated / (double)Draws;
    }

    private static bool ScrewsPass(ReadOnlySpan<HolePair> pairs, Placement nominal) =>
        MinimaxPlacement.Ratio(pairs, nominal) <= 1 || PlacementBound.CanReachOne(pairs, nominal.RotationDeg);

    /// <summary>
    /// Whether moving the part within reach could change whether it clears. A part that clears or clashes everywhere
    /// near needs no draw of its own if it clears.
    /// </summary>
    private static bool IsNearAnEdge(Ceiling ceiling, Part part, double sigma)
    {
        var bounds = part.Top().Bounds.Grown(ReachSigmas * sigma);
        var grown = Polygon.Rectangle(
            new((bounds.MinX + bounds.MaxX) / 2, (bounds.MinY + bounds.MaxY) / 2),
            bounds.Width,
            bounds.Height
        );
        return ceiling.Over(part, grown) is { MarginMm: < 0 };
    }
}
