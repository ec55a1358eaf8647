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
using FaithfulBracket.Server.Words;
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
    string Label,
    BoardKind Kind,
    int Holes,
    int Parts,
    double WidthMm,
    double DepthMm,
    double PositionSigmaMm,
    bool HasAssembly,
    string? Socket = null
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

/// <summary>Boards and blocks: list, show, judge.</summary>
internal static class LibraryEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("library");
        api.MapGet(
            "/boards",
            (string? text, int? most, bool? archived, LibraryCache shop, HttpResponse response) =>
                List(Asked(shop.Boards, shop.BoardsInUse, archived), Described, Entry, text, most, response)
        );
        api.MapGet(
            "/blocks",
            (string? text, int? most, bool? archived, LibraryCache shop, HttpResponse response) =>
                List(Asked(shop.Blocks, shop.BlocksInUse, archived), Described, Entry, text, most, response)
        );
        api.MapGet("/library/unread", (LibraryCache shop) => TypedResults.Ok(shop.Unread));
        api.MapGet("/boards/{id}/blocks", BlocksFor);
        api.MapGet("/blocks/{id}/boards", BoardsFor);
        api.MapGet("/match/{boardId}/{blockId}", MatchOne);
    }

    /// <param name="archived">True shows what is archived and nothing else.</param>
    private static IEnumerable<T> Asked<T>(
        IReadOnlyDictionary<string, T> all,
        IReadOnlyDictionary<string, T> inUse,
        bool? archived
    ) => archived == true ? all.Where(d => !inUse.ContainsKey(d.Key)).Select(d => d.Value) : inUse.Values;

    /// <summary>
    /// Entries whose words hold all that was typed, the first so many; how many there are stands in Total-Count.
    /// </summary>
    private static Ok<List<TEntry>> List<T, TEntry>(
        IEnumerable<T> all,
        Func<T, string> described,
        Func<T, TEntry> entry,
        string? text,
        int? most,
        HttpResponse response
    )
    {
        if (most is < 1)
            throw new InputException("?most", "Expected 1 or more.");
        var words = (text ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var found = all.Where(t =>
                words.Length == 0
                || described(t) is var d && words.All(w => d.Contains(w, StringComparison.OrdinalIgnoreCase))
            )
            .ToList();
        response.Headers["Total-Count"] = found.Count.ToString(System.Globalization.CultureInfo.InvariantCulture);
        return TypedResults.Ok(found.Take(most ?? int.MaxValue).Select(entry).ToList());
    }

    private static string Described(Board b) => $"{b.Maker} {b.Model} {BoardLabel.Format(b)} {b.Kind} {b.Id}";

    private static BoardEntry Entry(Board b) =>
        new(
            b.Id,
            b.Maker,
            b.Model,
            b.BoardCode,
            b.Revision,
            BoardLabel.Format(b),
            b.Kind,
            b.Holes.Count,
            b.Parts.Count,
            b.Outline.Bounds.Width,
            b.Outline.Bounds.Height,
            b.PositionSigmaMm,
            b.Assembly is not null,
            b.Socket
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

    private const int MaxShown = 60,
        MaxAsked = 1000;

    /// <summary>The shop's blocks judged against one board, narrowed by what is typed.</summary>
    /// <param name="text">Words that must all stand in maker, model, kind or socket.</param>
    private static Ok<MatchList> BlocksFor(
        string id,
        string? text,
        double? clearanceMm,
        double? bondLineUm,
        int? most,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(id));
        if (clearanceMm is not null and not (>= 0 and <= 5))
            throw new InputException("?clearanceMm", "Expected 0 to 5 mm.");
        if (bondLineUm is not null and not (>= 0 and <= 500))
            throw new InputException("?bondLineUm", "Expected 0 to 500 µm.");
        if (most is not null and not (>= 1 and <= MaxAsked))
            throw new InputException("?most", $"Expected 1 to {MaxAsked}.");
        var words = (text ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
        List<Block> blocks =
        [
            .. shop.BlocksInUse.Values.Where(b =>
                words.All(w => Described(b).Contains(w, StringComparison.OrdinalIgnoreCase))
            ),
        ];
        var plain = FitSettings.From(shop.Settings);
        var settings = plain with
        {
            MinClearanceMm = clearanceMm ?? plain.MinClearanceMm,
            BondLineMm = bondLineUm / 1000 ?? plain.BondLineMm,
        };
        var scan = FitScan.Run(board, blocks, settings, cancel);
        var shown = Sorted(
            scan.Select(e => (board, e)),
            most ?? MaxShown,
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
        $"{b.Maker} {b.Model} {EnumNames<BlockKind>.Name(b.Kind)} {string.Join(' ', b.Sockets.Select(s => s.Socket))} {b.ColdPlate?.Metal}";

    /// <param name="most">How many are shown; how many there are stands in Total-Count.</param>
    private static Ok<List<MatchEntry>> BoardsFor(
        string id,
        int? most,
        LibraryCache shop,
        HttpResponse response,
        CancellationToken cancel
    )
    {
        if (most is not null and not (>= 1 and <= MaxAsked))
            throw new InputException("?most", $"Expected 1 to {MaxAsked}.");
        var block =
            shop.Blocks.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoBlock(id));
        var boards = shop.BoardsInUse.Values.ToList();
        var settings = FitSettings.From(shop.Settings);
        var entries = new (Board, ScanEntry)[boards.Count];
        Parallel.For(
            0,
            boards.Count,
            new() { CancellationToken = cancel },
            i => entries[i] = (boards[i], FitScan.One(boards[i], block, settings, cancel))
        );
        response.Headers["Total-Count"] = boards.Count.ToString(System.Globalization.CultureInfo.InvariantCulture);
        return TypedResults.Ok(Sorted(entries, most ?? int.MaxValue));
    }

    private static Ok<FitResult> MatchOne(string boardId, string blockId, LibraryCache shop, CancellationToken cancel)
    {
        var board =
            shop.Boards.GetValueOrDefault(boardId)
            ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(boardId));
        var block =
            shop.Blocks.GetValueOrDefault(blockId)
            ?? throw new NotFoundException(MissingWords.LibraryHasNoBlock(blockId));
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
}
