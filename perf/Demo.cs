using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Formats.Documents;

namespace FaithfulBracket.Perf;

/// <summary>The demo shop's documents as inputs.</summary>
internal static class Demo
{
    private static string House
    {
        get
        {
            var folder = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(folder.FullName, "FaithfulBracket.slnx")))
                folder = folder.Parent!;
            return folder.FullName;
        }
    }

    public static Board Board { get; } =
        BoardReader.Read(File.ReadAllBytes(Path.Combine(House, "demo/boards/tern-460-r2.board.json")));
    public static Block Block { get; } =
        BlockReader.Read(File.ReadAllBytes(Path.Combine(House, "demo/blocks/brineworks-full-460.block.json")));
    public static PadMaterial Soft { get; } =
        new("soft", [new(0, 0), new(0.1, 0.04), new(0.2, 0.1), new(0.3, 0.2), new(0.5, 0.6)], 0.1, 0.45, 0.05);
    public static Dictionary<string, PadMaterial> Materials { get; } = new() { ["soft"] = Soft };
    public static PasteMaterial Grey { get; } = new("grey", 110, 180, 2.6);

    public static string Folder => Path.Combine(House, "demo");

    public static string DocsFile => Path.Combine(House, "docs/performance.md");

    /// <summary>A board and block with as many memory sites and screws as asked.</summary>
    public static (Board, Block, LaidPad[]) Large(int pads, int screws)
    {
        var parts = new List<Part>
        {
            new()
            {
                Id = "U1",
                Kind = PartKind.Die,
                X = 0,
                Y = 0,
                WidthMm = 24,
                DepthMm = 22,
                HeightMm = 2.1,
                Cool = Cooling.Must,
                MaxPressureMPa = 3,
            },
        };
        var lands = new List<Land>
        {
            new()
            {
                Id = "L",
                Outline = Core.Geometry.Polygon.Rectangle(default, 28, 26),
                For = PartKind.Die,
                Through = Through.Paste,
            },
        };
        var laid = new List<LaidPad>();
        for (var i = 0; i < pads; i++)
        {
            double x = -90 + i % 10 * 20,
                y = (i / 10 is var row && row < 2 ? -60 + row * 16 : 28 + row * 16 - 32) + 4;
            parts.Add(
                new()
                {
                    Id = $"M{i}",
                    Kind = PartKind.Memory,
                    X = x,
                    Y = y,
                    WidthMm = 12,
                    DepthMm = 10,
                    HeightMm = 1.2,
                    Cool = Cooling.Must,
                }
            );
            lands.Add(
                new()
                {
                    Id = $"L{i}",
                    Outline = Core.Geometry.Polygon.Rectangle(new(x, y), 13, 11),
                    StepMm = -0.2,
                    For = PartKind.Memory,
                    Part = $"M{i}",
                    Through = Through.Pad,
                    PadMm = 1,
                }
            );
            laid.Add(new($"M{i}", 1, "soft"));
        }
        var at = Enumerable
            .Range(0, screws)
            .Select(i =>
                i < 4
                    ? new Core.Geometry.Point2(i is 0 or 3 ? -29 : 29, i < 2 ? -20 : 20)
                    : new Core.Geometry.Point2(
                        105 * Math.Cos(i * 2 * Math.PI / (screws - 4)),
                        70 * Math.Sin(i * 2 * Math.PI / (screws - 4))
                    )
            )
            .ToList();
        var board = Board with
        {
            Id = "large",
            Outline = Core.Geometry.Polygon.Rectangle(default, 240, 160),
            Parts = parts,
            Holes = [.. at.Select((p, i) => new BoardHole($"H{i}", p.X, p.Y, 2.8, HoleRole.Retention))],
            Assembly = null,
        };
        var block = Block with
        {
            Id = "large",
            DeclaredFor = [],
            BackPlate = null,
            Plates =
            [
                new()
                {
                    Id = "main",
                    Outline = Core.Geometry.Polygon.Rectangle(default, 230, 150),
                    BaseStepMm = 3,
                    Lands = lands,
                    Holes =
                    [
                        .. at.Select(
                            (p, i) =>
                                new BlockHole
                                {
                                    Id = $"S{i}",
                                    X = p.X,
                                    Y = p.Y,
                                    ScrewMm = 2.5,
                                    Thread = "M2.5",
                                    Role = HoleRole.Retention,
                                    Ring = i < 4 ? 1 : 2,
                                    Spring = new(i < 4 ? 60 : 20, 1.2),
                                }
                        ),
                    ],
                },
            ],
        };
        return (board, block, [.. laid]);
    }
}
