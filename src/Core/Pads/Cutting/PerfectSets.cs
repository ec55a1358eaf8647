using System.Numerics;

namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>
/// Fills a rectangle without waste by listing every rectangle that some of the pieces make up exactly: two that share a side and
/// no piece are joined, the likeliest first, until all pieces are in one. Ends with a tree, or when there is none or the budget is
/// spent.
/// </summary>
internal sealed class PerfectSets(double width, double height, int budget)
{
    /// <summary>Lengths are whole steps of this, mm.</summary>
    private const double StepMm = 1e-4;

    public const int MaxPieces = 32;

    /// <summary>Pairs looked at for each rectangle of the budget.</summary>
    private const int Comparisons = 400;

    private readonly long _width = Steps(width),
        _height = Steps(height);
    private readonly List<Made> _made = [];
    private readonly HashSet<(uint Pieces, long Side)> _known = [];
    private readonly Dictionary<long, List<int>> _bySide = [];
    private readonly Dictionary<long, int> _common = [];

    /// <param name="Pieces">Bit set of the pieces in it.</param>
    /// <param name="A">Left or lower part; −1 for a single piece.</param>
    /// <param name="Unlikely">How many joins of its kind chance alone would make, as a logarithm.</param>
    private readonly record struct Made(uint Pieces, long W, long H, int A, int B, double Unlikely);

    public CutNode? Solve(IReadOnlyList<(double W, double H)> pieces, CancellationToken cancel)
    {
        var all = pieces.Count == 32 ? uint.MaxValue : (1u << pieces.Count) - 1;
        var waiting = new PriorityQueue<int, double>();
        long compared = 0;
        for (var i = 0; i < pieces.Count; i++)
        {
            var (w, h) = (Steps(pieces[i].W), Steps(pieces[i].H));
            _common[w] = _common.GetValueOrDefault(w) + 1;
            if (h != w)
                _common[h] = _common.GetValueOrDefault(h) + 1;
            Keep(new(1u << i, w, h, -1, i, 0), waiting);
        }
        for (var looked = 0; waiting.TryDequeue(out var at, out _); looked++)
        {
            if ((looked & 255) == 0)
                cancel.ThrowIfCancellationRequested();
            var r = _made[at];
            foreach (var side in r.W == r.H ? [r.W] : (ReadOnlySpan<long>)[r.W, r.H])
            {
                if (!_bySide.TryGetValue(side, out var others))
                    _bySide[side] = others = [];
                var beside = r.W == side ? r.H : r.W;
                var chance = Math.Log(_common.GetValueOrDefault(side) + 1);
                compared += others.Count;
                if (compared > Comparisons * (long)budget)
                    return null;
                foreach (var k in others)
                {
                    var q = _made[k];
                    if ((q.Pieces & r.Pieces) != 0)
                        continue;
                    var both = beside + (q.W == side ? q.H : q.W);
                    if (!Fits(side, both))
                        continue;
                    var joined = new Made(q.Pieces | r.Pieces, side, both, at, k, q.Unlikely + r.Unlikely + chance);
                    if (joined.Pieces == all)
                    {
                        var root = new CutNode(new(0, 0, width, height));
                        Unfold(joined, root, side == _width && both == _height);
                        return root;
                    }
                    Keep(joined, waiting);
                    if (_made.Count > budget)
                        return null;
                }
                others.Add(at);
            }
        }
        return null;
    }

    private void Keep(Made r, PriorityQueue<int, double> waiting)
    {
        if (!_known.Add((r.Pieces, Math.Min(r.W, r.H))))
            return;
        _made.Add(r);
        waiting.Enqueue(_made.Count - 1, r.Unlikely - 2.2 * BitOperations.PopCount(r.Pieces));
    }

    private bool Fits(long a, long b) => a <= _width && b <= _height || b <= _width && a <= _height;

    private static long Steps(double mm) => (long)Math.Round(mm / StepMm);

    /// <param name="upright">Whether W of the rectangle lies along x.</param>
    private void Unfold(Made r, CutNode node, bool upright)
    {
        if (r.A < 0)
        {
            node.Piece = r.B;
            node.Rotated = !upright;
            return;
        }
        var (a, b) = (_made[r.A], _made[r.B]);
        // the shared side is W: the two lie one over the other along H
        var first = a.W == r.W ? a.H : a.W;
        if (a.W == r.W && a.H == r.W)
            first = a.H;
        var mm = first * StepMm;
        if (upright)
            node.CutAt('y', node.Rect.Y + mm);
        else
            node.CutAt('x', node.Rect.X + mm);
        Unfold(a, node.First!, upright == (a.W == r.W));
        Unfold(b, node.Second!, upright == (b.W == r.W));
    }
}
