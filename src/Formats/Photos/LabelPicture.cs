using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Records;

namespace FaithfulBracket.Formats.Photos;

/// <summary>What a camera sees of a label that is held under it: a little turned, a little blurred, in noise.</summary>
public static class LabelPicture
{
    private const int Width = 640,
        Height = 480;

    private const double ModulePx = 7.3,
        Ink = 48,
        Paper = 214,
        Noise = 9;

    public static GreyPicture Draw(string code, int seed)
    {
        var rows = LabelCode.Rows(code);
        var hand = new Random(seed);
        var turn = (hand.NextDouble() - 0.5) * 0.5;
        var middle = new Point2(
            Width / 2.0 + 40 * (hand.NextDouble() - 0.5),
            Height / 2.0 + 40 * (hand.NextDouble() - 0.5)
        );
        // every pixel is the mean of what four rays through it meet: edges are soft
        const double half = 0.45;
        double Shade(double u, double v)
        {
            var p = (new Point2(u, v) - middle).Turned(-turn) * (1 / ModulePx);
            var (x, y) = ((int)Math.Floor(p.X + rows.Count / 2.0), (int)Math.Floor(p.Y + rows.Count / 2.0));
            return y >= 0 && y < rows.Count && x >= 0 && x < rows.Count && rows[y][x] ? Ink : Paper;
        }
        var pixels = new byte[Width * Height];
        for (var v = 0; v < Height; v++)
        for (var u = 0; u < Width; u++)
        {
            var mean =
                (
                    Shade(u - half, v - half)
                    + Shade(u + half, v - half)
                    + Shade(u - half, v + half)
                    + Shade(u + half, v + half)
                ) / 4;
            pixels[v * Width + u] = (byte)Math.Clamp(mean + Noise * (hand.NextDouble() - 0.5) * 2, 0, 255);
        }
        return new(Width, Height, pixels);
    }
}
