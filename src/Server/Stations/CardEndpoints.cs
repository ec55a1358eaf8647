using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

internal sealed record CardEntry(
    string Id,
    string Maker,
    string Model,
    string BoardCode,
    string Revision,
    BoardKind Kind,
    IReadOnlyList<string> Boards
);

/// <summary>One block judged against a card.</summary>
internal sealed record CardMatch(string BlockId, string BlockName, Verdict Verdict, string Summary, string TopReason);

/// <summary>Cards of several boards: list, show, and which blocks go on them.</summary>
internal static class CardEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api/cards").WithTags("library");
        api.MapGet("/", (LibraryCache shop) => TypedResults.Ok(shop.CardsInUse.Values.Select(Entry)));
        api.MapGet("/{id}/blocks", BlocksFor);
    }

    private static CardEntry Entry(Card c) =>
        new(c.Id, c.Maker, c.Model, c.BoardCode, c.Revision, c.Kind, [.. c.Boards.Select(b => b.Key)]);

    /// <summary>Blocks whose plates name boards of this card.</summary>
    private static Ok<List<CardMatch>> BlocksFor(string id, LibraryCache shop, CancellationToken cancel)
    {
        var card = shop.Cards.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoCard(id));
        var keys = card.Boards.SelectMany(b => new[] { b.Key, b.Board.Id }).ToHashSet();
        return TypedResults.Ok(
            shop.BlocksInUse.Values.Where(b => b.Plates.Any(p => p.Board is { } named && keys.Contains(named)))
                .Select(b =>
                {
                    var fit = OrderFits.Judge(WorkOrder.From(card, [new(Pair.FirstKey, b)]), cancel: cancel);
                    return new CardMatch(
                        b.Id,
                        $"{b.Maker} {b.Model}",
                        fit.Verdict,
                        fit.Between.Count > 0 ? fit.Between[0].Text : fit.Pairs[0].Summary,
                        fit.Reasons.Count > 0 ? fit.Reasons[0].Text : ""
                    );
                })
                .OrderBy(m => m.Verdict)
                .ToList()
        );
    }
}
