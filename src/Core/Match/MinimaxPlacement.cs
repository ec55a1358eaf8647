using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>One screw hole of the block and the board hole it has to meet.</summary>
/// <param name="Block">Hole centre in the block frame, mm.</param>
/// <param name="Board">Hole centre in the board frame, mm.</param>
/// <param name="SlackMm">(hole Ø − screw Ø)/2, mm.</param>
/// <param name="SlotHalfMm">Half the slot's reach, mm; 0 for a round hole.</param>
/// <param name="SlotRadians">Direction of the slot.</param>
public readonly record struct HolePair(
    Point2 Block,
    Point2 Board,
    double SlackMm,
    double SlotHalfMm = 0,
    double SlotRadians = 0
)
{
    /// <summary>From the nearest point of the hole's centre line to the screw, mm.</summary>
    public Point2 Miss(in Placement placement)
    {
        var d = placement.Apply(Block) - Board;
        if (SlotHalfMm <= 0)
            return d;
        var along = new Point2(Math.Cos(SlotRadians), Math.Sin(SlotRadians));
        return d - along * Math.Clamp(d.Dot(along), -SlotHalfMm, SlotHalfMm);
    }
}

/// <summary>
/// The placement that minimises the largest miss/slack over all pairs. Least squares (Umeyama 1991, no scale) starts it;
/// the min-max is a second-order cone programme in x, y and a small turn, solved by a logarithmic barrier
/// (Boyd and Vandenberghe 2004, section 11.3) and re-linearised in the turn until it stands still.
/// </summary>
public static class MinimaxPlacement
{
    private const double LeastSlackMm = 1e-6;
    private const double Gap = 1e-10,
        RoughGap = 1e-3;

    /// <summary>Best placement near a start turn, with the largest miss/slack it leaves.</summary>
    public static (Placement Placement, double Ratio) Solve(ReadOnlySpan<HolePair> pairs, double startDeg)
    {
        if (pairs.Length == 0)
            return (new(0, 0, startDeg), 0);
        var best = LeastSquares(pairs, startDeg);
        var bestRatio = Ratio(pairs, best);
        // roughly while the turn still moves, then to the end
        var gap = RoughGap;
        for (var round = 0; round < 7; round++)
        {
            var next = Linearised(pairs, best, gap);
            var ratio = Ratio(pairs, next);
            var gained = bestRatio - ratio;
            if (gained > 0)
                (best, bestRatio) = (next, ratio);
            if (bestRatio < 1e-9)
                break;
            if (gap == Gap && gained < 1e-12 + 1e-9 * bestRatio)
                break;
            if (gained < 2 * RoughGap * bestRatio)
                gap = Gap;
        }
        if (Math.Abs(best.RotationDeg - startDeg) < 1e-7)
            best = best with { RotationDeg = startDeg };
        if (Math.Abs(best.XMm) < 1e-9)
            best = best with { XMm = 0 };
        if (Math.Abs(best.YMm) < 1e-9)
            best = best with { YMm = 0 };
        return (best, bestRatio);
    }

    /// <summary>The largest miss/slack at a placement.</summary>
    public static double Ratio(ReadOnlySpan<HolePair> pairs, in Placement placement)
    {
        double worst = 0;
        foreach (var pair in pairs)
            worst = Math.Max(worst, pair.Miss(placement).Length / Math.Max(pair.SlackMm, LeastSlackMm));
        return worst;
    }

    private const int MostReweightings = 80;

    /// <summary>
    /// Whether some placement brings every miss/slack to at most one. Reweighted least squares (Lawson 1961): any
    /// placement it visits proves
    /// yes; its weighted root mean square is below every placement's largest ratio and so proves no. Rarely neither happens; then the exact
    /// answer decides.
    /// </summary>
    public static bool CanReachOne(ReadOnlySpan<HolePair> pairs, double startDeg)
    {
        var n = pairs.Length;
        if (n == 0)
            return true;
        var slotted = false;
        foreach (var p in pairs)
        {
            if (p.SlackMm <= LeastSlackMm)
                return Solve(pairs, startDeg).Ratio <= 1;
            slotted |= p.SlotHalfMm > 0;
        }
        if (slotted)
            return Ratio(pairs, LeastSquares(pairs, startDeg)) <= 1 || Solve(pairs, startDeg).Ratio <= 1;
        Span<double> weight = n <= 64 ? stackalloc double[n] : new double[n];
        weight.Fill(1.0 / n);
        for (var round = 0; round < MostReweightings; round++)
        {
            var (least, worst) = Reweight(pairs, weight, startDeg);
            if (worst <= 1)
                return true;
            if (least > 1)
                return false;
        }
        return Solve(pairs, startDeg).Ratio <= 1;
    }

    /// <summary>A ratio that no placement can go below, after a few reweightings; 0 where slots or tight holes forbid the bound.</summary>
    public static double LowerBound(ReadOnlySpan<HolePair> pairs, double startDeg, int rounds)
    {
        var n = pairs.Length;
        foreach (var p in pairs)
            if (p.SlackMm <= LeastSlackMm || p.SlotHalfMm > 0)
                return 0;
        if (n < 2)
            return 0;
        Span<double> weight = n <= 64 ? stackalloc double[n] : new double[n];
        weight.Fill(1.0 / n);
        double best = 0;
        for (var round = 0; round < rounds; round++)
            best = Math.Max(best, Reweight(pairs, weight, startDeg).Least);
        return best;
    }

    /// <summary>
    /// One round: the weighted root mean square of the ratios (no placement does better at its worst pair) and the
    /// worst ratio here; weights move to the worst.
    /// </summary>
    private static (double Least, double Worst) Reweight(
        ReadOnlySpan<HolePair> pairs,
        Span<double> weight,
        double startDeg
    )
    {
        var n = pairs.Length;
        Span<double> ratio = n <= 64 ? stackalloc double[n] : new double[n];
        var (sin, cos, tx, ty) = Weighted(pairs, weight, startDeg);
        double worst = 0,
            mean = 0,
            sum = 0;
        for (var i = 0; i < n; i++)
        {
            ref readonly var p = ref pairs[i];
            double dx = cos * p.Block.X - sin * p.Block.Y + tx - p.Board.X,
                dy = sin * p.Block.X + cos * p.Block.Y + ty - p.Board.Y;
            ratio[i] = Math.Sqrt(dx * dx + dy * dy) / p.SlackMm;
            worst = Math.Max(worst, ratio[i]);
            mean += weight[i] * ratio[i] * ratio[i];
        }
        for (var i = 0; i < n; i++)
        {
            weight[i] *= ratio[i];
            sum += weight[i];
        }
        if (sum > 0)
            for (var i = 0; i < n; i++)
                weight[i] /= sum;
        return (Math.Sqrt(mean), worst);
    }

    /// <summary>The placement of least Σ w·(miss/slack)².</summary>
    private static (double Sin, double Cos, double X, double Y) Weighted(
        ReadOnlySpan<HolePair> pairs,
        ReadOnlySpan<double> weight,
        double startDeg
    )
    {
        double total = 0,
            bx = 0,
            by = 0,
            px = 0,
            py = 0;
        for (var i = 0; i < pairs.Length; i++)
        {
            var w = weight[i] / (pairs[i].SlackMm * pairs[i].SlackMm);
            total += w;
            bx += w * pairs[i].Block.X;
            by += w * pairs[i].Block.Y;
            px += w * pairs[i].Board.X;
            py += w * pairs[i].Board.Y;
        }
        bx /= total;
        by /= total;
        px /= total;
        py /= total;
        double cos = 0,
            sin = 0;
        for (var i = 0; i < pairs.Length; i++)
        {
            var w = weight[i] / (pairs[i].SlackMm * pairs[i].SlackMm);
            double qx = pairs[i].Block.X - bx,
                qy = pairs[i].Block.Y - by,
                rx = pairs[i].Board.X - px,
                ry = pairs[i].Board.Y - py;
            cos += w * (qx * rx + qy * ry);
            sin += w * (qx * ry - qy * rx);
        }
        var length = Math.Sqrt(cos * cos + sin * sin);
        if (length < 1e-12)
            (sin, cos) = Math.SinCos(startDeg * Math.PI / 180);
        else
        {
            sin /= length;
            cos /= length;
        }
        return (sin, cos, px - (cos * bx - sin * by), py - (sin * bx + cos * by));
    }

    /// <summary>Rigid least-squares fit of the pairs in two dimensions, where the best turn has a closed form.</summary>
    public static Placement LeastSquares(ReadOnlySpan<HolePair> pairs, double startDeg)
    {
        Point2 blockMean = default,
            boardMean = default;
        foreach (var pair in pairs)
        {
            blockMean += pair.Block;
            boardMean += pair.Board;
        }
        blockMean *= 1.0 / pairs.Length;
        boardMean *= 1.0 / pairs.Length;
        double cos = 0,
            sin = 0;
        foreach (var pair in pairs)
        {
            var q = pair.Block - blockMean;
            var p = pair.Board - boardMean;
            cos += q.Dot(p);
            sin += q.Cross(p);
        }
        var spread = Math.Sqrt(cos * cos + sin * sin);
        var radians = pairs.Length < 2 || spread < 1e-9 ? startDeg * Math.PI / 180 : Math.Atan2(sin, cos);
        var t = boardMean - blockMean.Turned(radians);
        return new(t.X, t.Y, radians * 180 / Math.PI);
    }

    private static Placement Linearised(ReadOnlySpan<HolePair> pairs, in Placement at, double gap)
    {
        var n = pairs.Length;
        var lever = 1.0;
        foreach (var pair in pairs)
            lever = Math.Max(lever, pair.Block.Length);
        Span<Row> rows = n <= 64 ? stackalloc Row[n] : new Row[n];
        var start = 0.0;
        for (var i = 0; i < n; i++)
        {
            rows[i] = Row.Of(pairs[i], at, lever);
            start = Math.Max(start, rows[i].Norm(0, 0, 0));
        }
        if (start < 1e-9)
            return at;
        double x = 0,
            y = 0,
            w = 0,
            z = start * 1.25;
        for (var weight = 2.0 * n / start; ; weight *= 12)
        {
            for (var step = 0; step < 30; step++)
                if (!NewtonStep(rows, weight, n >= 2, ref x, ref y, ref w, ref z))
                    break;
            if (2.0 * n / weight < gap * Math.Max(1, start))
                break;
        }
        return new(at.XMm + x, at.YMm + y, at.RotationDeg + w / lever * 180 / Math.PI);
    }

    /// <summary>One damped Newton step on weight·z − Σ log(z² − |r|²); false when it has converged.</summary>
    private static bool NewtonStep(
        ReadOnlySpan<Row> rows,
        double weight,
        bool turns,
        ref double x,
        ref double y,
        ref double w,
        ref double z
    )
    {
        Span<double> g = stackalloc double[4];
        Span<double> h = stackalloc double[16];
        g.Clear();
        h.Clear();
        g[3] = weight;
        Span<double> d = stackalloc double[4];
        foreach (ref readonly var row in rows)
        {
            var (u, v) = row.At(x, y, w);
            var s = z * z - u * u - v * v;
            // half the gradient of s, over s
            d[0] = -(row.Ux * u + row.Vx * v);
            d[1] = -(row.Uy * u + row.Vy * v);
            d[2] = -(row.Uw * u + row.Vw * v);
            d[3] = z;
            var k = 2 / s;
            for (var i = 0; i < 4; i++)
            {
                g[i] -= k * d[i];
                for (var j = 0; j <= i; j++)
                    h[i * 4 + j] += k * k * d[i] * d[j];
            }
            h[0] += k * (row.Ux * row.Ux + row.Vx * row.Vx);
            h[4] += k * (row.Uy * row.Ux + row.Vy * row.Vx);
            h[5] += k * (row.Uy * row.Uy + row.Vy * row.Vy);
            h[8] += k * (row.Uw * row.Ux + row.Vw * row.Vx);
            h[9] += k * (row.Uw * row.Uy + row.Vw * row.Vy);
            h[10] += k * (row.Uw * row.Uw + row.Vw * row.Vw);
            h[15] -= k;
        }
        if (!turns)
        {
            h[8] = h[9] = h[14] = 0;
            h[10] = 1;
            g[2] = 0;
        }
        var ridge = 1e-13 * (h[0] + h[5] + h[10] + h[15]);
        for (var i = 0; i < 4; i++)
            h[i * 5] += ridge;
        Span<double> p = stackalloc double[4];
        if (!SolveCholesky4(h, g, p))
            return false;
        var decrement = 0.0;
        for (var i = 0; i < 4; i++)
        {
            p[i] = -p[i];
            decrement -= g[i] * p[i];
        }
        if (!(decrement > 1e-9))
            return false;
        var before = Barrier(rows, weight, x, y, w, z);
        for (var t = 1.0; t > 1e-9; t /= 2)
        {
            double nx = x + t * p[0],
                ny = y + t * p[1],
                nw = w + t * p[2],
                nz = z + t * p[3];
            if (!(Barrier(rows, weight, nx, ny, nw, nz) <= before - 0.1 * t * decrement))
                continue;
            (x, y, w, z) = (nx, ny, nw, nz);
            return true;
        }
        return false;
    }

    private static double Barrier(ReadOnlySpan<Row> rows, double weight, double x, double y, double w, double z)
    {
        if (z <= 0)
            return double.PositiveInfinity;
        double sum = weight * z,
            product = 1;
        foreach (ref readonly var row in rows)
        {
            var (u, v) = row.At(x, y, w);
            var s = z * z - u * u - v * v;
            if (s <= 0)
                return double.PositiveInfinity;
            product *= s;
            if (product is < 1e-200 or > 1e200)
            {
                sum -= Math.Log(product);
                product = 1;
            }
        }
        return sum - Math.Log(product);
    }

    private static bool SolveCholesky4(Span<double> h, ReadOnlySpan<double> g, Span<double> x)
    {
        for (var i = 0; i < 4; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = h[i * 4 + j];
                for (var k = 0; k < j; k++)
                    sum -= h[i * 4 + k] * h[j * 4 + k];
                if (i == j)
                {
                    if (!(sum > 0))
                        return false;
                    h[i * 5] = Math.Sqrt(sum);
                }
                else
                    h[i * 4 + j] = sum / h[j * 5];
            }
        }
        for (var i = 0; i < 4; i++)
        {
            var sum = g[i];
            for (var k = 0; k < i; k++)
                sum -= h[i * 4 + k] * x[k];
            x[i] = sum / h[i * 5];
        }
        for (var i = 3; i >= 0; i--)
        {
            var sum = x[i];
            for (var k = i + 1; k < 4; k++)
                sum -= h[k * 4 + i] * x[k];
            x[i] = sum / h[i * 5];
        }
        return true;
    }

    /// <summary>A pair's miss/slack as an affine function of x, y and turn·lever.</summary>
    private readonly record struct Row(
        double U,
        double V,
        double Ux,
        double Vx,
        double Uy,
        double Vy,
        double Uw,
        double Vw
    )
    {
        public static Row Of(in HolePair pair, in Placement at, double lever)
        {
            var slack = 1 / Math.Max(pair.SlackMm, LeastSlackMm);
            var arm = pair.Block.Turned(at.Radians);
            Point2 miss = pair.Miss(at),
                turn = new Point2(-arm.Y, arm.X) * (1 / lever);
            if (pair.SlotHalfMm > 0)
            {
                var along = new Point2(Math.Cos(pair.SlotRadians), Math.Sin(pair.SlotRadians));
                if (Math.Abs(miss.Dot(along)) < 1e-12)
                {
                    // inside the slot's reach only the sideways miss counts
                    var side = new Point2(-along.Y, along.X);
                    return new(
                        miss.Dot(side) * slack,
                        0,
                        side.X * slack,
                        0,
                        side.Y * slack,
                        0,
                        turn.Dot(side) * slack,
                        0
                    );
                }
            }
            return new(miss.X * slack, miss.Y * slack, slack, 0, 0, slack, turn.X * slack, turn.Y * slack);
        }

        public (double U, double V) At(double x, double y, double w) =>
            (U + Ux * x + Uy * y + Uw * w, V + Vx * x + Vy * y + Vw * w);

        public double Norm(double x, double y, double w)
        {
            var (u, v) = At(x, y, w);
            return Math.Sqrt(u * u + v * v);
        }
    }
}
