namespace FaithfulBracket.Core.Mount;

/// <summary>One step of turning: one pass over the screws, or several alike one after the other.</summary>
/// <param name="Pass">Which step it is, from 1, of how many.</param>
/// <param name="Rounds">Passes that it goes round.</param>
/// <param name="Moves">What every screw is turned in it, all rounds together; as it stands after the last.</param>
/// <param name="Each">The single turns.</param>
internal sealed record PassRounds(
    int Pass,
    int Passes,
    int Rounds,
    IReadOnlyList<TighteningMove> Moves,
    IReadOnlyList<TighteningMove> Each
)
{
    /// <summary>More steps than this nobody signs: small turns are then gone round several times in one.</summary>
    private const int MaxSteps = 6;

    public static IReadOnlyList<PassRounds> From(TighteningResult t)
    {
        List<List<TighteningMove>> passes =
        [
            .. t.Moves.GroupBy(m => m.Pass).OrderBy(g => g.Key).Select(g => g.ToList()),
        ];
        if (passes.Count <= MaxSteps)
            return [.. passes.Select((p, i) => new PassRounds(i + 1, passes.Count, 1, p, p))];
        // the pass in which screws come home stands by itself
        var alike = (int)Math.Ceiling((passes.Count - 1) / (double)(MaxSteps - 1));
        List<List<List<TighteningMove>>> steps =
        [
            .. passes.SkipLast(1).Chunk(alike).Select(c => c.ToList()),
            [passes[^1]],
        ];
        return
        [
            .. steps.Select(
                (s, i) =>
                {
                    List<TighteningMove> each = [.. s.SelectMany(p => p)];
                    return new PassRounds(
                        i + 1,
                        steps.Count,
                        s.Count,
                        [.. each.GroupBy(m => m.Hole).Select(Sum)],
                        each
                    );
                }
            ),
        ];
    }

    private static TighteningMove Sum(IEnumerable<TighteningMove> turns)
    {
        List<TighteningMove> all = [.. turns];
        return all[^1] with
        {
            Turns = all.Sum(m => m.Turns),
            AdvanceMm = all.Sum(m => m.AdvanceMm),
            TiltDeg = all.Max(m => m.TiltDeg),
            PeakMPa = all.Max(m => m.PeakMPa),
            Home = all.Exists(m => m.Home),
        };
    }
}
