using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Tests;

/// <summary>A pinhole camera above a plane, put together from its turns: what it should be found to be.</summary>
internal sealed record ViewOfPlane(
    double Focal,
    double X,
    double Y,
    double Z,
    double TiltDeg,
    double PanDeg,
    double RollDeg
)
{
    /// <summary>Rows of the camera's frame: to the right, down, and away from it.</summary>
    private double[][] Rows()
    {
        double[] Turned(double[] v)
        {
            double a = TiltDeg * Math.PI / 180,
                b = PanDeg * Math.PI / 180,
                c = RollDeg * Math.PI / 180;
            // about the line of sight, then tilted, then panned round the plane's normal
            double x = v[0] * Math.Cos(c) - v[1] * Math.Sin(c),
                y = v[0] * Math.Sin(c) + v[1] * Math.Cos(c),
                y2 = y * Math.Cos(a) - v[2] * Math.Sin(a),
                z2 = y * Math.Sin(a) + v[2] * Math.Cos(a);
            return [x * Math.Cos(b) - y2 * Math.Sin(b), x * Math.Sin(b) + y2 * Math.Cos(b), z2];
        }
        return [Turned([1, 0, 0]), Turned([0, -1, 0]), Turned([0, 0, -1])];
    }

    /// <summary>Where it shows a place of the plane, its unit that of the focal length.</summary>
    public Point2 See(double x, double y)
    {
        double[] d = [x - X, y - Y, -Z];
        var at = Rows().Select(r => r[0] * d[0] + r[1] * d[1] + r[2] * d[2]).ToArray();
        return new(Focal * at[0] / at[2], Focal * at[1] / at[2]);
    }

    /// <summary>Eight numbers of the homography, the ninth made one.</summary>
    public double[] Theta()
    {
        var r = Rows();
        double[] t = [.. r.Select(row => -(row[0] * X + row[1] * Y + row[2] * Z))];
        return
        [
            Focal * r[0][0] / t[2],
            Focal * r[0][1] / t[2],
            Focal * t[0] / t[2],
            Focal * r[1][0] / t[2],
            Focal * r[1][1] / t[2],
            Focal * t[1] / t[2],
            r[2][0] / t[2],
            r[2][1] / t[2],
        ];
    }

    public static IEnumerable<ViewOfPlane> Some() =>
        from tilt in new[] { 0.0, 12, 35, 55 }
        from pan in new[] { 0.0, 40, -130 }
        from roll in new[] { 0.0, 25, 170 }
        select new ViewOfPlane(1.7 + tilt / 100, 0.6 - pan / 300, -0.9, 4.2, tilt, pan, roll);
}
