using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>Rigid placements of least squares (Umeyama 1991, no scale): in two dimensions the best turn has a closed form.</summary>
public static class LeastSquaresPlacement
{
    /// <summary>Every pair counts alike.</summary>
    public static Placement Fit(ReadOnlySpan<HolePair> pairs, double startDeg)
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

    /// <summary>The placement of least Σ w·(miss/slack)².</summary>
    internal static (double Sin, double Cos, double X, double Y) Weighted(
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
}
