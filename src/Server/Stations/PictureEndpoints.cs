using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record CataloguePicture(long Id, string Address, string? Caption, string At);

/// <summary>Pictures of boards and blocks in the library.</summary>
internal static class PictureEndpoints
{
    private const int LongestCaption = 200;

    /// <summary>Pictures of one board or block.</summary>
    private const int MaxOfOne = 24;

    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("library");
        api.MapGet("/boards/{id}/pictures", (string id, CataloguePictures pictures) => List("board", id, pictures));
        api.MapGet("/blocks/{id}/pictures", (string id, CataloguePictures pictures) => List("block", id, pictures));
        api.MapPost(
                "/boards/{id}/pictures",
                (
                    string id,
                    string? caption,
                    HttpRequest r,
                    LibraryCache shop,
                    CataloguePictures pictures,
                    PhotoFolder shelf
                ) => AddAsync("board", id, shop.Boards.ContainsKey(id), caption, r, pictures, shelf)
            )
            .Accepts<IFormFile>("image/jpeg", "image/png");
        api.MapPost(
                "/blocks/{id}/pictures",
                (
                    string id,
                    string? caption,
                    HttpRequest r,
                    LibraryCache shop,
                    CataloguePictures pictures,
                    PhotoFolder shelf
                ) => AddAsync("block", id, shop.Blocks.ContainsKey(id), caption, r, pictures, shelf)
            )
            .Accepts<IFormFile>("image/jpeg", "image/png");
        api.MapGet(
            "/pictures/{id:long}",
            (long id, CataloguePictures pictures, HttpResponse response) =>
            {
                var p = pictures.Get(id);
                return PhotoEndpoints.Serve(response, pictures.PathOf(p), p.MediaType);
            }
        );
        api.MapDelete(
            "/pictures/{id:long}",
            (long id, CataloguePictures pictures) =>
            {
                pictures.Remove(id);
                return TypedResults.NoContent();
            }
        );
    }

    private static Ok<IEnumerable<CataloguePicture>> List(string kind, string id, CataloguePictures pictures) =>
        TypedResults.Ok(
            pictures.List(kind, id).Select(p => new CataloguePicture(p.Id, $"/api/pictures/{p.Id}", p.Caption, p.At))
        );

    private static async Task<Ok<IEnumerable<CataloguePicture>>> AddAsync(
        string kind,
        string id,
        bool known,
        string? caption,
        HttpRequest request,
        CataloguePictures pictures,
        PhotoFolder shelf
    )
    {
        if (!known)
            throw new NotFoundException(MissingWords.LibraryHasNo(kind, id));
        if (caption?.Length > LongestCaption)
            throw new Core.InputException(
                "?caption",
                LimitWords.ExpectedAtMostCharactersFound(LongestCaption, caption.Length)
            );
        if (pictures.List(kind, id).Count >= MaxOfOne)
            throw new Core.InputException("", PictureEndpointsWords.ThereArePictures(MaxOfOne));
        var photo = await PhotoEndpoints.TakeAsync(request);
        pictures.Add(
            new(
                kind,
                id,
                shelf.Put(photo.Content, photo.Extension),
                photo.MediaType,
                string.IsNullOrWhiteSpace(caption) ? null : caption.Trim()
            )
        );
        return List(kind, id, pictures);
    }
}
