namespace FaithfulBracket.Core.Match.Trace;

/// <summary>A connected patch of dark pixels with its moments.</summary>
internal sealed class Blob
{
    public int MinX = int.MaxValue,
        MinY = int.MaxValue,
        MaxX = -1,
        MaxY = -1;
    public double Area,
        SumX,
        SumY,
        SumXX,
        SumXY,
        SumYY;

    public int Width => MaxX - MinX + 1;
    public int Height => MaxY - MinY + 1;
    public double X => SumX / Area;
    public double Y => SumY / Area;

    public void Add(int x, int y)
    {
        MinX = Math.Min(MinX, x);
        MinY = Math.Min(MinY, y);
        MaxX = Math.Max(MaxX, x);
        MaxY = Math.Max(MaxY, y);
        Area++;
        SumX += x;
        SumY += y;
        SumXX += (double)x * x;
        SumXY += (double)x * y;
        SumYY += (double)y * y;
    }

    /// <summary>Second moments about the centre, px².</summary>
    public (double XX, double XY, double YY) Moments =>
        (SumXX / Area - X * X, SumXY / Area - X * Y, SumYY / Area - Y * Y);
}

/// <summary>Connected patches, eight neighbours, by flood fill.</summary>
internal static class Blobs
{
    /// <param name="most">Larger patches are dropped.</param>
    public static List<Blob> Of(bool[] dark, int width, int height, int least, int most)
    {
        var seen = new bool[dark.Length];
        var stack = new Stack<int>();
        var list = new List<Blob>();
        for (var start = 0; start < dark.Length; start++)
        {
            if (!dark[start] || seen[start])
                continue;
            var blob = new Blob();
            stack.Push(start);
            seen[start] = true;
            while (stack.TryPop(out var i))
            {
                int x = i % width,
                    y = i / width;
                blob.Add(x, y);
                for (var dy = -1; dy <= 1; dy++)
                {
                    for (var dx = -1; dx <= 1; dx++)
                    {
                        int nx = x + dx,
                            ny = y + dy;
                        if (nx < 0 || ny < 0 || nx >= width || ny >= height)
                            continue;
                        var j = ny * width + nx;
                        if (!dark[j] || seen[j])
                            continue;
                        seen[j] = true;
                        stack.Push(j);
                    }
                }
            }
            if (blob.Area >= least && blob.Area <= most)
                list.Add(blob);
        }
        return list;
    }
}
