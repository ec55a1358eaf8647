using System.Text.Json.Serialization;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards;

/// <summary>
/// A bare board seen from the die side: origin at the main die's centre, +x right, +y up, z = 0 at the front surface.
/// Lengths mm.
/// </summary>
public sealed record Board
{
    public required string Id { get; init; }
    public required string Maker { get; init; }
    public required string Model { get; init; }
    public required string BoardCode { get; init; }
    public required string Revision { get; init; }
    public required BoardKind Kind { get; init; }
    public required Polygon Outline { get; init; }

    /// <summary>Thickness of the bare board, mm.</summary>
    public required double ThicknessMm { get; init; }

    /// <summary>Bracket width in slots; null where there is no bracket.</summary>
    public int? Slots { get; init; }

    /// <summary>Socket id of mainboards and processors.</summary>
    public string? Socket { get; init; }

    /// <summary>False when the board may not run without its block.</summary>
    public bool UsableWithoutBlock { get; init; } = true;
    public IReadOnlyList<Header> Headers { get; init; } = [];

    /// <summary>Standard deviation of every measured position, per axis, mm; 0 for drawings.</summary>
    public double PositionSigmaMm { get; init; }
    public IReadOnlyList<BoardHole> Holes { get; init; } = [];
    public IReadOnlyList<Part> Parts { get; init; } = [];
    public Assembly? Assembly { get; init; }

    /// <summary>How the shop came to know the board, when it says so itself.</summary>
    public EvidenceGrade? Evidence { get; init; }

    /// <summary>What it is worth to whoever owns it; null where nobody says.</summary>
    public Money? Price { get; init; }

    /// <summary>A metal plate behind the board that stays on it while it is worked on; null without one.</summary>
    [JsonIgnore]
    public Backing? Backing { get; init; }

    /// <summary>Outline of the socket's frame, soldered to the board about its origin; null without a socket.</summary>
    [JsonIgnore]
    public Polygon? SocketFrame { get; init; }

    public Part? FindPart(string id) => Parts.FirstOrDefault(p => p.Id == id);
}

/// <param name="Area">Where it lies against the board.</param>
/// <param name="EMPa">Young's modulus, MPa.</param>
public sealed record Backing(Polygon Area, double ThicknessMm, double EMPa);

/// <summary>A pin header a block may use up.</summary>
public sealed record Header(string Id, string Kind);

/// <summary>
/// A hole through the board. A slot reaches <paramref name="SlotMm"/> along <paramref name="SlotDeg"/>, half to each
/// side.
/// </summary>
public sealed record BoardHole(
    string Id,
    double X,
    double Y,
    double DiameterMm,
    HoleRole Role,
    double SlotMm = 0,
    double SlotDeg = 0
)
{
    [JsonIgnore]
    public Point2 At => new(X, Y);
}

/// <summary>A part on the board, or a site left empty.</summary>
public sealed record Part
{
    /// <summary>Made on the first question; whatever moves or shapes the part, with a copy too, forgets it.</summary>
    private Polygon? _top;

    public required string Id { get; init; }
    public required PartKind Kind { get; init; }
    public Face Face { get; init; }
    public required double X
    {
        get;
        init => (field, _top) = (value, null);
    }
    public required double Y
    {
        get;
        init => (field, _top) = (value, null);
    }
    public required double WidthMm
    {
        get;
        init => (field, _top) = (value, null);
    }
    public required double DepthMm
    {
        get;
        init => (field, _top) = (value, null);
    }
    public double RotationDeg
    {
        get;
        init => (field, _top) = (value, null);
    }

    /// <summary>Top above the face it stands on, mm; 0 while it is not known.</summary>
    [JsonIgnore]
    public double HeightMm { get; init; }

    /// <summary>Whether nobody has said yet how high it is: nothing is calculated from its height.</summary>
    [JsonIgnore]
    public bool HeightUnknown { get; init; }

    /// <summary>The height as documents have it, mm; null means not known yet.</summary>
    [JsonPropertyName("heightMm"), JsonIgnore(Condition = JsonIgnoreCondition.Never)]
    public double? StatedHeightMm
    {
        get => HeightUnknown ? null : HeightMm;
        init => (HeightMm, HeightUnknown) = (value ?? 0, value is null);
    }

    /// <summary>Whether a verdict has to wait for its height or its kind.</summary>
    [JsonIgnore]
    public bool IsUnknown => HeightUnknown || Kind == PartKind.Unknown;

    /// <summary>Three standard deviations of the height, mm.</summary>
    public double HeightTolMm { get; init; }

    /// <summary>How its size and height are known; null as the document states them.</summary>
    public FigureGrade? Evidence { get; init; }

    /// <summary>Whether it has to be cooled; <see cref="Cooling.No"/> while nobody has said.</summary>
    [JsonIgnore]
    public Cooling Cool { get; init; }

    /// <summary>Whether nobody has said yet if it has to be cooled.</summary>
    [JsonIgnore]
    public bool CoolUnknown { get; init; }

    /// <summary>As documents have it; null where nobody has said.</summary>
    [JsonPropertyName("cool")]
    public Cooling? StatedCool
    {
        get => CoolUnknown ? null : Cool;
        init => (Cool, CoolUnknown) = (value ?? Cooling.No, value is null);
    }

    /// <summary>Heat to carry away, W.</summary>
    public double DissipationW { get; init; }

    /// <summary>Highest allowed temperature, °C.</summary>
    public double? LimitC { get; init; }

    /// <summary>Highest allowed clamp load, N.</summary>
    public double? MaxLoadN { get; init; }

    /// <summary>Highest allowed local pressure, MPa.</summary>
    public double? MaxPressureMPa { get; init; }

    /// <summary>Top face in the part's own frame, when it is no rectangle.</summary>
    public Polygon? Outline
    {
        get;
        init => (field, _top) = (value, null);
    }

    /// <summary>Id of the lid above a die.</summary>
    public string? Under { get; init; }
    public double? LidThicknessMm { get; init; }
    public double? BondMm { get; init; }

    /// <summary>Share of the package's power, 0 to 1.</summary>
    public double? PowerShare { get; init; }
    public Polygon? PackageOutline { get; init; }

    /// <summary>What the part is built on, soldered to the board; null takes what its kind usually has.</summary>
    public Substrate? Substrate { get; init; }

    /// <summary>Whether the part is said to have no substrate: it presses with its own outline.</summary>
    [JsonIgnore]
    public bool NoSubstrate { get; init; }

    /// <summary>
    /// Conductivity of the lid and of the bond under it, W/(m·K); null takes copper, and solder or paste by the bond.
    /// </summary>
    public double? LidKWPerMK { get; init; }
    public double? BondKWPerMK { get; init; }

    [JsonIgnore]
    public Point2 At => new(X, Y);

    /// <summary>The top face in the board frame.</summary>
    public Polygon Top() =>
        _top ??= Outline is null
            ? Polygon.Rectangle(At, WidthMm, DepthMm, RotationDeg)
            : new Placement(X, Y, RotationDeg).Apply(Outline);

    /// <summary>Corners (−,−), (+,−), (+,+), (−,+) of the part's rectangle, in the board frame.</summary>
    public IReadOnlyList<Point2> Corners() => Polygon.Rectangle(At, WidthMm, DepthMm, RotationDeg).Points;
}
