namespace FaithfulBracket.Core.Match.Trace;

/// <summary>A connected patch of dark pixels with its moments.</summary>
public sealed class Blob
{
    public int MinX { get; private set; } = int.MaxValue;
    public int MinY { get; private set; } = int.MaxValue;
    public int MaxX { get; private set; } = -1;
    public int MaxY { get; private set; } = -1;
    public double Area { get; private set; }
    public double SumX { get; private set; }
    public double SumY { get; private set; }
    public double SumXX { get; private set; }
    public double SumXY { get; private set; }
    public double SumYY { get; private set; }

    public int Width => MaxX - MinX + 1;
    public int Height => MaxY - MinY + 1;
    public double X => SumX / Area;
    public double Y => SumY / Area;

    /// <summary>Adds the pixels from one x to another in a row.</summary>
    public void AddRun(int from, int to, int y)
    {
        (MinX, MinY) = (Math.Min(MinX, from), Math.Min(MinY, y));
        (MaxX, MaxY) = (Math.Max(MaxX, to), Math.Max(MaxY, y));
        double n = to - from + 1,
            x = (from + to) / 2.0 * n,
            xx = Squares(to) - Squares(from - 1);
        Area += n;
        SumX += x;
        SumY += y * n;
        SumXX += xx;
        SumXY += x * y;
        SumYY += (double)y * y * n;
    }

    /// <summary>Takes over what another patch holds.</summary>
    public void Take(Blob other)
    {
        (MinX, MinY) = (Math.Min(MinX, other.MinX), Math.Min(MinY, other.MinY));
        (MaxX, MaxY) = (Math.Max(MaxX, other.MaxX), Math.Max(MaxY, other.MaxY));
        Area += other.Area;
        SumX += other.SumX;
        SumY += other.SumY;
        SumXX += other.SumXX;
        SumXY += other.SumXY;
        SumYY += other.SumYY;
    }

    /// <summary>0² + 1² + … + n².</summary>
    private static double Squares(double n) => n * (n + 1) * (2 * n + 1) / 6;

    /// <summary>Second moments about the centre, px².</summary>
    public (double XX, double XY, double YY) Moments =>
        (SumXX / Area - X * X, SumXY / Area - X * Y, SumYY / Area - Y * Y);
}

/// <summary>Connected patches, eight neighbours: runs of each row joined to those above (union-find, Tarjan 1975).</summary>
public static class Blobs
{
    private readonly record struct Run(int From, int To, int Blob);

    /// <param name="most">Larger patches are dropped.</param>
    public static List<Blob> Find(bool[] dark, int width, int height, int least, int most)
    {
        var blobs = new List<Blob?>();
        var parent = new List<int>();
        // places of patches that ended too small or too large are used again: a picture of specks stays cheap
        var free = new Stack<int>();
        List<Run> above = [],
            here = [];
        for (var y = 0; y < height; y++)
        {
            here.Clear();
            var first = 0;
            for (var x = 0; x < width; x++)
            {
                if (!dark[y * width + x])
                    continue;
                var from = x;
                while (x + 1 < width && dark[y * width + x + 1])
                    x++;
                while (first < above.Count && above[first].To < from - 1)
                    first++;
                var mine = -1;
                for (var k = first; k < above.Count && above[k].From <= x + 1; k++)
                    mine = mine < 0 ? Root(parent, above[k].Blob) : Join(blobs, parent, mine, above[k].Blob);
                if (mine < 0)
                {
                    if (!free.TryPop(out mine))
                    {
                        mine = blobs.Count;
                        blobs.Add(null);
                        parent.Add(mine);
                    }
                    blobs[mine] = new();
                }
                blobs[mine]!.AddRun(from, x, y);
                here.Add(new(from, x, mine));
            }
            foreach (var run in above)
            {
                var i = Root(parent, run.Blob);
                if (blobs[i] is not { } ended || ended.MaxY == y || ended.Area >= least && ended.Area <= most)
                    continue;
                blobs[i] = null;
                free.Push(i);
            }
            (above, here) = (here, above);
        }
        return [.. blobs.OfType<Blob>().Where(b => b.Area >= least && b.Area <= most)];
    }

    private static int Root(List<int> parent, int i)
    {
        while (parent[i] != i)
            i = parent[i] = parent[parent[i]];
        return i;
    }

    private static int Join(List<Blob?> blobs, List<int> parent, int a, int b)
    {
        (a, b) = (Root(parent, a), Root(parent, b));
        if (a == b)
            return a;
        var (keep, give) = a < b ? (a, b) : (b, a);
        parent[give] = keep;
        blobs[keep]!.Take(blobs[give]!);
        blobs[give] = null;
        return keep;
    }
}
