namespace FaithfulBracket.Core.Prove;

/// <summary>
/// Where a log is cut into stretches of one load each: for each number of cuts the ones that leave least (Bellman 1961), and of the
/// numbers the one whose cuts earn their keep.
/// </summary>
internal sealed class LogCuts
{
    public const int LeastInStretch = 8,
        MostStretches = 10;

    /// <summary>Places between which cuts are sought first, and to either side of which then.</summary>
    private const int Places = 30;

    private readonly List<LogSample> _log;
    private readonly CancellationToken _cancel;
    private readonly Dictionary<(int From, int To), double> _squares = [];

    private LogCuts(List<LogSample> log, CancellationToken cancel) => (_log, _cancel) = (log, cancel);

    /// <summary>The first sample of each stretch, from 0.</summary>
    public static IReadOnlyList<int> Of(List<LogSample> log, CancellationToken cancel = default)
    {
        var n = log.Count;
        if (n < 2 * LeastInStretch)
            return [0];
        var cuts = new LogCuts(log, cancel);
        var noise = Math.Pow(LogNoise.Of(log), 2);
        // what one exponential leaves has to be clearly more than noise
        return cuts.Squares(0, n) < noise * (n + 6 * Math.Sqrt(2.0 * n)) ? [0] : cuts.Best(noise * n);
    }

    /// <summary>
    /// Four figures more for each cut have to earn their keep (Bayesian information criterion, twice over); what lies under the noise is
    /// no gain.
    /// </summary>
    private IReadOnlyList<int> Best(double floor)
    {
        double Cost(IReadOnlyList<int> cuts) =>
            _log.Count * Math.Log(Left(cuts) + floor) + 2 * 4 * Math.Log(_log.Count) * (cuts.Count - 1);
        return ByNumber().Select(Nudged).MinBy(Cost)!;
    }

    /// <summary>For each number of stretches the cuts among evenly spread places that leave least.</summary>
    private IEnumerable<List<int>> ByNumber()
    {
        var n = _log.Count;
        var stride = Math.Max(1, n / Places);
        List<int> places = [.. Enumerable.Range(0, (n - LeastInStretch) / stride + 1).Select(i => i * stride), n];
        // least left from the start to each place, by so many stretches, and where the last of them begins
        var left = places.ConvertAll(p => p >= LeastInStretch ? Squares(0, p) : double.PositiveInfinity);
        var begins = new List<int[]>();
        yield return [0];
        for (var stretches = 2; stretches <= MostStretches && stretches * LeastInStretch <= n; stretches++)
        {
            var next = new List<double>(places.Count);
            var from = new int[places.Count];
            for (var to = 0; to < places.Count; to++)
            {
                var best = double.PositiveInfinity;
                for (var i = 1; i < to && places[to] - places[i] >= LeastInStretch; i++)
                    if (left[i] < best && left[i] + Squares(places[i], places[to]) is var sum && sum < best)
                        (best, from[to]) = (sum, i);
                next.Add(best);
            }
            begins.Add(from);
            left = next;
            if (double.IsInfinity(left[^1]))
                yield break;
            var at = places.Count - 1;
            var cuts = new List<int>();
            for (var k = begins.Count - 1; k >= 0; k--)
            {
                at = begins[k][at];
                cuts.Insert(0, places[at]);
            }
            yield return [0, .. cuts];
        }
    }

    /// <summary>Each cut moved to the sample where the two stretches beside it leave least, until none moves.</summary>
    private List<int> Nudged(List<int> cuts)
    {
        var reach = Math.Max(1, _log.Count / Places);
        for (var moved = true; moved; )
        {
            moved = false;
            for (var k = 1; k < cuts.Count; k++)
            {
                int before = cuts[k - 1],
                    after = k + 1 < cuts.Count ? cuts[k + 1] : _log.Count,
                    first = Math.Max(before + LeastInStretch, cuts[k] - reach),
                    last = Math.Min(after - LeastInStretch, cuts[k] + reach);
                var best = Enumerable.Range(first, last - first + 1).MinBy(c => Squares(before, c) + Squares(c, after));
                if (Squares(before, best) + Squares(best, after) >= Squares(before, cuts[k]) + Squares(cuts[k], after))
                    continue;
                (cuts[k], moved) = (best, true);
            }
        }
        return cuts;
    }

    private double Left(IReadOnlyList<int> cuts) =>
        cuts.Select((c, k) => Squares(c, k + 1 < cuts.Count ? cuts[k + 1] : _log.Count)).Sum();

    private double Squares(int from, int to)
    {
        if (_squares.TryGetValue((from, to), out var known))
            return known;
        return _squares[(from, to)] = Exponential.Fit(_log.GetRange(from, to - from), _cancel).Squares;
    }
}
