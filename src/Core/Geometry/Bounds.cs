namespace FaithfulBracket.Core.Geometry;

/// <summary>An axis-parallel rectangle, mm.</summary>
public readonly record struct Bounds(double MinX, double MinY, double MaxX, double MaxY)
{
    public double Width => MaxX - MinX;
    public double Height => MaxY - MinY;
    public Point2 Centre => new((MinX + MaxX) / 2, (MinY + MaxY) / 2);

    public static Bounds From(IReadOnlyList<Point2> points)
    {
        double x0 = double.PositiveInfinity,
            y0 = x0,
            x1 = double.NegativeInfinity,
            y1 = x1;
        foreach (var p in points)
        {
            x0 = Math.Min(x0, p.X);
            x1 = Math.Max(x1, p.X);
            y0 = Math.Min(y0, p.Y);
            y1 = Math.Max(y1, p.Y);
        }
        return new(x0, y0, x1, y1);
    }

    public bool Meets(in Bounds o) => MinX < o.MaxX && o.MinX < MaxX && MinY < o.MaxY && o.MinY < MaxY;

    public Bounds Grown(double mm) => new(MinX - mm, MinY - mm, MaxX + mm, MaxY + mm);
}
