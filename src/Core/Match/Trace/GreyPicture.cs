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

    /// <summary>Darker than its surroundings by a share (Bradley and Roth 2007); sums of columns roll down the picture.</summary>
    /// <param name="window">Side of the surroundings, px.</param>
    public bool[] Darker(int window, double share = 0.18)
    {
        var dark = new bool[Pixels.Length];
        var half = window / 2;
        var columns = new int[Width];
        var running = new long[Width + 1];
        for (var y = 0; y < Height; y++)
        {
            // what comes in below, and what leaves above
            if (y == 0)
                for (var below = 0; below < Math.Min(half, Height); below++)
                    Add(columns, below, 1);
            if (y + half < Height)
                Add(columns, y + half, 1);
            if (y - half - 1 >= 0)
                Add(columns, y - half - 1, -1);
            for (var x = 0; x < Width; x++)
                running[x + 1] = running[x] + columns[x];
            var rows = Math.Min(Height, y + half + 1) - Math.Max(0, y - half);
            for (var x = 0; x < Width; x++)
            {
                int x0 = Math.Max(0, x - half),
                    x1 = Math.Min(Width, x + half + 1);
                var sum = running[x1] - running[x0];
                dark[y * Width + x] = Pixels[y * Width + x] * (double)((x1 - x0) * rows) < sum * (1 - share);
            }
        }
        return dark;
    }

    private void Add(int[] columns, int row, int sign)
    {
        var pixels = Pixels.AsSpan(row * Width, Width);
        for (var x = 0; x < pixels.Length; x++)
            columns[x] += sign * pixels[x];
    }
}
