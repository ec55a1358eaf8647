using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Where the coordinates of an entity lie on the board: an affine map into millimetres.</summary>
/// <param name="X">Of one unit along x, mm.</param>
/// <param name="Y">Of one unit along y, mm.</param>
/// <param name="Origin">Of the zero point, mm.</param>
internal readonly record struct DxfFrame(Point2 X, Point2 Y, Point2 Origin)
{
    public static DxfFrame Scaled(double mm) => new(new(mm, 0), new(0, mm), default);

    public Point2 At(Point2 p) => Origin + X * p.X + Y * p.Y;

    /// <summary>Millimetres in one unit, the same in every direction; null where circles would become ovals.</summary>
    public double? Scale =>
        Math.Abs(X.Length - Y.Length) <= 1e-6 * X.Length && Math.Abs(X.Dot(Y)) <= 1e-6 * X.Dot(X) ? X.Length : null;

    /// <summary>An entity that is drawn from behind (extrusion 0, 0, -1) has its x turned about.</summary>
    public DxfFrame For(DxfEntity e) => e.Number(230, 1) < 0 ? this with { X = X * -1 } : this;

    /// <summary>The frame of what a block holds, inserted by <paramref name="e"/> and moved by one place of its array.</summary>
    public DxfFrame Insert(DxfEntity e, Point2 basePoint, Point2 step)
    {
        var own = For(e);
        var turn = e.Number(50, 0) * Math.PI / 180;
        Point2 V(double x, double y) => own.At(new Point2(x, y).Turned(turn)) - own.Origin;
        var (x, y) = (V(e.Number(41, 1), 0), V(0, e.Number(42, 1)));
        var at = own.At(new(e.Number(10), e.Number(20))) + V(step.X, step.Y);
        return new(x, y, at - x * basePoint.X - y * basePoint.Y);
    }
}
