using FaithfulBracket.Core;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Name">Empty while nobody gave one.</param>
/// <param name="Contact">Lines: where it is and how it is reached.</param>
/// <param name="HasMark">Whether a mark is kept.</param>
internal sealed record ShopCardView(string Name, string Contact, bool HasMark, string? By, string? At);

/// <summary>Name and contact together: what is absent is empty.</summary>
internal sealed record NewShopCard(string Name, string Contact, string By);

/// <summary>The shop's name, contact and mark, as the head of its records.</summary>
internal static class ShopCardEndpoints
{
    private const int MaxName = 80,
        MaxContact = 400,
        MaxMarkBytes = 300 * 1024;

    public static void Map(IEndpointRouteBuilder app)
    {
        var card = app.MapGroup("/api/settings/shop").WithTags("settings");
        card.MapGet("", (ShopCards cards) => TypedResults.Ok(View(cards.Now())));
        card.MapPut("", PutAsync).Accepts<NewShopCard>("application/json");
        card.MapGet("/mark", Mark);
        card.MapPut("/mark", PutMarkAsync).Accepts<IFormFile>("image/png", "image/jpeg");
        card.MapDelete("/mark", NoMark);
    }

    private static ShopCardView View(ShopCard c) =>
        new(c.Name, c.Contact, c.Mark is not null, c.ByInitials is "" ? null : c.ByInitials, c.At is "" ? null : c.At);

    private static async Task<Ok<ShopCardView>> PutAsync(HttpRequest request, ShopCards cards)
    {
        var put = await Bodies.ReadAsync(
            request,
            o => new NewShopCard(
                o.OptionalText("name", MaxName) ?? "",
                o.OptionalText("contact", MaxContact) ?? "",
                SheetEndpoints.By(o)
            )
        );
        cards.Put(c => c with { Name = put.Name.Trim(), Contact = put.Contact.Trim() }, put.By);
        return TypedResults.Ok(View(cards.Now()));
    }

    private static IResult Mark(ShopCards cards, HttpResponse response)
    {
        if (cards.Now() is not { Mark: { } mark, MarkType: { } type })
            throw new NotFoundException("No mark is kept.");
        response.Headers.XContentTypeOptions = "nosniff";
        response.Headers.ContentSecurityPolicy = "default-src 'none'; sandbox";
        return Results.Bytes(mark, type);
    }

    private static async Task<Ok<ShopCardView>> PutMarkAsync(string by, HttpRequest request, ShopCards cards)
    {
        JobEndpoints.CheckInitials(by);
        var mark =
            PhotoIntake.Read((await Bodies.BytesAsync(request, MaxMarkBytes)).Span)
            ?? throw new InputException("", ShopCardEndpointsWords.ExpectedPNGOrJPEGPicture);
        cards.Put(c => c with { Mark = mark.Content, MarkType = mark.MediaType }, by);
        return TypedResults.Ok(View(cards.Now()));
    }

    private static Ok<ShopCardView> NoMark(string by, ShopCards cards)
    {
        JobEndpoints.CheckInitials(by);
        cards.Put(c => c with { Mark = null, MarkType = null }, by);
        return TypedResults.Ok(View(cards.Now()));
    }
}
