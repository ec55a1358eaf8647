using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Core.Route;

/// <summary>Everything a plan for one job is reckoned from.</summary>
public sealed record JobContext
{
    public required Board Board { get; init; }
    public Block? Block { get; init; }
    public Drawer Drawer { get; init; } = Drawer.Empty;

    /// <summary>Pads the installer chose instead of the reckoned ones, by part.</summary>
    public IReadOnlyDictionary<string, LaidPad> PadChoices { get; init; } = new Dictionary<string, LaidPad>();

    /// <summary>Paste by id from the drawer; null takes the first.</summary>
    public string? PasteId { get; init; }
    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>Ways chosen where installers disagree, by question.</summary>
    public IReadOnlyDictionary<string, string> Ways { get; init; } = new Dictionary<string, string>();

    /// <summary>The cut plan that somebody has begun to cut; null while nothing is cut.</summary>
    public Pads.Cutting.BegunCutting? Begun { get; init; }

    /// <summary>Stock pads as they were found.</summary>
    public IReadOnlyList<Pads.Stock.AsFoundPad> AsFound { get; init; } = [];

    /// <summary>A teardown order somebody chose; null takes the best.</summary>
    public IReadOnlyList<string>? TeardownOrder { get; init; }

    /// <summary>The way chosen for a question, or its default.</summary>
    public string Way(string school) =>
        Ways.TryGetValue(school, out var way) ? way : Schools.For(Board).First(s => s.Id == school).Default;

    public IReadOnlyDictionary<string, PadMaterial> Materials => Drawer.Materials.ToDictionary(m => m.Id);

    public PasteStock? Paste => Drawer.PasteOr(PasteId);
}
