namespace FaithfulBracket.Core.Prove;

/// <summary>
/// Where a log is cut into stretches of one load each: for each number of stretches the cuts that leave least (Bellman
/// 1961), and of the numbers the one whose cuts earn their keep.
/// </summary>
internal sealed class LogCuts
{
    private const int MinInStretch = 8,
        MaxStretches = 24;

    /// <summary>The search knows time constants roughly: its cuts may lie this many samples off.</summary>
    private const int Reach = 3;

    private readonly List<LogSample> _log;
    private readonly CancellationToken _cancel;
    private readonly Dictionary<(int From, int To), double> _squares = [];

    private LogCuts(List<LogSample> log, CancellationToken cancel) => (_log, _cancel) = (log, cancel);

    /// <summary>The first sample of each stretch, from 0.</summary>
    /// <param name="resolutionK">What the sensor tells apart: its steps are no change of load.</param>
    public static IReadOnlyList<int> Find(
        List<LogSample> log,
        double resolutionK = 0,
        CancellationToken cancel = default
    )
    {
        var n = log.Count;
        if (n < 2 * MinInStretch)
            return [0];
        var noise = LogNoise.Compute(log, resolutionK);
        var cuts = new LogCuts(log, cancel);
        // what one exponential leaves has to be clearly more than noise
        return cuts.Squares(0, n) < noise * noise * (n + 6 * Math.Sqrt(2.0 * n)) ? [0] : cuts.Best(noise * noise * n);
    }

    /// <summary>
    /// Four figures more for each cut have to earn their keep (Bayesian information criterion, twice over); what lies
    /// under the noise is no gain.
    /// </summary>
    private List<int> Best(double floor)
    {
        double Cost(List<int> cuts) =>
            _log.Count * Math.Log(Left(cuts) + floor) + 2 * 4 * Math.Log(_log.Count) * (cuts.Count - 1);
        return Nudged(ByNumber().Select(c => Nudged(c, Reach, Squares)).MinBy(Cost)!, 1, Whole);
    }

    /// <summary>
    /// For each number of stretches the cuts that leave least, as far as roughly known time constants tell.
    /// </summary>
    private IEnumerable<List<int>> ByNumber()
    {
        var n = _log.Count;
        var rough = StretchSquares.Compute(_log, _cancel);
        // the least that is left up to each sample by so many stretches, and where the last of them begins
        var left = Enumerable
            .Range(0, n + 1)
            .Select(to => to < MinInStretch ? double.PositiveInfinity : rough[0, to])
            .ToArray();
        var begins = new List<int[]>();
        yield return [0];
        for (var stretches = 2; stretches <= MaxStretches && stretches * MinInStretch <= n; stretches++)
        {
            var next = new double[n + 1];
            var from = new int[n + 1];
            for (var to = 0; to <= n; to++)
            {
                next[to] = double.PositiveInfinity;
                for (var i = MinInStretch; i <= to - MinInStretch; i++)
                    if (left[i] + rough[i + 1, to] is var sum && sum < next[to])
                        (next[to], from[to]) = (sum, i);
            }
            begins.Add(from);
            left = next;
            var cuts = new List<int> { n };
            for (var k = begins.Count - 1; k >= 0; k--)
                cuts.Insert(0, begins[k][cuts[0]]);
            yield return [0, .. cuts[..^1]];
        }
    }

    /// <summary>Each cut moved to the sample where the two stretches beside it leave least, until none moves.</summary>
    private List<int> Nudged(List<int> cuts, int reach, Func<int, int, double> squares)
    {
        for (var moved = true; moved; )
        {
            moved = false;
            for (var k = 1; k < cuts.Count; k++)
            {
                int before = cuts[k - 1],
                    after = k + 1 < cuts.Count ? cuts[k + 1] : _log.Count,
                    first = Math.Max(before + MinInStretch, cuts[k] - reach),
                    last = Math.Min(after - MinInStretch, cuts[k] + reach);
                double Beside(int cut) => squares(before, cut) + squares(cut, after);
                var best = Enumerable.Range(first, last - first + 1).MinBy(Beside);
                if (Beside(best) >= Beside(cuts[k]))
                    continue;
                (cuts[k], moved) = (best, true);
            }
        }
        return cuts;
    }

    private double Left(List<int> cuts) =>
        cuts.Select((c, k) => Squares(c, k + 1 < cuts.Count ? cuts[k + 1] : _log.Count)).Sum();

    /// <summary>
    /// What a stretch leaves without its first sample: a load changes within one, or an average holds both, and such a
    /// sample is worth no cut of its own.
    /// </summary>
    private double Squares(int from, int to) => Whole(from == 0 ? 0 : from + 1, to);

    private double Whole(int from, int to)
    {
        if (_squares.TryGetValue((from, to), out var known))
            return known;
        return _squares[(from, to)] = Exponential.Fit(_log.GetRange(from, to - from), _cancel).Squares;
    }
}
