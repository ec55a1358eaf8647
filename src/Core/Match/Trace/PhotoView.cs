using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match.Trace;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>
/// How a photo shows a plane: normalised DLT refined by Levenberg–Marquardt (Hartley and Zisserman 2004, chapters 4 and 7). Picture
/// coordinates in half diagonals about the centre, board coordinates in decimetres: all parameters near one.
/// </summary>
internal sealed class PhotoView
{
    private const int Homographic = 8,
        Lens = 8;

    /// <summary>Decimetres a millimetre.</summary>
    public const double PerMm = 0.01;

    private readonly IReadOnlyList<TargetMark> _marks;
    private readonly Point2 _centre;
    private readonly bool _lens;

    /// <exception cref="InputException">The marks do not define a view.</exception>
    public PhotoView(IReadOnlyList<TargetMark> marks, double width, double height, bool lens)
    {
        (_marks, _lens, _centre) = (marks, lens, new(width / 2, height / 2));
        HalfPx = Math.Sqrt(width * width + height * height) / 2;
        var h = Homography.Direct(
            [.. marks.Select(m => new Point2(m.XMm, m.YMm) * PerMm)],
            [.. marks.Select(m => Norm(m.UPx, m.VPx))]
        );
        if (!(Math.Abs(h[8]) > 1e-12))
            throw Undefined();
        var fit = LevenbergMarquardt.From(
            [.. h.Take(Homographic).Select(v => v / h[8]), .. lens ? new double[] { 0 } : []],
            2 * marks.Count,
            Misses
        );
        (Theta, Squares) = (fit.At, fit.Squares);
        Covariance = DenseSolve.Inverse(fit.Normal) ?? throw Undefined();
    }

    private static InputException Undefined() => new("target", PhotoViewWords.MarksDoNotDefineView);

    /// <summary>Eight numbers of the homography, its ninth one, and the lens term where it is fitted.</summary>
    public double[] Theta { get; }

    /// <summary>Of <see cref="Theta"/>, for misses of one pixel.</summary>
    public double[,] Covariance { get; }

    /// <summary>What the marks miss, px².</summary>
    public double Squares { get; }

    /// <summary>Half the picture's diagonal, px.</summary>
    public double HalfPx { get; }

    /// <summary>The fitted lens term in half diagonals; null when none is fitted.</summary>
    public double? LensTerm => _lens ? Theta[Lens] : null;

    /// <summary>Where a place of the board's surface lies in the photo, px.</summary>
    public Point2 Shown(Point2 placeMm) => Shown(Theta, placeMm) * HalfPx + _centre;

    /// <summary>The place on the board's plane under a point of the photo, decimetres.</summary>
    public Point2 Ground(ReadOnlySpan<double> theta, double uPx, double vPx) =>
        Homography.Apply(Homography.Inverse(Nine(theta)), LensBend.Unbend(Norm(uPx, vPx), LensOf(theta)));

    private Point2 Shown(ReadOnlySpan<double> theta, Point2 placeMm) =>
        LensBend.Bend(Homography.Apply(Nine(theta), placeMm * PerMm), LensOf(theta));

    private void Misses(ReadOnlySpan<double> theta, double[] into)
    {
        for (var i = 0; i < _marks.Count; i++)
        {
            var m = _marks[i];
            var miss = (Shown(theta, new(m.XMm, m.YMm)) - Norm(m.UPx, m.VPx)) * HalfPx;
            (into[2 * i], into[2 * i + 1]) = (miss.X, miss.Y);
        }
    }

    private Point2 Norm(double u, double v) => new((u - _centre.X) / HalfPx, (v - _centre.Y) / HalfPx);

    private static double[] Nine(ReadOnlySpan<double> theta) => [.. theta[..Homographic], 1];

    private double LensOf(ReadOnlySpan<double> theta) => _lens ? theta[Lens] : 0;
}
