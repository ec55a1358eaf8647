using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

internal sealed record BoardEntry(
    string Id,
    string Maker,
    string Model,
    string BoardCode,
    string Revision,
    BoardKind Kind,
    int Holes,
    int Parts,
    double WidthMm,
    double DepthMm,
    double PositionSigmaMm,
    bool HasAssembly
);

internal sealed record BlockEntry(
    string Id,
    string Maker,
    string Model,
    BlockKind Kind,
    string? ManualRevision,
    IReadOnlyList<string> DeclaredFor,
    int Screws,
    Money? Price
);

/// <summary>One block judged against one board, for a list.</summary>
internal sealed record MatchEntry(
    string BoardId,
    string BoardName,
    string BlockId,
    string BlockName,
    BlockKind Kind,
    Verdict Verdict,
    EvidenceGrade Grade,
    string Summary,
    string TopReason,
    double ChanceOfSeating,
    double? TightestMm,
    int Uncovered,
    Money? Price
);

/// <summary>The first of the blocks judged, and how many there are by verdict.</summary>
internal sealed record MatchList(
    IReadOnlyList<MatchEntry> Entries,
    int Judged,
    IReadOnlyDictionary<Verdict, int> Counts
);

/// <summary>What a dropped file turned out to be: a document to look at, or its faults.</summary>
internal sealed record Checked(
    string Kind,
    Board? Board,
    Block? Block,
    IReadOnlyList<PointedFault> Faults,
    bool Known,
    bool SameContent
);

/// <summary>Boards and blocks: list, show, check, keep.</summary>
internal static class LibraryEndpoints
{
    private const long MostBatchBytes = 1L << 30;

    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("library");
        api.MapGet("/boards", (ShopMemory shop) => TypedResults.Ok(shop.Boards.Values.Select(Entry)));
        api.MapGet("/blocks", (ShopMemory shop) => TypedResults.Ok(shop.Blocks.Values.Select(Entry)));
        api.MapGet(
                "/boards/{id}",
                (string id, [FromKeyedServices("board")] Library boards) => Document(boards.Find(id), "board", id)
            )
            .Produces<Board>();
        api.MapGet(
                "/blocks/{id}",
                (string id, [FromKeyedServices("block")] Library blocks) => Document(blocks.Find(id), "block", id)
            )
            .Produces<Block>();
        api.MapGet("/boards/{id}/blocks", BlocksFor);
        api.MapGet("/blocks/{id}/boards", BoardsFor);
        api.MapGet("/match/{boardId}/{blockId}", MatchOne);
        api.MapPost(
                "/boards",
                (HttpRequest r, [FromKeyedServices("board")] Library boards, bool? replace) =>
                    KeepAsync(r, boards, "boards", LibraryDocuments.Board, replace ?? false)
            )
            .Accepts<JsonElement>("application/json");
        api.MapPost(
                "/blocks",
                (HttpRequest r, [FromKeyedServices("block")] Library blocks, bool? replace) =>
                    KeepAsync(r, blocks, "blocks", LibraryDocuments.Block, replace ?? false)
            )
            .Accepts<JsonElement>("application/json");
        api.MapPost(
                "/boards/batch",
                (HttpRequest r, [FromKeyedServices("board")] Library boards, bool? replace) =>
                    BatchAsync(r, boards, LibraryDocuments.Board, replace ?? false)
            )
            .WithMetadata(new RequestSizeLimitAttribute(MostBatchBytes));
        api.MapPost(
                "/blocks/batch",
                (HttpRequest r, [FromKeyedServices("block")] Library blocks, bool? replace) =>
                    BatchAsync(r, blocks, LibraryDocuments.Block, replace ?? false)
            )
            .WithMetadata(new RequestSizeLimitAttribute(MostBatchBytes));
        api.MapPost("/library/check", CheckAsync).Accepts<JsonElement>("application/json");
    }

    private static BoardEntry Entry(Board b) =>
        new(
            b.Id,
            b.Maker,
            b.Model,
            b.BoardCode,
            b.Revision,
            b.Kind,
            b.Holes.Count,
            b.Parts.Count,
            b.Outline.Bounds.Width,
            b.Outline.Bounds.Height,
            b.PositionSigmaMm,
            b.Assembly is not null
        );

    private static BlockEntry Entry(Block b) =>
        new(
            b.Id,
            b.Maker,
            b.Model,
            b.Kind,
            b.ManualRevision,
            [.. b.DeclaredFor.Select(d => $"{d.BoardCode} {string.Join(", ", d.Revisions)}".Trim())],
            b.Plates.Sum(p => p.Holes.Count),
            b.Price
        );

    private static IResult Document(byte[]? document, string kind, string id) =>
        document is null
            ? throw new NotHereException($"The library has no {kind} \"{id}\".")
            : Results.Bytes(document, "application/json");

    private const int MostShown = 60,
        MostAsked = 1000;

    /// <summary>The shop's blocks judged against one board, narrowed by what is typed.</summary>
    /// <param name="text">Words that must all stand in maker, model, kind or socket.</param>
    private static Ok<MatchList> BlocksFor(
        string id,
        string? text,
        double? clearanceMm,
        double? bondLineUm,
        int? most,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotHereException($"The library has no board \"{id}\".");
        if (clearanceMm is not null and not (>= 0 and <= 5))
            throw new InputException("?clearanceMm", "Expected 0 to 5 mm.");
        if (bondLineUm is not null and not (>= 0 and <= 500))
            throw new InputException("?bondLineUm", "Expected 0 to 500 µm.");
        if (most is not null and not (>= 1 and <= MostAsked))
            throw new InputException("?most", $"Expected 1 to {MostAsked}.");
        var words = (text ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
        List<Block> blocks =
        [
            .. shop.Blocks.Values.Where(b =>
                words.All(w => Described(b).Contains(w, StringComparison.OrdinalIgnoreCase))
            ),
        ];
        var plain = new FitSettings();
        var settings = plain with
        {
            MinClearanceMm = clearanceMm ?? plain.MinClearanceMm,
            BondLineMm = bondLineUm / 1000 ?? plain.BondLineMm,
        };
        var scan = FitScan.Run(board, blocks, settings, cancel);
        var shown = Sorted(
            scan.Select(e => (board, e)),
            most ?? MostShown,
            e => FitScan.InFull(board, e.Block, settings, cancel)
        );
        return TypedResults.Ok(
            new MatchList(
                shown,
                scan.Length,
                Enum.GetValues<Verdict>().ToDictionary(v => v, v => scan.Count(e => e.Verdict == v))
            )
        );
    }

    private static string Described(Block b) =>
        $"{b.Maker} {b.Model} {EnumNames<BlockKind>.Of(b.Kind)} {string.Join(' ', b.Sockets.Select(s => s.Socket))} {b.ColdPlate?.Metal}";

    private static Ok<List<MatchEntry>> BoardsFor(string id, ShopMemory shop, CancellationToken cancel)
    {
        var block =
            shop.Blocks.GetValueOrDefault(id) ?? throw new NotHereException($"The library has no block \"{id}\".");
        return TypedResults.Ok(
            Sorted(
                shop.Boards.Values.AsParallel()
                    .WithCancellation(cancel)
                    .Select(board => (board, FitScan.Run(board, [block], cancel: cancel)[0]))
                    .ToList()
            )
        );
    }

    private static Ok<FitResult> MatchOne(string boardId, string blockId, ShopMemory shop, CancellationToken cancel)
    {
        var board =
            shop.Boards.GetValueOrDefault(boardId)
            ?? throw new NotHereException($"The library has no board \"{boardId}\".");
        var block =
            shop.Blocks.GetValueOrDefault(blockId)
            ?? throw new NotHereException($"The library has no block \"{blockId}\".");
        return TypedResults.Ok(Fit.Judge(board, block, cancel: cancel));
    }

    private static MatchEntry Entry(Board board, ScanEntry e) =>
        new(
            board.Id,
            NameOf(board),
            e.Block.Id,
            $"{e.Block.Maker} {e.Block.Model}",
            e.Block.Kind,
            e.Verdict,
            e.Grade,
            e.Summary,
            e.TopReason,
            e.ChanceOfSeating,
            e.Fit is { Margins: [var tightest, ..] } ? tightest.MarginMm : null,
            e.Fit?.Uncovered.Count ?? 0,
            e.Block.Price
        );

    /// <summary>A label that is not there is not read out.</summary>
    private static string NameOf(Board b) =>
        string.Join(
            ' ',
            ((string[])[b.Maker, b.Model, b.BoardCode, b.Revision]).Where(t => t is not ("none" or "unknown"))
        );

    /// <summary>Least change first; what no work can mend comes last.</summary>
    /// <param name="most">How many are shown.</param>
    /// <param name="inFull">Says why of those shown that a proof settled.</param>
    internal static List<MatchEntry> Sorted(
        IEnumerable<(Board Board, ScanEntry Scan)> entries,
        int most = int.MaxValue,
        Func<ScanEntry, ScanEntry>? inFull = null
    ) =>
        [
            .. entries
                .OrderBy(e => e.Scan.Verdict)
                .ThenBy(e => e.Scan.IsHopeless)
                .ThenBy(e => e.Scan.Fit?.Uncovered.Count ?? 0)
                .ThenBy(e => e.Scan.Grade)
                .ThenByDescending(e => e.Scan.Fit is { Margins: [var m, ..] } ? m.MarginMm : 0)
                .ThenBy(e => e.Scan.Block.Maker, StringComparer.Ordinal)
                .ThenBy(e => e.Scan.Block.Model, StringComparer.Ordinal)
                .Take(most)
                .Select(e =>
                    Entry(
                        e.Board,
                        e.Scan.Fit is null && inFull is not null && e.Scan.Summary != Fit.WrongSocket
                            ? inFull(e.Scan)
                            : e.Scan
                    )
                ),
        ];

    internal static async Task<IResult> KeepAsync(
        HttpRequest request,
        Library library,
        string path,
        Func<ReadOnlyMemory<byte>, LibraryDocument> read,
        bool replace
    )
    {
        var document = read(await Bodies.BytesAsync(request, JsonInput.MostBytes));
        var address = $"/api/{path}/{Uri.EscapeDataString(document.Id)}";
        if (library.Keep([document], replace).Added == 1)
            return Results.Created(address, new { document.Id, address });
        request.HttpContext.Response.Headers.Location = address;
        return Results.Ok(new { document.Id, address });
    }

    private static async Task<Ok<KeptCount>> BatchAsync(
        HttpRequest request,
        Library library,
        Func<ReadOnlyMemory<byte>, LibraryDocument> read,
        bool replace
    )
    {
        const int mostFaults = 100;
        var documents = new List<LibraryDocument>();
        var faults = new List<InputFault>();
        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        var line = 0;
        while (await reader.ReadLineAsync(request.HttpContext.RequestAborted) is { } text)
        {
            line++;
            if (string.IsNullOrWhiteSpace(text))
                continue;
            try
            {
                documents.Add(read(Encoding.UTF8.GetBytes(text)));
            }
            catch (MalformedJsonException e)
            {
                faults.Add(new($"/{line - 1}", $"Line {line}: {e.Message}"));
            }
            catch (InputException e)
            {
                faults.AddRange(
                    e.Faults.Select(f => new InputFault($"/{line - 1}{f.Field}", $"Line {line}: {f.Message}"))
                );
            }
            if (faults.Count >= mostFaults)
                break;
        }
        if (faults.Count > 0)
            throw new InputException(faults);
        return TypedResults.Ok(library.Keep(documents, replace));
    }

    /// <summary>Reads a dropped file and says what it is and what is wrong with it; keeps nothing.</summary>
    private static async Task<Ok<Checked>> CheckAsync(
        HttpRequest request,
        [FromKeyedServices("board")] Library boards,
        [FromKeyedServices("block")] Library blocks
    )
    {
        ReadOnlyMemory<byte> bytes = await Bodies.BytesAsync(request, JsonInput.MostBytes);
        try
        {
            using var json = JsonInput.Parse(bytes);
            var format =
                json.RootElement.ValueKind == JsonValueKind.Object
                && json.RootElement.TryGetProperty("format", out var f)
                && f.ValueKind == JsonValueKind.String
                    ? f.GetString()
                    : null;
            var digest = CanonicalJson.Digest(json.RootElement);
            if (format == BlockReader.Format)
            {
                var block = BlockReader.Read(bytes);
                var kept = blocks.Find(block.Id);
                return TypedResults.Ok(
                    new Checked(
                        "block",
                        null,
                        block,
                        [],
                        kept is not null,
                        kept is not null && LibraryDocuments.Digest(kept) == digest
                    )
                );
            }
            if (format != BoardReader.Format)
                return TypedResults.Ok(
                    new Checked(
                        "unknown",
                        null,
                        null,
                        [
                            new(
                                "/format",
                                $"Expected \"{BoardReader.Format}\" or \"{BlockReader.Format}\", found {(format is null ? "nothing" : $"\"{format}\"")}."
                            ),
                        ],
                        false,
                        false
                    )
                );
            var board = BoardReader.Read(bytes);
            var known = boards.Find(board.Id);
            return TypedResults.Ok(
                new Checked(
                    "board",
                    board,
                    null,
                    [],
                    known is not null,
                    known is not null && LibraryDocuments.Digest(known) == digest
                )
            );
        }
        catch (MalformedJsonException e)
        {
            return TypedResults.Ok(new Checked("unknown", null, null, PointedFault.All([e.Fault]), false, false));
        }
        catch (InputException e)
        {
            return TypedResults.Ok(new Checked("unknown", null, null, PointedFault.All(e.Faults), false, false));
        }
    }
}
