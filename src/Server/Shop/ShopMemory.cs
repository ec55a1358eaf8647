using System.Text.Json;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Shop;

/// <summary>The library and the drawer as Core types, read again when they change.</summary>
internal sealed class ShopMemory(
    [FromKeyedServices("board")] Library boards,
    [FromKeyedServices("block")] Library blocks,
    [FromKeyedServices("card")] Library cards,
    DrawerItems drawer
)
{
    private readonly Lock _gate = new();
    private (long Edition, Dictionary<string, Board> Value)? _boards;
    private (long Edition, Dictionary<string, Block> Value)? _blocks;
    private (long Edition, Dictionary<string, Card> Value)? _cards;
    private (long Edition, Drawer Value)? _drawer;
    private readonly Dictionary<string, string> _boardDigests = [],
        _blockDigests = [],
        _cardDigests = [];

    public IReadOnlyDictionary<string, Board> Boards =>
        Fresh(ref _boards, boards.Edition, old => Read(boards, old, d => BoardReader.Read(d), _boardDigests));

    public IReadOnlyDictionary<string, Block> Blocks =>
        Fresh(ref _blocks, blocks.Edition, old => Read(blocks, old, d => BlockReader.Read(d), _blockDigests));

    public IReadOnlyDictionary<string, Card> Cards =>
        Fresh(ref _cards, cards.Edition, old => Read(cards, old, d => CardReader.Read(d), _cardDigests));

    public Drawer Drawer => Fresh(ref _drawer, drawer.Edition, _ => Assemble(drawer.All()));

    private T Fresh<T>(ref (long Edition, T Value)? slot, long edition, Func<T?, T> read)
        where T : class
    {
        lock (_gate)
        {
            if (slot is { } s && s.Edition == edition)
                return s.Value;
            var value = read(slot?.Value);
            slot = (edition, value);
            return value;
        }
    }

    /// <summary>Reads what is new or changed; the rest stays as it was read before.</summary>
    private static Dictionary<string, T> Read<T>(
        Library library,
        Dictionary<string, T>? old,
        Func<byte[], T> read,
        Dictionary<string, string> digests
    )
    {
        const int fewChanges = 200;
        var listed = library.Digests();
        var changed = listed
            .Where(d => old is null || digests.GetValueOrDefault(d.Id) != d.Digest)
            .Select(d => d.Id)
            .ToHashSet();
        var fresh =
            changed.Count <= fewChanges
                ? changed.ToDictionary(id => id, id => read(library.Find(id)!))
                : library
                    .All()
                    .Where(d => changed.Contains(d.Id))
                    .AsParallel()
                    .Select(d => (d.Id, Value: read(d.Document)))
                    .ToDictionary(d => d.Id, d => d.Value);
        digests.Clear();
        foreach (var (id, digest) in listed)
            digests[id] = digest;
        return listed.ToDictionary(d => d.Id, d => fresh.TryGetValue(d.Id, out var v) ? v : old![d.Id]);
    }

    private static Drawer Assemble(IReadOnlyList<DrawerRow> rows)
    {
        List<T> Of<T>(string kind) =>
            [
                .. rows.Where(r => r.Kind == kind)
                    .Select(r => JsonSerializer.Deserialize<T>(r.Content, DocumentJson.Options)!),
            ];
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
