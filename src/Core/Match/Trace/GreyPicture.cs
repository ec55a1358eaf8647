namespace FaithfulBracket.Core.Match.Trace;

/// <summary>Brightness 0 to 255 by rows from the top.</summary>
public sealed class GreyPicture(int width, int height, byte[] pixels)
{
    public int Width { get; } = width;
    public int Height { get; } = height;
    public byte[] Pixels { get; } = pixels;

    public byte this[int x, int y] => Pixels[y * Width + x];

    public bool Inside(double x, double y) => x >= 0 && y >= 0 && x <= Width - 1 && y <= Height - 1;

    /// <summary>Between pixel centres, linearly; a pixel's centre lies at whole numbers.</summary>
    public double At(double x, double y)
    {
        int i = Math.Clamp((int)x, 0, Width - 2),
            j = Math.Clamp((int)y, 0, Height - 2);
        double fx = x - i,
            fy = y - j;
        return (this[i, j] * (1 - fx) + this[i + 1, j] * fx) * (1 - fy)
            + (this[i, j + 1] * (1 - fx) + this[i + 1, j + 1] * fx) * fy;
    }

    /// <summary>Darker than its surroundings by a share, window sums from an integral image (Bradley and Roth 2007).</summary>
    /// <param name="window">Side of the surroundings, px.</param>
    public bool[] Darker(int window, double share = 0.18)
    {
        var sums = new long[(Width + 1) * (Height + 1)];
        for (var y = 0; y < Height; y++)
        {
            long row = 0;
            for (var x = 0; x < Width; x++)
            {
                row += Pixels[y * Width + x];
                sums[(y + 1) * (Width + 1) + x + 1] = sums[y * (Width + 1) + x + 1] + row;
            }
        }
        var dark = new bool[Pixels.Length];
        var half = window / 2;
        for (var y = 0; y < Height; y++)
        {
            int y0 = Math.Max(0, y - half),
                y1 = Math.Min(Height, y + half + 1);
            for (var x = 0; x < Width; x++)
            {
                int x0 = Math.Max(0, x - half),
                    x1 = Math.Min(Width, x + half + 1);
                var sum =
                    sums[y1 * (Width + 1) + x1]
                    - sums[y0 * (Width + 1) + x1]
                    - sums[y1 * (Width + 1) + x0]
                    + sums[y0 * (Width + 1) + x0];
                dark[y * Width + x] = Pixels[y * Width + x] * (double)((x1 - x0) * (y1 - y0)) < sum * (1 - share);
            }
        }
        return dark;
    }
}
