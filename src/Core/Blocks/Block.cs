using System.Text.Json.Serialization;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Blocks;

/// <summary>A water block with its kit. Steps are measured from the main die land, + further from the board. Lengths mm.</summary>
public sealed record Block
{
    public required string Id { get; init; }
    public required string Maker { get; init; }
    public required string Model { get; init; }
    public required BlockKind Kind { get; init; }
    public string? ManualRevision { get; init; }
    public IReadOnlyList<Declaration> DeclaredFor { get; init; } = [];
    public IReadOnlyList<SocketFit> Sockets { get; init; } = [];

    /// <summary>Allowed turns of the block on the board, degrees.</summary>
    public IReadOnlyList<double> Rotations { get; init; } = [0];
    public ColdPlate? ColdPlate { get; init; }
    public IReadOnlyList<Plate> Plates { get; init; } = [];
    public BackPlate? BackPlate { get; init; }
    public IReadOnlyList<Port> Ports { get; init; } = [];
    public int? BracketSlots { get; init; }
    public double? HeightMm { get; init; }
    public double? MassG { get; init; }

    /// <summary>Header kinds the block uses up.</summary>
    public IReadOnlyList<string> Headers { get; init; } = [];
    public KitContents? Kit { get; init; }
    public FlowCurve? Flow { get; init; }
    public Money? Price { get; init; }
    public double? GuardHeightMm { get; init; }

    /// <summary>Fittings that bridge a port of this block and one of another.</summary>
    public IReadOnlyList<Join> Joins { get; init; } = [];

    /// <summary>Plates that take a memory module between them; the block is screwed down on their edges.</summary>
    public IReadOnlyList<Carrier> Carriers { get; init; } = [];

    /// <summary>Halves that close round a board.</summary>
    public IReadOnlyList<BlockHalf> Halves { get; init; } = [];

    /// <summary>Whether a gasket lies between its back plate and the board.</summary>
    public bool Gasket { get; init; }

    /// <summary>Plates behind the board under this block's screws, where it is laid: stock ones that come back, or a cooled one.</summary>
    [JsonIgnore]
    public IReadOnlyList<StockPlate> StockPlates { get; init; } = [];
}

/// <summary>One of the two plates that a memory module lies between. Lengths mm, in the module's frame.</summary>
/// <param name="BoltHoles">Where the block's bolts go down into its edge: place along it, and diameter.</param>
/// <param name="PadMm">Pad between its face and the chips.</param>
/// <param name="TopPadMm">Pad between its edge and the block; null without one.</param>
/// <param name="TopPadWidthMm">Across the edge.</param>
public sealed record Carrier(
    string Id,
    Face Face,
    Polygon Outline,
    IReadOnlyList<CarrierBolt> BoltHoles,
    double PadMm,
    double? TopPadMm,
    double? TopPadWidthMm
);

/// <param name="X">Along the carrier's edge.</param>
public sealed record CarrierBolt(
    string Id,
    double X,
    double Y,
    double DiameterMm = CarrierBolt.PlainMm,
    string Thread = CarrierBolt.PlainThread
)
{
    /// <summary>Where the document states neither.</summary>
    public const double PlainMm = 2.2;
    public const string PlainThread = "M2";
}

/// <summary>Half of a block that comes assembled and closes round a board.</summary>
/// <param name="Plate">Its plate.</param>
/// <param name="OpensBefore">Whether it is opened before anything is laid on.</param>
/// <param name="DropParts">What falls out when it is opened.</param>
public sealed record BlockHalf(string Id, Face Face, string Plate, bool OpensBefore, IReadOnlyList<string> DropParts);

/// <summary>
/// What lies behind the board under some of the block's screws: a stock back plate that is fitted again, or a cooled
/// one.
/// </summary>
/// <param name="Piece">Id of the stock piece.</param>
/// <param name="UsesHoles">Holes of the block.</param>
/// <param name="Pads">Parts behind the board that its own pads lie on.</param>
public sealed record StockPlate(string Piece, string Name, IReadOnlyList<string> UsesHoles, IReadOnlyList<string> Pads)
{
    /// <summary>Key of the pair whose cooled plate it is; null for a stock piece.</summary>
    public string? Pair { get; init; }
}

/// <summary>A bridging fitting: as long as its two ports lie apart. Lengths mm.</summary>
/// <param name="Port">Of this block.</param>
public sealed record Join(string Id, string Port, JoinEnd To, double LengthMm, double TolMm)
{
    /// <summary>When it joins its blocks; null is <see cref="JoinKind.Rigid"/>.</summary>
    public JoinKind? Kind { get; init; }
}

/// <summary>When a bridging fitting joins its two blocks.</summary>
public enum JoinKind
{
    /// <summary>In the hand, before both are lowered as one.</summary>
    Rigid,

    /// <summary>It slides into both ports once both blocks are home.</summary>
    Sliding,

    /// <summary>
    /// It stands on the first block, which is home, before the second is lowered onto it; its seal is tightened with the screws
    /// of the second.
    /// </summary>
    Sealing,
}

/// <param name="Block">Id of the other block's document, or its key in the order.</param>
public sealed record JoinEnd(string Block, string Port);

/// <summary>The maker's statement that the block fits a board.</summary>
public sealed record Declaration(string Maker, string BoardCode, IReadOnlyList<string> Revisions);

/// <summary>What the block needs to sit on a socket.</summary>
public sealed record SocketFit(
    string Socket,
    string? Kit,
    string? Posts,
    string? JetPlate,
    string? Insert,
    double? InsertBowMm,
    double? StopHeightMm
)
{
    /// <summary>Height of the contact that its springs are made for, mm above the mainboard.</summary>
    public double? DesignHeightMm { get; init; }

    /// <summary>Thickness of its jet plate, by which an unmarked one is told, mm.</summary>
    public double? JetPlateMm { get; init; }

    /// <summary>Where the package sits when a frame stands in for the clamp, mm above the mainboard.</summary>
    public double? SeatMm { get; init; }

    /// <summary>What the frame holds the package with, N, and the torque of its screws, N·m.</summary>
    public double? FrameN { get; init; }
    public double? FrameNm { get; init; }

    /// <summary>The turn that cools best by the maker's word, degrees.</summary>
    public double? BestRotationDeg { get; init; }
}

public sealed record ColdPlate(string Metal, double? BaseMm, double? FinDirectionDeg, double? SlitDirectionDeg)
{
    /// <summary>Where the fins stand, in the block's frame.</summary>
    public Polygon? FinArea { get; init; }

    /// <summary>Where coolant flows over the plate.</summary>
    public Polygon? FlowArea { get; init; }

    /// <summary>Conductivity of the plate; copper's 390 where not stated.</summary>
    public double? KWPerMK { get; init; }
}

/// <summary>One rigid plate of a block.</summary>
public sealed record Plate
{
    public required string Id { get; init; }

    /// <summary>The board it belongs to in a card of several; null for the only one.</summary>
    public string? Board { get; init; }
    public Face Face { get; init; }
    public Seat Seat { get; init; }

    /// <summary>Height of the reference plane above the board when standoffs carry the plate, mm.</summary>
    public double? StandoffMm { get; init; }
    public double StandoffTolMm { get; init; }

    /// <summary>From its die land to the die land of the block's first plate, mm, for a block between two boards.</summary>
    public double? CoreMm { get; init; }
    public required Polygon Outline { get; init; }

    /// <summary>How much further from the board the plain underside is than the die land, mm.</summary>
    public double BaseStepMm { get; init; }
    public IReadOnlyList<Land> Lands { get; init; } = [];
    public IReadOnlyList<Pocket> Pockets { get; init; } = [];
    public IReadOnlyList<BlockHole> Holes { get; init; } = [];
}

/// <summary>A face meant to touch a part, through paste or pad.</summary>
public sealed record Land
{
    public required string Id { get; init; }
    public required Polygon Outline { get; init; }
    public double StepMm { get; init; }

    /// <summary>Three standard deviations of the step, mm.</summary>
    public double StepTolMm { get; init; }

    /// <summary>The kind of part it serves.</summary>
    public PartKind? For { get; init; }

    /// <summary>The one part it serves, by id.</summary>
    public string? Part { get; init; }
    public Through Through { get; init; }

    /// <summary>Pad thickness the maker supplies for it, mm.</summary>
    public double? PadMm { get; init; }
    public string? Metal { get; init; }

    /// <summary>How outline and step are known; null as the document states them.</summary>
    public FigureGrade? Evidence { get; init; }

    /// <summary>Whether this land is meant for the part.</summary>
    public bool Serves(Part part) => Part is not null ? Part == part.Id : For == part.Kind;
}

public sealed record Pocket(Polygon Outline, double StepMm);

/// <summary>A screw hole of the block.</summary>
public sealed record BlockHole
{
    public required string Id { get; init; }
    public required double X { get; init; }
    public required double Y { get; init; }

    /// <summary>Outer diameter of the screw, mm.</summary>
    public required double ScrewMm { get; init; }
    public string? Thread { get; init; }
    public HoleRole Role { get; init; }

    /// <summary>Tightening ring, 1 innermost.</summary>
    public int? Ring { get; init; }
    public bool Required { get; init; } = true;

    /// <summary>Thread depth the screw engages, mm.</summary>
    public double? EngageMm { get; init; }

    /// <summary>Height above the board at which an unsprung screw holds the plate, mm.</summary>
    public double? StopMm { get; init; }
    public string? Washer { get; init; }
    public Spring? Spring { get; init; }

    /// <summary>Whether nobody has looked yet if it carries a spring, and which: what it presses with is not told.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool SpringUnknown { get; init; }

    /// <summary>Torque target, N·m.</summary>
    public double? TargetNm { get; init; }
    public string? Finish { get; init; }

    /// <summary>How its place is known; null as the document states it.</summary>
    public FigureGrade? Evidence { get; init; }

    /// <summary>Only for these sockets; empty for any.</summary>
    public IReadOnlyList<string> Sockets { get; init; } = [];

    [JsonIgnore]
    public Point2 At => new(X, Y);
}

/// <param name="RateNPerMm">Stiffness, N/mm.</param>
/// <param name="TravelMm">Compression at home with zero bond line on a rigid board, mm.</param>
public sealed record Spring(double RateNPerMm, double TravelMm);

public sealed record BackPlate
{
    public required string Id { get; init; }
    public IReadOnlyList<string> UsesHoles { get; init; } = [];

    /// <summary>
    /// How many times stiffer it makes the board between its screws, by its maker; 1 where nobody says. Counts only
    /// without a thickness.
    /// </summary>
    public double StiffnessFactor { get; init; } = 1;

    /// <summary>Thickness where it crosses the board between its screws, mm; null where it is not known.</summary>
    public double? ThicknessMm { get; init; }

    /// <summary>Young's modulus, MPa.</summary>
    [JsonPropertyName("eMPa")]
    public double EMPa { get; init; } = AluminiumMPa;

    public const double AluminiumMPa = 70_000;
    public IReadOnlyList<Land> Lands { get; init; } = [];

    /// <summary>Height of its reference plane above the back surface, mm.</summary>
    public double? StandoffMm { get; init; }
    public double StandoffTolMm { get; init; }

    /// <summary>Where it meets the front block and takes paste; null where they do not meet.</summary>
    public Polygon? PasteBridge { get; init; }
}

public sealed record Port(string Id, string Thread, double X, double Y, string? Facing, string? Role)
{
    /// <summary>Above the die land, mm.</summary>
    public double? ZMm { get; init; }

    [JsonIgnore]
    public Point2 At => new(X, Y);
}

public sealed record KitContents
{
    public IReadOnlyList<KitScrew> Screws { get; init; } = [];
    public IReadOnlyList<KitPad> Pads { get; init; } = [];
    public double PasteG { get; init; }
    public int Plugs { get; init; }
    public IReadOnlyList<string> Keys { get; init; } = [];
    public IReadOnlyList<KitSink> Sinks { get; init; } = [];
}

public sealed record KitScrew(string Thread, double? LengthMm, int Count, string? Driver, string? Washer);

public sealed record KitPad(
    double ThicknessMm,
    double WidthMm,
    double DepthMm,
    int Count,
    string Material,
    string? Tacky
);

/// <param name="RKPerW">Sink to air, K/W, in the stated airflow.</param>
public sealed record KitSink(
    double WidthMm,
    double DepthMm,
    double HeightMm,
    [property: JsonPropertyName("rKPerW")] double RKPerW,
    int Count
);

/// <summary>R(Q) = a + b·Q^−n, K/W with Q in L/min; pressure drop points in kPa.</summary>
public sealed record FlowCurve(
    [property: JsonPropertyName("aKPerW")] double AKPerW,
    [property: JsonPropertyName("bKPerW")] double BKPerW,
    double N,
    string Unit,
    IReadOnlyList<Point2> DropKPaAt
)
{
    /// <summary>What the maker's claim was multiplied by, because the shop's own jobs say so; null where the claim stands.</summary>
    public double? ShopScale { get; init; }

    /// <summary>The curve as the shop's own jobs tell it.</summary>
    public FlowCurve By(double ratio) =>
        this with
        {
            AKPerW = AKPerW * ratio,
            BKPerW = BKPerW * ratio,
            ShopScale = ratio,
        };
}
