using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;

namespace FaithfulBracket.Perf;

/// <summary>
/// Made-up boards in families of near twins: a family shares its plan, a class within it differs under the block,
/// boards of a class differ only outside.
/// </summary>
public sealed class BoardFamilies(int families, int classes, int members, int seed)
{
    public int Count => families * classes * members;

    /// <summary>The class a board belongs to.</summary>
    public int ClassOf(int board) => board / members;

    public static string IdOf(int board) => $"b{board}";

    public static int NumberOf(string id) => int.Parse(id.AsSpan(1), System.Globalization.CultureInfo.InvariantCulture);

    public Board Make(int board)
    {
        int family = board / (classes * members),
            kind = board / members,
            member = board % members;
        var (holes, parts) = Plan(new Random(seed + 31 * family));
        if (kind % classes > 0)
            Edit(new Random(seed + 31 * kind + 7), holes, parts, 10);
        Outside(new Random(seed + 31 * board + 13), parts, member);
        return new()
        {
            Id = IdOf(board),
            Maker = "Made",
            Model = $"Family {family}",
            BoardCode = $"F{family}",
            Revision = $"R{kind % classes}.{member}",
            Kind = BoardKind.GraphicsCard,
            Outline = Polygon.Rectangle(new(60, 0), 260, 110),
            ThicknessMm = 1.6,
            Holes = holes,
            Parts = parts,
        };
    }

    private static double Mm(Random r, double from, double to) => Math.Round(from + r.NextDouble() * (to - from), 2);

    private static (List<BoardHole>, List<Part>) Plan(Random r)
    {
        var holes = new List<BoardHole>();
        double px = Mm(r, 24, 33),
            py = r.Next(2) == 0 ? px : Mm(r, 24, 33);
        foreach (var (sx, sy) in ((int, int)[])[(-1, -1), (1, -1), (1, 1), (-1, 1)])
            holes.Add(new($"H{holes.Count + 1}", sx * px, sy * py, 2.8, HoleRole.Retention));
        for (var k = r.Next(5, 9); k > 0; k--)
            holes.Add(
                new(
                    $"H{holes.Count + 1}",
                    Mm(r, -55, 120),
                    Mm(r, -46, 46),
                    r.Next(2) == 0 ? 2.8 : 3.2,
                    HoleRole.Perimeter
                )
            );
        var parts = new List<Part>();
        Add(parts, PartKind.Die, "U1", 0, 0, Mm(r, 1.8, 2.6));
        double mx = Mm(r, 26, 34),
            my = Mm(r, 24, 32),
            pitch = Mm(r, 13, 17),
            height = Mm(r, 1, 1.4);
        for (var k = 0; k < 4; k++)
        {
            Add(parts, PartKind.Memory, $"M{k + 1}", (k - 1.5) * pitch, my, height);
            Add(parts, PartKind.Memory, $"M{k + 5}", mx + (k / 2) * 16, (k % 2 == 0 ? -1 : 1) * Mm(r, 6, 20), height);
        }
        double sx0 = Mm(r, 55, 75),
            step = Mm(r, 7, 10);
        for (var k = r.Next(7, 12); k > 0; k--)
        {
            Add(parts, PartKind.PowerStage, $"Q{k}", sx0, -40 + k * step, 0.9);
            if (r.Next(3) > 0)
                Add(parts, PartKind.Inductor, $"L{k}", sx0 + 11, -40 + k * step, Mm(r, 3.5, 5));
        }
        for (var k = r.Next(10, 16); k > 0; k--)
            Add(parts, PartKind.Capacitor, $"C{k}", Mm(r, -52, 115), Mm(r, -45, 45), Mm(r, 1, 3));
        return (holes, parts);
    }

    private static void Add(List<Part> parts, PartKind kind, string id, double x, double y, double height) =>
        parts.Add(
            new()
            {
                Id = id,
                Kind = kind,
                X = Math.Round(x, 2),
                Y = Math.Round(y, 2),
                WidthMm = 6,
                DepthMm = 6,
                HeightMm = height,
                Cool = kind is PartKind.Capacitor ? Cooling.No : Cooling.Must,
            }
        );

    /// <summary>Moves holes and parts by more than any noise.</summary>
    private static void Edit(Random r, List<BoardHole> holes, List<Part> parts, int edits)
    {
        for (var k = 0; k < edits; k++)
        {
            double dx = (r.Next(2) * 2 - 1) * Mm(r, 2.5, 6),
                dy = (r.Next(2) * 2 - 1) * Mm(r, 2.5, 6);
            if (k < 3)
            {
                var i = r.Next(4, holes.Count);
                holes[i] = holes[i] with { X = holes[i].X + dx, Y = holes[i].Y + dy };
            }
            else
            {
                var i = r.Next(1, parts.Count);
                parts[i] = parts[i] with { X = parts[i].X + dx, Y = parts[i].Y + dy };
            }
        }
    }

    /// <summary>Connectors past the block's end, which do not matter to it.</summary>
    private static void Outside(Random r, List<Part> parts, int member)
    {
        for (var k = 0; k <= member % 3; k++)
            parts.Add(
                new()
                {
                    Id = $"J{k + 1}",
                    Kind = PartKind.Connector,
                    X = Mm(r, 150, 185),
                    Y = Mm(r, -45, 45),
                    WidthMm = 8,
                    DepthMm = 6,
                    HeightMm = 9,
                }
            );
    }

    /// <summary>
    /// What someone measures of a board: turned and shifted, noisy, 30 % of the points missing and 30 % strangers
    /// among them.
    /// </summary>
    public static Constellation Measure(Board board, double sigmaMm, double missing, double extra, Random r)
    {
        var (angle, shift) = (r.NextDouble() * 2 * Math.PI, new Point2(Mm(r, -200, 200), Mm(r, -200, 200)));
        var all = Constellation.From(board).Points;
        var seen = new List<SeenPoint>();
        foreach (var p in all.OrderBy(_ => r.Next()).Take((int)Math.Round(all.Count * (1 - missing))))
        {
            var at = p.At.Turned(angle) + shift + new Point2(Normal(r) * sigmaMm, Normal(r) * sigmaMm);
            seen.Add(new(at.X, at.Y, p.IsHole));
        }
        for (var k = (int)Math.Round(all.Count * extra); k > 0; k--)
        {
            var at = new Point2(Mm(r, -55, 125), Mm(r, -46, 46)).Turned(angle) + shift;
            seen.Add(new(at.X, at.Y, r.Next(4) == 0));
        }
        return new([.. seen.OrderBy(_ => r.Next())]);
    }

    private static double Normal(Random r) =>
        Math.Sqrt(-2 * Math.Log(1 - r.NextDouble())) * Math.Cos(2 * Math.PI * r.NextDouble());
}
