using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>What to ask a maker about a fit that stays open: as JSON, and as one sheet to print or send.</summary>
internal static class QuestionEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var ask = app.MapGroup("/api/match/{boardId}/{blockId}").WithTags("match").AddEndpointFilter(queue.QueueAsync);
        ask.MapGet(
            "/question",
            (string boardId, string blockId, LibraryCache shop, TwinLibrary twins, CancellationToken cancel) =>
                TypedResults.Ok(Ask(boardId, blockId, shop, twins, cancel).Question)
        );
        ask.MapGet(
                "/question.html",
                (
                    string boardId,
                    string blockId,
                    LibraryCache shop,
                    TwinLibrary twins,
                    TimeProvider time,
                    CancellationToken cancel
                ) =>
                {
                    var (board, block, question) = Ask(boardId, blockId, shop, twins, cancel);
                    var day = DateOnly.FromDateTime(time.GetLocalNow().DateTime);
                    return Results.Content(QuestionSheet.Html(board, block, question, day), "text/html; charset=utf-8");
                }
            )
            .Produces<string>(200, "text/html");
    }

    private static (Board Board, Block Block, MakerQuestion Question) Ask(
        string boardId,
        string blockId,
        LibraryCache shop,
        TwinLibrary twins,
        CancellationToken cancel
    )
    {
        var board =
            shop.Boards.GetValueOrDefault(boardId)
            ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(boardId));
        var block =
            shop.Blocks.GetValueOrDefault(blockId)
            ?? throw new NotFoundException(MissingWords.LibraryHasNoBlock(blockId));
        var settings = FitSettings.From(shop.Settings);
        var fit = Fit.Judge(board, block, settings, cancel);
        var next = NextMeasure.For(board, block, fit, settings, cancel);
        return (board, block, MakerQuestion.For(board, block, fit, next, Twin(board, block, shop, twins, cancel)));
    }

    /// <summary>A board that the block is stated to fit and that is like this one; else the one most like it.</summary>
    private static AskedTwin? Twin(
        Board board,
        Block block,
        LibraryCache shop,
        TwinLibrary twins,
        CancellationToken cancel
    )
    {
        if (board.Holes.Count + board.Parts.Count < 3)
            return null;
        twins.IndexFew(cancel);
        var found = TwinSearch
            .Run(
                Constellation.From(board),
                board.PositionSigmaMm,
                twins.Indexes(cancel),
                twins.Find,
                b => twins.UnderBlock(b, cancel)
            )
            .Candidates.Where(c => c.BoardId != board.Id)
            .Select(c => (Candidate: c, Board: shop.Boards.GetValueOrDefault(c.BoardId)))
            .Where(c => c.Board is not null)
            .ToList();
        if (found.Count == 0)
            return null;
        bool Declared(Board b) => Fit.Grade(b, block) == EvidenceGrade.A;
        var (nearest, of) = found.FirstOrDefault(c => Declared(c.Board!), found[0]);
        return new(
            of!.Id,
            $"{of.Maker} {of.Model}, {BoardLabel.Format(of)}",
            Declared(of),
            [.. nearest.DifferencesUnderBlock, .. nearest.OtherDifferences]
        );
    }
}
