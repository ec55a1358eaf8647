namespace FaithfulBracket.Core.Geometry;

/// <summary>Maps the block's frame to the board's: rotate about the block's origin, then translate.</summary>
/// <param name="XMm">Translation along +x, mm.</param>
/// <param name="YMm">Translation along +y, mm.</param>
/// <param name="RotationDeg">Counter-clockwise rotation, degrees.</param>
public readonly record struct Placement(double XMm, double YMm, double RotationDeg)
{
    public static readonly Placement Identity = new(0, 0, 0);

    /// <summary>Rotation in radians.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double Radians => RotationDeg * Math.PI / 180;

    /// <summary>A point of the block in the board frame.</summary>
    public Point2 Apply(Point2 p) => p.Turned(Radians) + new Point2(XMm, YMm);

    /// <summary>A polygon of the block in the board frame.</summary>
    public Polygon Apply(Polygon polygon)
    {
        if (this == Identity)
            return polygon;
        var (s, c) = Math.SinCos(Radians);
        var points = new Point2[polygon.Points.Count];
        for (var i = 0; i < points.Length; i++)
        {
            var p = polygon.Points[i];
            points[i] = new(c * p.X - s * p.Y + XMm, s * p.X + c * p.Y + YMm);
        }
        return new Polygon(points);
    }
}
