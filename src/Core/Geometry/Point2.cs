namespace FaithfulBracket.Core.Geometry;

/// <summary>A point or vector in the board frame, in millimetres.</summary>
public readonly record struct Point2(double X, double Y)
{
    public static Point2 operator +(Point2 a, Point2 b) => new(a.X + b.X, a.Y + b.Y);

    public static Point2 operator -(Point2 a, Point2 b) => new(a.X - b.X, a.Y - b.Y);

    public static Point2 operator *(Point2 a, double k) => new(a.X * k, a.Y * k);

    /// <summary>Euclidean length, mm.</summary>
    public double Length => Math.Sqrt(X * X + Y * Y);

    /// <summary>Scalar product, mm².</summary>
    public double Dot(Point2 other) => X * other.X + Y * other.Y;

    /// <summary>The z component of the cross product, mm²; positive when <paramref name="other"/> lies counter-clockwise.</summary>
    public double Cross(Point2 other) => X * other.Y - Y * other.X;

    /// <summary>This vector turned counter-clockwise by an angle in radians.</summary>
    public Point2 Turned(double radians)
    {
        var (s, c) = Math.SinCos(radians);
        return new(c * X - s * Y, s * X + c * Y);
    }
}
