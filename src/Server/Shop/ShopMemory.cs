using System.Text.Json;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Shop;

/// <summary>The library and the drawer as Core types, read again when they change.</summary>
internal sealed class ShopMemory([FromKeyedServices("board")] Library boards, [FromKeyedServices("block")] Library blocks, DrawerItems drawer)
{
    private readonly Lock _gate = new();
    private (long Edition, Dictionary<string, Board> Value)? _boards;
    private (long Edition, Dictionary<string, Block> Value)? _blocks;
    private (long Edition, Drawer Value)? _drawer;

    public IReadOnlyDictionary<string, Board> Boards => Fresh(ref _boards, boards.Edition, () => boards.All().Select(d => BoardReader.Read(d)).ToDictionary(b => b.Id));

    public IReadOnlyDictionary<string, Block> Blocks => Fresh(ref _blocks, blocks.Edition, () => blocks.All().Select(d => BlockReader.Read(d)).ToDictionary(b => b.Id));

    public Drawer Drawer => Fresh(ref _drawer, drawer.Edition, () => Assemble(drawer.All()));

    /// <summary>Changes whenever anything here does.</summary>
    public (long, long, long) Edition => (boards.Edition, blocks.Edition, drawer.Edition);

    private T Fresh<T>(ref (long Edition, T Value)? slot, long edition, Func<T> read)
    {
        lock (_gate)
        {
            if (slot is { } s && s.Edition == edition) return s.Value;
            var value = read();
            slot = (edition, value);
            return value;
        }
    }

    private static Drawer Assemble(IReadOnlyList<DrawerRow> rows)
    {
        List<T> Of<T>(string kind) => [.. rows.Where(r => r.Kind == kind).Select(r => JsonSerializer.Deserialize<T>(r.Content, DocumentJson.Options)!)];
        return new()
        {
            Materials = Of<PadMaterial>("material"),
            Pads = Of<PadStock>("pad"),
            Pastes = Of<PasteStock>("paste"),
            Screws = Of<ScrewStock>("screw"),
            Tools = Of<Tool>("tool"),
            Consumables = Of<Consumable>("consumable"),
        };
    }
}
