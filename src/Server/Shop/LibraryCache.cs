using System.Collections.Concurrent;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Shop;

/// <summary>The library and the drawer as Core types, read again when they change.</summary>
internal sealed class LibraryCache(
    [FromKeyedServices("board")] Library boards,
    [FromKeyedServices("block")] Library blocks,
    [FromKeyedServices("card")] Library cards,
    [FromKeyedServices("socket")] Library sockets,
    [FromKeyedServices("machine")] Library machines,
    DrawerItems drawer,
    Settings settings
)
{
    private readonly Lock _gate = new();
    private (long Edition, Dictionary<string, Board> Value)? _boards;
    private (long Edition, Dictionary<string, Block> Value)? _blocks;
    private (long Edition, Dictionary<string, Card> Value)? _cards;
    private (long Edition, Dictionary<string, Socket> Value)? _sockets;
    private (long Edition, Dictionary<string, Machine> Value)? _machines;
    private (long Edition, Drawer Value)? _drawer;
    private (long Edition, ShopSettings Value)? _settings;
    private readonly Dictionary<string, string> _boardDigests = [],
        _blockDigests = [],
        _cardDigests = [],
        _socketDigests = [],
        _machineDigests = [];

    public IReadOnlyDictionary<string, Board> Boards =>
        Fresh(ref _boards, boards.Edition, old => Read("board", boards, old, d => BoardReader.Read(d), _boardDigests));

    /// <summary>
    /// Blocks as they are calculated with: by the maker's claim, or by the shop's own jobs where it said so.
    /// </summary>
    public IReadOnlyDictionary<string, Block> Blocks
    {
        get
        {
            var claimed = Fresh(
                ref _blocks,
                blocks.Edition,
                old => Read("block", blocks, old, d => BlockReader.Read(d), _blockDigests)
            );
            var claims = Settings.Claims;
            if (claims.Count == 0)
                return claimed;
            lock (_gate)
            {
                if (_ownBlocks is { } kept && kept.Claimed == claimed && kept.Claims == claims)
                    return kept.Value;
                var value = claimed.ToDictionary(b => b.Key, b => AsUsed(b.Value));
                _ownBlocks = (claimed, claims, value);
                return value;
            }
        }
    }

    /// <summary>A block with the shop's own measure of its flow curve, where it has one.</summary>
    public Block AsUsed(Block block) =>
        block.Flow is { } flow && Settings.Claims.TryGetValue(block.Id, out var ratio)
            ? block with
            {
                Flow = flow.By(ratio),
            }
            : block;

    private (
        Dictionary<string, Block> Claimed,
        IReadOnlyDictionary<string, double> Claims,
        Dictionary<string, Block> Value
    )? _ownBlocks;

    public IReadOnlyDictionary<string, Card> Cards =>
        Fresh(ref _cards, cards.Edition, old => Read("card", cards, old, d => CardReader.Read(d), _cardDigests));

    public IReadOnlyDictionary<string, Socket> Sockets =>
        Fresh(
            ref _sockets,
            sockets.Edition,
            old => Read("socket", sockets, old, d => SocketReader.Read(d), _socketDigests)
        );

    public IReadOnlyDictionary<string, Machine> Machines =>
        Fresh(
            ref _machines,
            machines.Edition,
            old => Read("machine", machines, old, d => MachineReader.Read(d), _machineDigests)
        );

    /// <summary>What is not archived of the library: what is listed, judged and proposed.</summary>
    public IReadOnlyDictionary<string, Board> BoardsInUse => InUse(ref _boardsInUse, boards, Boards);

    public IReadOnlyDictionary<string, Block> BlocksInUse => InUse(ref _blocksInUse, blocks, Blocks);

    public IReadOnlyDictionary<string, Card> CardsInUse => InUse(ref _cardsInUse, cards, Cards);

    public IReadOnlyDictionary<string, Socket> SocketsInUse => InUse(ref _socketsInUse, sockets, Sockets);

    public IReadOnlyDictionary<string, Machine> MachinesInUse => InUse(ref _machinesInUse, machines, Machines);

    private InUseOf<Board>? _boardsInUse;
    private InUseOf<Block>? _blocksInUse;
    private InUseOf<Card>? _cardsInUse;
    private InUseOf<Socket>? _socketsInUse;
    private InUseOf<Machine>? _machinesInUse;

    private sealed record InUseOf<T>(
        IReadOnlyDictionary<string, T> All,
        long Edition,
        IReadOnlyDictionary<string, T> Value
    );

    private IReadOnlyDictionary<string, T> InUse<T>(
        ref InUseOf<T>? kept,
        Library library,
        IReadOnlyDictionary<string, T> all
    )
    {
        lock (_gate)
        {
            var edition = library.Edition;
            if (kept is { } k && ReferenceEquals(k.All, all) && k.Edition == edition)
                return k.Value;
            var archived = library.Archived();
            var value =
                archived.Count == 0
                    ? all
                    : all.Where(d => !archived.Contains(d.Key)).ToDictionary(d => d.Key, d => d.Value);
            kept = new(all, edition, value);
            return value;
        }
    }

    /// <summary>
    /// Documents that were kept but do not read by today's rules: left out, and named with what to mend.
    /// </summary>
    public IReadOnlyList<UnreadDocument> Unread
    {
        get
        {
            _ = (Boards, Blocks, Cards, Sockets, Machines);
            return [.. _unread.Values.OrderBy(u => u.Kind).ThenBy(u => u.Id, StringComparer.Ordinal)];
        }
    }

    private readonly ConcurrentDictionary<(string, string), UnreadDocument> _unread = new();
    private readonly ConcurrentDictionary<(string Kind, string Digest), object> _offered = new();

    /// <summary>
    /// Takes documents that were read on their way into the library, so that they are not read again.
    /// </summary>
    public void Offer(string kind, IEnumerable<(string Digest, object Parsed)> documents)
    {
        foreach (var (digest, parsed) in documents)
            _offered[(kind, digest)] = parsed;
    }

    /// <summary>Drops what was offered and never came into the library.</summary>
    public void Forget() => _offered.Clear();

    /// <summary>The drawer as it is stated.</summary>
    public Drawer StatedDrawer => Fresh(ref _drawer, drawer.Edition, _ => Assemble(drawer.All()));

    /// <summary>The drawer as the shop uses it.</summary>
    public Drawer Drawer => DrawerUnder(Settings);

    public Drawer DrawerUnder(ShopSettings used) => StatedDrawer.As(used);

    /// <summary>Working defaults with what the shop changed.</summary>
    public ShopSettings Settings =>
        Fresh(ref _settings, settings.Edition, _ => ShopSettingList.With(settings.Changed()));

    /// <summary>How figures are written; asked with every word that is sent, so it takes no lock.</summary>
    public FigureStyle Figures
    {
        get
        {
            if (_styled is { } s && s.Kept == settings.Kept)
                return s.Style;
            var kept = settings.Kept;
            var style = Settings.Figures;
            _styled = new(kept, style);
            return style;
        }
    }

    private sealed record Styled(long Kept, FigureStyle Style);

    private volatile Styled? _styled;

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
    private Dictionary<string, T> Read<T>(
        string kind,
        Library library,
        Dictionary<string, T>? old,
        Func<byte[], T> read,
        Dictionary<string, string> digests
    )
        where T : class
    {
        T? Value(string id, byte[] document)
        {
            try
            {
                var value = read(document);
                _unread.TryRemove((kind, id), out _);
                return value;
            }
            // one document that does not read never takes the others' pages down
            catch (Exception e) when (e is InputException or MalformedJsonException)
            {
                _unread[(kind, id)] = new(kind, id, e.Message);
                return null;
            }
        }

        const int fewChanges = 200;
        var listed = library.Digests();
        var fresh = new Dictionary<string, T?>();
        var changed = new HashSet<string>();
        foreach (var d in listed.Where(d => old is null || digests.GetValueOrDefault(d.Id) != d.Digest))
            if (_offered.TryRemove((kind, d.Digest), out var parsed) && parsed is T known)
            {
                fresh[d.Id] = known;
                _unread.TryRemove((kind, d.Id), out _);
            }
            else
                changed.Add(d.Id);
        var fromDisk =
            changed.Count <= fewChanges
                ? changed.ToDictionary(id => id, id => Value(id, library.Find(id)!))
                : library
                    .All()
                    .Where(d => changed.Contains(d.Id))
                    .AsParallel()
                    .Select(d => (d.Id, Value: Value(d.Id, d.Document)))
                    .ToDictionary(d => d.Id, d => d.Value);
        foreach (var (id, value) in fromDisk)
            fresh[id] = value;
        digests.Clear();
        foreach (var (id, digest) in listed)
            digests[id] = digest;
        return listed
            .Select(d => (d.Id, Value: fresh.TryGetValue(d.Id, out var v) ? v : old!.GetValueOrDefault(d.Id)))
            .Where(d => d.Value is not null)
            .ToDictionary(d => d.Id, d => d.Value!);
    }

    private static Drawer Assemble(IReadOnlyList<DrawerRow> rows)
    {
        List<T> Compute<T>(string kind) =>
            [
                .. rows.Where(r => r.Kind == kind)
                    .Select(r => JsonSerializer.Deserialize<T>(r.Content, DocumentJson.Options)!),
            ];
        return new()
        {
            Materials = Compute<PadMaterial>("material"),
            Pads = Compute<PadStock>("pad"),
            Pastes = Compute<PasteStock>("paste"),
            Screws = Compute<ScrewStock>("screw"),
            Tools = Compute<Tool>("tool"),
            Consumables = Compute<Consumable>("consumable"),
        };
    }
}

/// <summary>A kept document that does not read by today's rules.</summary>
internal sealed record UnreadDocument(string Kind, string Id, string Why);
