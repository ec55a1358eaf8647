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

    public IReadOnlyDictionary<string, PadMaterial> Materials => Drawer.Materials.ToDictionary(m => m.Id);

    public PasteStock? Paste => Drawer.Pastes.FirstOrDefault(p => p.Material.Id == PasteId) ?? (Drawer.Pastes.Count > 0 ? Drawer.Pastes[0] : null);
}
