using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Where coordinates of a drawing lie on the board: an affine map into millimetres.</summary>
/// <param name="X">Of one unit along x.</param>
/// <param name="Y">Of one unit along y.</param>
/// <param name="Origin">Of the zero point.</param>
internal readonly record struct DrawnFrame(Point2 X, Point2 Y, Point2 Origin)
{
    public static DrawnFrame Scaled(double mm) => new(new(mm, 0), new(0, mm), default);

    public static DrawnFrame Moved(double x, double y) => new(new(1, 0), new(0, 1), new(x, y));

    public Point2 At(Point2 p) => Origin + X * p.X + Y * p.Y;

    /// <summary>This map first, then the one of what it lies in.</summary>
    public DrawnFrame Under(DrawnFrame outer) =>
        new(outer.At(X) - outer.Origin, outer.At(Y) - outer.Origin, outer.At(Origin));

    /// <summary>Millimetres in one unit, the same in every direction; null where circles would become ovals.</summary>
    public double? Scale =>
        Math.Abs(X.Length - Y.Length) <= 1e-6 * X.Length && Math.Abs(X.Dot(Y)) <= 1e-6 * X.Dot(X) ? X.Length : null;

    /// <summary>Millimetres in one unit where the drawing is stretched most.</summary>
    public double LargestScale => Math.Max(X.Length, Y.Length);
}
