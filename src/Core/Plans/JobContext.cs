using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Core.Plans;

/// <summary>Everything a plan for one job is calculated from.</summary>
public sealed record JobContext
{
    public required WorkOrder Order { get; init; }
    public Drawer Drawer { get; init; } = Drawer.Empty;
    public ShopSettings Shop { get; init; } = new();

    /// <summary>Pads the installer chose instead of the calculated ones.</summary>
    public IReadOnlyList<LaidPad> PadChoices { get; init; } = [];

    /// <summary>Paste by id from the drawer; null takes the first.</summary>
    public string? PasteId { get; init; }
    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>What the client complained of; null where of nothing that a sensor reads.</summary>
    public Boards.PartKind? Complaint { get; init; }

    /// <summary>Where cold plates are taken from that readings are compared with.</summary>
    public PlateOf Plates { get; init; } = ExpectedOf.FromNothing;

    /// <summary>Ways chosen where installers disagree, by question.</summary>
    public IReadOnlyDictionary<string, string> Ways { get; init; } = new Dictionary<string, string>();

    /// <summary>The cut plan that somebody has begun to cut; null while nothing is cut.</summary>
    public BegunCutting? Begun { get; init; }

    /// <summary>Stock pads as they were found.</summary>
    public IReadOnlyList<AsFoundPad> AsFound { get; init; } = [];

    /// <summary>A teardown order somebody chose for the first board; null takes the best.</summary>
    public IReadOnlyList<string>? TeardownOrder { get; init; }
}
