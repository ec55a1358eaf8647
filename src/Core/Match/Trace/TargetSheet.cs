using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>One mark of the printed target: where it is on the sheet and the dark sectors that name it.</summary>
/// <param name="Code">Eight sectors counter-clockwise from +x, one bit each, 1 dark; no turn of it is another mark's code.</param>
public sealed record SheetMark(int Id, double XMm, double YMm, byte Code);

/// <summary>
/// The reference target: an A5 sheet with twelve marks. A mark is a dark ring, a light gap, eight sectors dark or light, a light gap and a
/// dark dot; the ring gives its outline in the picture, the sectors its name, the dot its centre.
/// </summary>
public static class TargetSheet
{
    public const double WidthMm = 210,
        DepthMm = 148;

    /// <summary>Radii of a mark, mm.</summary>
    public const double RingOuterMm = 7,
        RingInnerMm = 5.6,
        SectorOuterMm = 4.8,
        SectorInnerMm = 2.9,
        DotMm = 1.6;

    /// <summary>Length of the bar that checks the print, mm.</summary>
    public const double BarMm = 50;

    public static IReadOnlyList<SheetMark> Marks { get; } = Make();

    private static List<SheetMark> Make()
    {
        double[] xs = [14, 74, 136, 196],
            ys = [14, 74, 134];
        var codes = Codes();
        return [.. ys.SelectMany((y, j) => xs.Select((x, i) => new SheetMark(4 * j + i + 1, x, y, codes[4 * j + i])))];
    }

    /// <summary>Codes whose eight turns are all different, three to five sectors dark, one of each class.</summary>
    private static List<byte> Codes()
    {
        var codes = new List<byte>();
        for (var code = 0; code < 256; code++)
        {
            var dark = System.Numerics.BitOperations.PopCount((uint)code);
            if (dark is < 3 or > 5 || Canonical((byte)code) != code || Turns((byte)code).Distinct().Count() < 8)
                continue;
            codes.Add((byte)code);
        }
        return codes;
    }

    private static IEnumerable<byte> Turns(byte code) =>
        Enumerable.Range(0, 8).Select(k => (byte)(code >> k | code << (8 - k)));

    /// <summary>The least of a code's turns, the same however the picture is turned.</summary>
    public static byte Canonical(byte code) => Turns(code).Min();

    /// <summary>The mark with this code in any turn; null when there is none.</summary>
    public static SheetMark? Find(byte code) => Marks.FirstOrDefault(m => m.Code == Canonical(code));

    /// <summary>Whether a point of the sheet is dark, for drawing it.</summary>
    public static bool IsDark(Point2 p)
    {
        foreach (var m in Marks)
        {
            double dx = p.X - m.XMm,
                dy = p.Y - m.YMm,
                r = Math.Sqrt(dx * dx + dy * dy);
            if (r > RingOuterMm)
                continue;
            if (r >= RingInnerMm || r <= DotMm)
                return true;
            if (r is < SectorInnerMm or > SectorOuterMm)
                return false;
            var sector = (int)Math.Floor((Math.Atan2(dy, dx) + 2 * Math.PI) % (2 * Math.PI) / (Math.PI / 4));
            return (m.Code >> Math.Min(7, sector) & 1) == 1;
        }
        return false;
    }
}
