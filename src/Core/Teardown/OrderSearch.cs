using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Teardown;

/// <summary>
/// The legal order with the fewest flips, then the fewest driver changes. An act that can be done with the board and the
/// driver as they are costs nothing now and can only cost later, so it is done at once; between those, best-first search
/// (A*, Hart, Nilsson and Raphael 1968) chooses the next face and driver. A beam of the best few orders goes ahead: nothing that
/// cannot beat its order is looked at, and when the budget is spent its order stands unproven.
/// </summary>
internal sealed class OrderSearch
{
    internal const int FlipCost = 1 << 12;

    private readonly AssemblyGraph _graph;
    private readonly int _budget,
        _beamWidth;
    private readonly UInt128[] _onFace = new UInt128[2];
    private readonly string[] _drivers;
    private readonly UInt128[] _withDriver;
    private readonly UInt128 _all;

    /// <param name="budget">States to look at before the beam's order is taken unproven.</param>
    /// <param name="beamWidth">Orders that the beam carries on side by side.</param>
    public OrderSearch(AssemblyGraph graph, int budget = 120_000, int beamWidth = 400)
    {
        (_graph, _budget, _beamWidth) = (graph, budget, beamWidth);
        _drivers = [.. graph.Acts.Select(a => a.Driver).OfType<string>().Distinct()];
        _withDriver = new UInt128[_drivers.Length];
        for (var i = 0; i < graph.Acts.Count; i++)
        {
            var bit = UInt128.One << i;
            _all |= bit;
            _onFace[(int)graph.Acts[i].Face] |= bit;
            if (graph.Acts[i].Driver is { } d)
                _withDriver[Array.IndexOf(_drivers, d)] |= bit;
        }
    }

    private readonly record struct State(UInt128 Done, int Face, int Driver);

    /// <summary>
    /// Indices of the acts in order, and whether no better order exists. Of equally good ones that in which two hands
    /// hold what hangs by no screw while the board is turned.
    /// </summary>
    public (List<int> Order, bool Proven) Solve(CancellationToken cancel)
    {
        var start = new State(0, -1, -1);
        var (beam, least) = Beam(start, cancel);
        var (found, cost, proven) = Best(start, least, cancel);
        var order = found ?? beam;
        return
            MaxLoose(order) > BenchState.Hands
            && Best(start, (found is null ? least : cost) + 1, cancel, BenchState.Hands).Order is { } held
            ? (held, proven)
            : (order, proven);
    }

    /// <summary>Most pieces that hang by no screw while the board is turned over.</summary>
    private int MaxLoose(List<int> order)
    {
        var (done, most) = (UInt128.Zero, 0);
        for (var i = 0; i < order.Count; i++)
        {
            if (i > 0 && _graph.Acts[order[i]].Face != _graph.Acts[order[i - 1]].Face)
                most = Math.Max(most, _graph.Loose(done));
            done |= UInt128.One << order[i];
        }
        return most;
    }

    /// <param name="least">Only what costs less is looked for.</param>
    /// <param name="hands">How many loose pieces a turn of the board may have.</param>
    /// <returns>The order and what it costs; null where there is none; and whether that is certain.</returns>
    private (List<int>? Order, int Cost, bool Proven) Best(
        State start,
        int least,
        CancellationToken cancel,
        int hands = int.MaxValue
    )
    {
        var cost = new Dictionary<State, int> { [start] = 0 };
        var from = new Dictionary<State, State>();
        var queue = new PriorityQueue<State, (int, int)>();
        queue.Enqueue(start, (Bound(start), 0));
        var serial = 0;
        while (queue.TryDequeue(out var state, out var rank))
        {
            if ((serial & 1023) == 0)
                cancel.ThrowIfCancellationRequested();
            var spent = cost[state];
            if (rank.Item1 > spent + Bound(state))
                continue;
            if (state.Done == _all)
                return (Unroll(state, from), spent, true);
            if (++serial > _budget)
                return (null, 0, false);
            var firm = hands == int.MaxValue || _graph.Loose(state.Done) <= hands;
            foreach (var (next, extra) in Next(state))
            {
                if (
                    !firm && extra >= FlipCost
                    || spent + extra + Bound(next) >= least
                    || cost.TryGetValue(next, out var known) && known <= spent + extra
                )
                    continue;
                cost[next] = spent + extra;
                from[next] = state;
                // deeper states first among equals
                queue.Enqueue(next, (spent + extra + Bound(next), -(int)UInt128.PopCount(next.Done)));
            }
        }
        return (null, 0, true);
    }

    /// <summary>A good order and what it costs: of all states after one, two, three … choices, the best few are carried on.</summary>
    private (List<int> Order, int Cost) Beam(State start, CancellationToken cancel)
    {
        var from = new Dictionary<State, State>();
        Dictionary<State, int> wave = new() { [start] = 0 },
            reached = [];
        (State Last, int Cost)? best = null;
        var last = wave;
        while (wave.Count > 0)
        {
            cancel.ThrowIfCancellationRequested();
            last = wave;
            var next = new Dictionary<State, int>();
            foreach (var (state, spent) in wave)
            {
                if (state.Done == _all)
                {
                    if (best is null || spent < best.Value.Cost)
                        best = (state, spent);
                    continue;
                }
                foreach (var (to, extra) in Next(state))
                {
                    if (best is { } b && spent + extra + Bound(to) >= b.Cost)
                        continue;
                    // what was left behind may be met again: only what was carried on is done with
                    if (
                        reached.TryGetValue(to, out var known) && known <= spent + extra
                        || next.TryGetValue(to, out known) && known <= spent + extra
                    )
                        continue;
                    next[to] = spent + extra;
                    from[to] = state;
                }
            }
            wave =
                next.Count <= _beamWidth
                    ? next
                    : next.OrderBy(n => n.Value + Bound(n.Key))
                        .ThenByDescending(n => (int)UInt128.PopCount(n.Key.Done))
                        .Take(_beamWidth)
                        .ToDictionary();
            foreach (var (state, spent) in wave)
                reached[state] = spent;
        }
        var (end, cost) = best ?? Nearest(last.MinBy(n => n.Value + Bound(n.Key)), from);
        return (Unroll(end, from), cost);
    }

    /// <summary>From where the beam ran dry, each time the choice that costs least.</summary>
    private (State Last, int Cost) Nearest(KeyValuePair<State, int> begun, Dictionary<State, State> from)
    {
        var (state, spent) = begun;
        while (state.Done != _all)
        {
            var (to, extra) = Next(state).MinBy(n => n.Extra + Bound(n.State));
            from[to] = state;
            (state, spent) = (to, spent + extra);
        }
        return (state, spent);
    }

    private int Bound(State s) => MinLeft(s.Done, s.Face, s.Driver);

    /// <summary>At least this much is still to pay: a flip if the other face has work, a change for each driver not in hand.</summary>
    /// <param name="done">Acts done, one bit each.</param>
    /// <param name="face">That lies up; −1 before the first act.</param>
    /// <param name="driver">In hand, by its first act; −1 for none.</param>
    internal int MinLeft(UInt128 done, int face, int driver)
    {
        var open = _all & ~done;
        var bound = 0;
        if (face >= 0 ? (open & ~_onFace[face]) != 0 : (open & _onFace[0]) != 0 && (open & _onFace[1]) != 0)
            bound += FlipCost;
        var drivers = 0;
        for (var d = 0; d < _drivers.Length; d++)
            if (d != driver && (open & _withDriver[d]) != 0)
                drivers++;
        return bound + Math.Max(0, driver < 0 ? drivers - 1 : drivers);
    }

    private IEnumerable<(State State, int Extra)> Next(State s)
    {
        var ready = Ready(s.Done);
        for (var face = 0; face < 2; face++)
        {
            var here = ready & _onFace[face];
            if (here == 0)
                continue;
            var flip = s.Face >= 0 && s.Face != face ? FlipCost : 0;
            var bare = here;
            for (var d = 0; d < _drivers.Length; d++)
            {
                bare &= ~_withDriver[d];
                if ((here & _withDriver[d]) == 0)
                    continue;
                yield return (Close(s.Done, face, d), flip + (s.Driver >= 0 && s.Driver != d ? 1 : 0));
            }
            if (bare != 0)
                yield return (Close(s.Done, face, s.Driver), flip);
        }
    }

    private UInt128 Ready(UInt128 done)
    {
        UInt128 ready = 0;
        for (var i = 0; i < _graph.Before.Length; i++)
            if ((done >> i & 1) == 0 && (_graph.Before[i] & ~done) == 0)
                ready |= UInt128.One << i;
        return ready;
    }

    private UInt128 Free(int face, int driver)
    {
        var other = UInt128.Zero;
        for (var d = 0; d < _drivers.Length; d++)
            if (d != driver)
                other |= _withDriver[d];
        return _onFace[face] & ~other;
    }

    private State Close(UInt128 done, int face, int driver)
    {
        var free = Free(face, driver);
        for (UInt128 now; (now = Ready(done) & free) != 0; )
            done |= now;
        return new(done, face, driver);
    }

    private List<int> Unroll(State last, Dictionary<State, State> from)
    {
        var chain = new List<State> { last };
        while (from.TryGetValue(chain[^1], out var before))
            chain.Add(before);
        chain.Reverse();
        var order = new List<int>();
        for (var k = 1; k < chain.Count; k++)
        {
            var done = chain[k - 1].Done;
            while (done != chain[k].Done)
            {
                var i = (int)UInt128.TrailingZeroCount(Ready(done) & chain[k].Done & ~done);
                order.Add(i);
                done |= UInt128.One << i;
            }
        }
        return order;
    }
}
