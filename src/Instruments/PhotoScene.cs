using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;

namespace FaithfulBracket.Instruments;

/// <summary>A camera over the bench.</summary>
/// <param name="TiltDeg">Between line of sight and the bench's normal.</param>
/// <param name="K1">First-order lens term, radii in focal lengths.</param>
public sealed record SceneCamera(
    int Width,
    int Height,
    double FocalPx,
    double DistanceMm,
    double TiltDeg,
    double TurnDeg,
    double K1
);

/// <summary>
/// A bare board on the bench with the target beside it, seen through a camera of known pose: what a photo of it looks
/// like.
/// </summary>
public sealed class PhotoScene(Board board, Placement sheet, Point2 lookAt, SceneCamera camera, int seed)
{
    /// <summary>No ray of the picture is flatter than this many millimetres along the board for each of height.</summary>
    private const double MaxLean = 2.5;

    private readonly (double Height, Polygon Top, Bounds Seen, byte Shade)[] _raised =
    [
        .. board
            .Parts.Where(p => p.Face == Face.Front && p.Kind != PartKind.Empty)
            .Select(p =>
                (
                    p.HeightMm,
                    p.Top(),
                    p.Top().Bounds.Grown(MaxLean * p.HeightMm),
                    (byte)(
                        p.Kind switch
                        {
                            PartKind.Die => 60,
                            PartKind.Memory => 45,
                            PartKind.Inductor => 110,
                            PartKind.Capacitor => 165,
                            _ => 80,
                        }
                    )
                )
            )
            .OrderByDescending(p => p.HeightMm),
    ];

    private readonly Bounds _reach = Bounds.From([.. board.Parts.SelectMany(p => p.Top().Points)]).Grown(10);

    /// <summary>Where the camera sees a point of the board frame, px from the centre of the top left pixel.</summary>
    public Point2 See(double x, double y, double z)
    {
        double t = camera.TiltDeg * Math.PI / 180,
            p = camera.TurnDeg * Math.PI / 180,
            dx = x - lookAt.X,
            dy = y - lookAt.Y;
        double x1 = dx * Math.Cos(p) - dy * Math.Sin(p),
            y1 = dx * Math.Sin(p) + dy * Math.Cos(p);
        double y2 = y1 * Math.Cos(t) - z * Math.Sin(t),
            z2 = y1 * Math.Sin(t) + z * Math.Cos(t),
            depth = camera.DistanceMm - z2;
        double nx = x1 / depth,
            ny = -y2 / depth,
            bend = 1 + camera.K1 * (nx * nx + ny * ny);
        return new(camera.Width / 2.0 + camera.FocalPx * nx * bend, camera.Height / 2.0 + camera.FocalPx * ny * bend);
    }

    private readonly (double Sin, double Cos) _tilt = Math.SinCos(camera.TiltDeg * Math.PI / 180),
        _turn = Math.SinCos(camera.TurnDeg * Math.PI / 180);

    /// <summary>The ray of a pixel without the lens: x and y at depth one.</summary>
    private Point2 Ray(double u, double v)
    {
        double dx = (u - camera.Width / 2.0) / camera.FocalPx,
            dy = (v - camera.Height / 2.0) / camera.FocalPx,
            r2 = dx * dx + dy * dy,
            f = 1;
        for (var k = 0; k < 4; k++)
            f -= (f * (1 + camera.K1 * r2 * f * f) - 1) / (1 + 3 * camera.K1 * r2 * f * f);
        return new(dx * f, dy * f);
    }

    /// <summary>The point at height z on a ray.</summary>
    private Point2 Ground(Point2 ray, double z)
    {
        double a = -ray.Y * _tilt.Cos - _tilt.Sin,
            c = ray.Y * _tilt.Sin - _tilt.Cos,
            lambda = (z - camera.DistanceMm * _tilt.Cos) / c;
        double y1 = camera.DistanceMm * _tilt.Sin + lambda * a,
            x1 = lambda * ray.X;
        return new(lookAt.X + x1 * _turn.Cos + y1 * _turn.Sin, lookAt.Y - x1 * _turn.Sin + y1 * _turn.Cos);
    }

    /// <summary>Apart by more than this two neighbouring pixels lie on both sides of an edge.</summary>
    private const double EdgeStep = 5;

    /// <summary>Brightness with two by two samples a pixel at edges, a soft shadow across the bench, blur and noise.</summary>
    public GreyPicture Take(double noise = 4)
    {
        var (w, h) = (camera.Width, camera.Height);
        var plain = new double[w * h];
        Parallel.For(
            0,
            h,
            j =>
            {
                for (var i = 0; i < w; i++)
                    plain[j * w + i] = Shade(i, j);
            }
        );
        var raw = new double[w * h];
        Parallel.For(
            0,
            h,
            j =>
            {
                for (var i = 0; i < w; i++)
                {
                    var at = j * w + i;
                    var bright = plain[at];
                    bool Steps(int other) => Math.Abs(plain[other] - bright) > EdgeStep;
                    if (
                        i > 0 && Steps(at - 1)
                        || i < w - 1 && Steps(at + 1)
                        || j > 0 && Steps(at - w)
                        || j < h - 1 && Steps(at + w)
                    )
                    {
                        bright = 0;
                        for (var k = 0; k < 4; k++)
                            bright += Shade(i - 0.25 + 0.5 * (k % 2), j - 0.25 + 0.5 * (k / 2)) / 4;
                    }
                    // light falls off to one side, a soft shadow lies across a corner
                    var shadow = 1 - 0.35 / (1 + Math.Exp((i * 0.7 + j - 0.55 * w) / (0.06 * w)));
                    raw[at] = bright * shadow * (0.85 + 0.2 * i / w);
                }
            }
        );
        var random = new Random(seed);
        // drawn once and picked from: a sensor's noise, without three functions for every pixel
        double[] grain =
        [
            .. Enumerable
                .Range(0, 1 << 14)
                .Select(_ =>
                    Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble())
                ),
        ];
        var pixels = new byte[raw.Length];
        for (var j = 0; j < h; j++)
        {
            for (var i = 0; i < w; i++)
            {
                double sum = 0,
                    weight = 0;
                for (var y = Math.Max(0, j - 1); y <= Math.Min(h - 1, j + 1); y++)
                for (var x = Math.Max(0, i - 1); x <= Math.Min(w - 1, i + 1); x++)
                {
                    var share = (x == i ? 2 : 1) * (y == j ? 2 : 1);
                    sum += share * raw[y * w + x];
                    weight += share;
                }
                var gauss = grain[random.Next(grain.Length)];
                pixels[j * w + i] = (byte)Math.Clamp(sum / weight + noise * gauss, 0, 255);
            }
        }
        return new(w, h, pixels);
    }

    private double Shade(double u, double v)
    {
        var ray = Ray(u, v);
        var p = Ground(ray, 0);
        if (Within(_reach, p))
        {
            foreach (var (height, top, seen, shade) in _raised)
            {
                if (!Within(seen, p))
                    continue;
                // the top first, then the side as a few levels below it
                var at = Ground(ray, height);
                if (Near(top, at) && top.Contains(at))
                    return shade;
                if (height < 0.8)
                    continue;
                for (var k = 1; k <= 3; k++)
                {
                    var side = Ground(ray, height * (1 - k / 4.0));
                    if (Near(top, side) && top.Contains(side))
                        return shade * 0.55;
                }
            }
        }
        if (Near(board.Outline, p) && board.Outline.Contains(p))
        {
            foreach (var h in board.Holes)
            {
                var r = (h.At - p).Length;
                if (r <= h.DiameterMm / 2)
                    return 14;
                if (r <= h.DiameterMm / 2 + 1.1)
                    return 178;
            }
            return 96 + 7 * Math.Sin(p.X * 2.1) * Math.Sin(p.Y * 1.7);
        }
        var q = (p - new Point2(sheet.XMm, sheet.YMm)).Turned(-sheet.Radians);
        if (q.X >= 0 && q.Y >= 0 && q.X <= TargetSheet.WidthMm && q.Y <= TargetSheet.DepthMm)
            return TargetSheet.IsDark(q) ? 28 : 232;
        // a driver and two screws left on the mat
        if (Polygon.DistanceToSegment(p, new(-70, 80), new(-10, 92)) < 4)
            return 50;
        if ((p - new Point2(60, 78)).Length < 3 || (p - new Point2(72, 83)).Length < 3)
            return 200;
        return 128 + 10 * Math.Sin(p.X * 0.6) + 8 * Math.Sin(p.Y * 0.9 + p.X * 0.2);
    }

    private static bool Near(Polygon polygon, Point2 p) => Within(polygon.Bounds, p);

    private static bool Within(Bounds b, Point2 p) => p.X >= b.MinX && p.X <= b.MaxX && p.Y >= b.MinY && p.Y <= b.MaxY;
}
