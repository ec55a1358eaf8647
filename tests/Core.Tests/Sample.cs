using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A small card and a block that fits it: one die, two memory chips, four sprung screws.</summary>
internal static class Sample
{
    public static PlanContext Context(WorkOrder order, Drawer drawer, Ways? ways = null) =>
        new()
        {
            Order = order,
            Shop = new(),
            Drawer = drawer,
            Ways = ways ?? new(),
            Cancel = TestContext.Current.CancellationToken,
        };

    /// <summary>Folder of the demo shop's documents.</summary>
    public static string Demo
    {
        get
        {
            var folder = new DirectoryInfo(AppContext.BaseDirectory);
            while (!Directory.Exists(Path.Combine(folder.FullName, "demo")))
                folder = folder.Parent!;
            return Path.Combine(folder.FullName, "demo");
        }
    }

    public static readonly PadMaterial Soft = new("soft", [new(0, 0), new(0.5, 0.5)], 0.1, 0.45, 0);
    public static readonly PasteMaterial Grey = new("grey", 110, 180, 2.6);

    public static Dictionary<string, PadMaterial> Materials => new() { [Soft.Id] = Soft };

    public static Polygon Rect(double x, double y, double w, double d) => Polygon.Rectangle(new(x, y), w, d);

    public static Part Part(
        string id,
        PartKind kind,
        double x,
        double y,
        double w,
        double d,
        double h,
        Cooling cool = Cooling.No
    ) =>
        new()
        {
            Id = id,
            Kind = kind,
            X = x,
            Y = y,
            WidthMm = w,
            DepthMm = d,
            HeightMm = h,
            HeightTolMm = 0.05,
            Cool = cool,
        };

    public static Board Board(double sigma = 0, params Part[] more) =>
        new()
        {
            Id = "b",
            Maker = "Harrow & Tull",
            Model = "Tern",
            BoardCode = "HT-1",
            Revision = "R1",
            Kind = BoardKind.GraphicsCard,
            Outline = Rect(0, 0, 120, 100),
            ThicknessMm = 1.6,
            PositionSigmaMm = sigma,
            Holes = [.. Corners(29).Select((p, i) => new BoardHole($"H{i + 1}", p.X, p.Y, 2.8, HoleRole.Retention))],
            Parts =
            [
                Part("U1", PartKind.Die, 0, 0, 24, 22, 2.1, Cooling.Must) with
                {
                    MaxLoadN = 450,
                    MaxPressureMPa = 3,
                    DissipationW = 240,
                },
                Part("M1", PartKind.Memory, -15, 33, 14, 12, 1.2, Cooling.Must),
                Part("M2", PartKind.Memory, 15, -33, 14, 12, 1.2, Cooling.Must),
                .. more,
            ],
        };

    public static Block Block(double memoryStepMm = -0.23) =>
        new()
        {
            Id = "k",
            Maker = "Brineworks",
            Model = "Full",
            Kind = BlockKind.FullCover,
            DeclaredFor = [new("Harrow & Tull", "HT-1", ["R1"])],
            Plates =
            [
                new()
                {
                    Id = "main",
                    Outline = Rect(0, 0, 90, 90),
                    BaseStepMm = 0.9,
                    Lands =
                    [
                        new()
                        {
                            Id = "L-die",
                            Outline = Rect(0, 0, 28, 26),
                            For = PartKind.Die,
                            Through = Through.Paste,
                        },
                        new()
                        {
                            Id = "L-m1",
                            Outline = Rect(-15, 33, 15, 13),
                            StepMm = memoryStepMm,
                            StepTolMm = 0.02,
                            For = PartKind.Memory,
                            Through = Through.Pad,
                            PadMm = 1,
                        },
                        new()
                        {
                            Id = "L-m2",
                            Outline = Rect(15, -33, 15, 13),
                            StepMm = memoryStepMm,
                            StepTolMm = 0.02,
                            For = PartKind.Memory,
                            Through = Through.Pad,
                            PadMm = 1,
                        },
                    ],
                    Holes =
                    [
                        .. Corners(29)
                            .Select(
                                (p, i) =>
                                    new BlockHole
                                    {
                                        Id = $"S{i + 1}",
                                        X = p.X,
                                        Y = p.Y,
                                        ScrewMm = 2.5,
                                        Thread = "M2.5",
                                        Role = HoleRole.Retention,
                                        Ring = 1,
                                        Spring = new(75, 1.2),
                                    }
                            ),
                    ],
                },
            ],
            Kit = new() { Pads = [new(1, 120, 20, 1, "soft", "both")], Screws = [new("M2.5", 6, 4, "T6", "plastic")] },
        };

    /// <summary>The block with a plate behind the board, held by the same four screws.</summary>
    public static Block Backed(double? standoffMm, double standoffTolMm, params Land[] lands) =>
        Block() with
        {
            BackPlate = new()
            {
                Id = "back",
                UsesHoles = ["S1", "S2", "S3", "S4"],
                StandoffMm = standoffMm,
                StandoffTolMm = standoffTolMm,
                Lands = lands,
            },
        };

    /// <summary>A land for a chip of memory, 15 × 13 mm.</summary>
    public static Land PadLand(string id, double x, double? padMm = 1) =>
        new()
        {
            Id = id,
            Outline = Rect(x, 0, 15, 13),
            For = PartKind.Memory,
            Through = Through.Pad,
            PadMm = padMm,
        };

    /// <summary>(−,−), (+,−), (+,+), (−,+).</summary>
    public static Point2[] Corners(double d) => [new(-d, -d), new(d, -d), new(d, d), new(-d, d)];

    /// <summary>Two dies to either side of a chip in the middle: what lifts the chip lifts the block evenly.</summary>
    public static (Board Board, Block Block) Twins(double? maxN = null)
    {
        var (board, block) = (Board(), Block());
        Part Die(string id, double x) =>
            Part(id, PartKind.Die, x, 0, 14, 12, 2.1, Cooling.Must) with
            {
                MaxLoadN = id == "U1" ? maxN : null,
            };
        var plate = block.Plates[0];
        return (
            board with
            {
                Parts = [Die("U1", -25), Die("U2", 25), Part("M1", PartKind.Memory, 0, 0, 14, 12, 1.2, Cooling.Must)],
            },
            block with
            {
                Plates =
                [
                    plate with
                    {
                        Lands =
                        [
                            plate.Lands[0] with
                            {
                                Id = "L1",
                                Outline = Rect(-25, 0, 16, 14),
                            },
                            plate.Lands[0] with
                            {
                                Id = "L2",
                                Outline = Rect(25, 0, 16, 14),
                            },
                            plate.Lands[1] with
                            {
                                Outline = Rect(0, 0, 15, 13),
                            },
                        ],
                    },
                ],
            }
        );
    }
}
