namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>
/// Fills a rectangle without waste, if it can be done with edge-to-edge cuts: rectangles with an equal side are merged, the
/// reverse of cutting, until one is left. Depth-first over merges with a table of visited multisets and a work budget.
/// </summary>
internal sealed class PerfectFill(double width, double height, int budget, ulong seed)
{
    private sealed record Merged(double W, double H, int Piece, bool Turned, Merged? A, Merged? B, bool SideBySide)
    {
        public Merged Turn() => this with { W = H, H = W, Turned = !Turned };
    }

    private readonly HashSet<long> _dead = [];
    private readonly Match.NormalDraws _draws = new(seed);
    private int _left = budget;

    /// <summary>A cutting tree that fills the rectangle, or null when none was found within the budget.</summary>
    public CutNode? Solve(IReadOnlyList<(double W, double H)> pieces)
    {
        var start = pieces.Select((p, i) => new Merged(p.W, p.H, i, false, null, null, false)).ToList();
        if (Search(start) is not { } whole)
            return null;
        if (Math.Abs(whole.W - width) > CutPlanner.Epsilon || Math.Abs(whole.H - height) > CutPlanner.Epsilon)
            whole = whole.Turn();
        var root = new CutNode(new(0, 0, width, height));
        Unfold(whole, root);
        return root;
    }

    private Merged? Search(List<Merged> rects)
    {
        if (rects.Count == 1)
            return Fits(rects[0].W, rects[0].H) ? rects[0] : null;
        if (--_left < 0 || !_dead.Add(Key(rects)))
            return null;
        var options = new List<(double Rank, int I, int J, Merged Result)>();
        for (var i = 0; i < rects.Count; i++)
        for (var j = i + 1; j < rects.Count; j++)
            foreach (var m in Joins(rects[i], rects[j]))
                options.Add((Rank(rects, i, j, m), i, j, m));
        options.Sort((a, b) => a.Rank.CompareTo(b.Rank));
        foreach (var (_, i, j, merged) in options)
        {
            var next = new List<Merged>(rects.Count - 1);
            for (var k = 0; k < rects.Count; k++)
                if (k != i && k != j)
                    next.Add(rects[k]);
            next.Add(merged);
            if (Search(next) is { } found)
                return found;
            if (_left < 0)
                return null;
        }
        return null;
    }

    /// <summary>Rarely shared sides first: a side only these two have is most likely where the sheet was cut.</summary>
    private double Rank(List<Merged> rects, int i, int j, Merged m)
    {
        var shared = m.SideBySide ? m.H : m.W;
        var others = 0;
        for (var k = 0; k < rects.Count; k++)
            if (k != i && k != j && (Same(rects[k].W, shared) || Same(rects[k].H, shared)))
                others++;
        var sum = m.SideBySide ? m.W : m.H;
        var opens = Same(sum, width) || Same(sum, height) ? 1 : 0;
        for (var k = 0; k < rects.Count; k++)
            if (k != i && k != j && (Same(rects[k].W, sum) || Same(rects[k].H, sum)))
            {
                opens++;
                break;
            }
        return others - 1.5 * opens + 0.5 * _draws.Uniform();
    }

    private IEnumerable<Merged> Joins(Merged a, Merged b)
    {
        foreach (var x in Sides(a))
        foreach (var y in Sides(b))
            if (Same(x.H, y.H) && Fits2(x.W + y.W, x.H))
                yield return new(x.W + y.W, x.H, -1, false, x, y, true);
    }

    private static IEnumerable<Merged> Sides(Merged m)
    {
        yield return m;
        if (!Same(m.W, m.H))
            yield return m.Turn();
    }

    private static bool Same(double a, double b) => Math.Abs(a - b) <= CutPlanner.Epsilon;

    private bool Fits(double w, double h) => Same(w, width) && Same(h, height) || Same(h, width) && Same(w, height);

    private bool Fits2(double w, double h)
    {
        const double e = CutPlanner.Epsilon;
        return w <= width + e && h <= height + e || h <= width + e && w <= height + e;
    }

    private static long Key(List<Merged> rects)
    {
        long sum = 0,
            mix = 0;
        foreach (var r in rects)
        {
            long a = (long)Math.Round(Math.Min(r.W, r.H) * 1e4),
                b = (long)Math.Round(Math.Max(r.W, r.H) * 1e4);
            var h = unchecked((a * 1000003 + b) * (long)0x9E3779B97F4A7C15);
            h ^= (long)((ulong)h >> 29);
            h = unchecked(h * (long)0xBF58476D1CE4E5B9);
            unchecked
            {
                sum += h;
                mix ^= h * 31;
            }
        }
        return sum ^ (mix << 1);
    }

    private static void Unfold(Merged m, CutNode node)
    {
        if (m.A is null)
        {
            node.Piece = m.Piece;
            node.Rotated = m.Turned;
            return;
        }
        // a turned pair lies one above the other instead of side by side
        var (a, b) = m.Turned ? (m.A.Turn(), m.B!.Turn()) : (m.A, m.B!);
        if (m.SideBySide != m.Turned)
            node.CutAt('x', node.Rect.X + a.W);
        else
            node.CutAt('y', node.Rect.Y + a.H);
        Unfold(a, node.First!);
        Unfold(b, node.Second!);
    }
}
