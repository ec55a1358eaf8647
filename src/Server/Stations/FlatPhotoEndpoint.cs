using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>A photo beside the target, one plane of it true to scale; nothing is kept.</summary>
internal static class FlatPhotoEndpoint
{
    public static void Map(IEndpointRouteBuilder app) =>
        app.MapPost("/api/library/flat-photo", AnswerAsync)
            .WithTags("library")
            .Accepts<byte[]>("image/jpeg", "image/png")
            .Produces<byte[]>(200, "image/jpeg")
            .WithDescription(FlatPhotoEndpointWords.PictureOfMiBAndMegapixels)
            .AddEndpointFilter(app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>().QueueAsync);

    private static async Task<IResult> AnswerAsync(
        double? heightMm,
        bool? fromBelow,
        HttpRequest request,
        HttpResponse response,
        CancellationToken cancel
    )
    {
        if (heightMm is not null and not (>= -20 and <= 200))
            throw new InputException("?heightMm", "Expected -20 to 200 mm.");
        var photo = await PhotoEndpoints.TakeAsync(request);
        var flat = await Task.Run(
            () =>
            {
                var grey = PhotoPixels.Grey(photo.Content);
                return FlatPhoto.Create(grey, MarkFinder.Find(grey, cancel), heightMm ?? 0, fromBelow == true, cancel);
            },
            cancel
        );
        response.Headers["Mm-Per-Px"] = flat.MmPerPx.ToString("0.#######", CultureInfo.InvariantCulture);
        return Results.Bytes(PhotoPixels.Jpeg(flat.Picture), "image/jpeg");
    }
}
