using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Paste;

namespace FaithfulBracket.Core.Paste;

/// <summary>A face as cells with the paste that each holds, under a plate that may be tilted or crowned.</summary>
internal sealed class FilmGrid
{
    /// <summary>Across the shorter side; a narrow face gets smaller cells, which stay square.</summary>
    private const int MinCells = 4;

    /// <summary>A cell this full takes part in the pressure; what it lacks is within the solver's tolerance.</summary>
    private const double FullShare = 0.97;

    /// <summary>A face longer than so many times its width is a thread: square cells would be without number.</summary>
    public const int MaxTimesAsLong = 256;

    /// <exception cref="InputException">The pattern misses the face, or the face is a thread.</exception>
    public FilmGrid(Polygon face, double volumeMm3, Func<Point2, bool> mask, SqueezeSettings settings)
    {
        var b = face.Bounds;
        if (Math.Max(b.Width, b.Height) > MaxTimesAsLong * Math.Min(b.Width, b.Height))
            throw new InputException(
                "surface",
                FilmGridWords.FaceIsOverTimesAsLong(b.Width, b.Height, MaxTimesAsLong)
                    + FilmGridWords.FilmIsCalculatedForWiderOnes
            );
        CellMm = Math.Min(Math.Max(b.Width, b.Height) / settings.Cells, Math.Min(b.Width, b.Height) / MinCells);
        Columns = (int)Math.Round(b.Width / CellMm);
        Rows = (int)Math.Round(b.Height / CellMm);
        int n = Columns * Rows;
        (Face, Volume, Rise) = (new bool[n], new double[n], new double[n]);
        var centre = new Point2((b.MinX + b.MaxX) / 2, (b.MinY + b.MaxY) / 2);
        double laid = 0;
        var share = new double[n];
        for (var i = 0; i < n; i++)
        {
            var p = new Point2(
                b.MinX + (i % Columns + 0.5) * b.Width / Columns,
                b.MinY + (i / Columns + 0.5) * b.Height / Rows
            );
            Face[i] = face.Contains(p);
            var off = p - centre;
            Rise[i] = settings.TiltMmPerMm.Dot(off) + settings.CrownMm * off.Dot(off) / (face.Area / Math.PI);
            if (!Face[i])
                continue;
            share[i] = Laid(off, mask);
            laid += share[i] * CellMm * CellMm;
        }
        if (laid <= 0)
            throw new InputException("pattern", FilmGridWords.PatternLaysNoPasteOnFace);
        var lowest = Rise.Min();
        for (var i = 0; i < n; i++)
            Rise[i] -= lowest;
        GapMm = volumeMm3 / laid;
        for (var i = 0; i < n; i++)
            Volume[i] = share[i] * GapMm * CellMm * CellMm;
    }

    public int Columns { get; }

    /// <summary>From −y to +y.</summary>
    public int Rows { get; }

    /// <summary>A cell's side, mm.</summary>
    public double CellMm { get; }

    /// <summary>Whether a cell lies on the face.</summary>
    public bool[] Face { get; }

    /// <summary>Paste in a cell, mm³.</summary>
    public double[] Volume { get; }

    /// <summary>How much higher the plate is over a cell than over its lowest, mm.</summary>
    public double[] Rise { get; }

    /// <summary>Gap under the plate's lowest place, mm.</summary>
    public double GapMm { get; set; }

    public int Count => Face.Length;

    /// <summary>Sixteen points of a cell say how much of it the pattern takes.</summary>
    private double Laid(Point2 middle, Func<Point2, bool> mask)
    {
        var points = 0;
        for (var k = 0; k < 16; k++)
            if (mask(middle + new Point2((k % 4 - 1.5) * CellMm / 4, (k / 4 - 1.5) * CellMm / 4)))
                points++;
        return points / 16.0;
    }

    public double GapAt(int i) => GapMm + Rise[i];

    public double Capacity(int i) => GapAt(i) * CellMm * CellMm;

    public bool Full(int i) => Face[i] && Volume[i] >= Capacity(i) * FullShare;

    /// <summary>How much of a cell's room is taken, 0 to 1.</summary>
    public double Wet(int i) => Math.Clamp(Volume[i] / Capacity(i), 0, 1);

    /// <summary>Left, right, lower and upper neighbour; −1 beyond the grid.</summary>
    public void Neighbours(int i, Span<int> n)
    {
        int x = i % Columns,
            y = i / Columns;
        n[0] = x > 0 ? i - 1 : -1;
        n[1] = x < Columns - 1 ? i + 1 : -1;
        n[2] = y > 0 ? i - Columns : -1;
        n[3] = y < Rows - 1 ? i + Columns : -1;
    }

    /// <summary>Area of the cells that carry, mm².</summary>
    public double FullMm2()
    {
        var full = 0;
        for (var i = 0; i < Count; i++)
            if (Full(i))
                full++;
        return full * CellMm * CellMm;
    }

    /// <summary>Share of the face that is wet.</summary>
    public double Coverage()
    {
        double wet = 0;
        var face = 0;
        for (var i = 0; i < Count; i++)
            if (Face[i])
            {
                face++;
                wet += Wet(i);
            }
        return wet / face;
    }
}
