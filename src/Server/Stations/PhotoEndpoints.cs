using FaithfulBracket.Core;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <summary>Photos of a job: bounded, told by content, without where they were taken.</summary>
internal static class PhotoEndpoints
{
    private const int MaxBytes = 16 * 1024 * 1024;

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapPost("/api/jobs/{id:long}/photos", AddAsync)
            .WithTags("jobs")
            .Accepts<IFormFile>("image/jpeg", "image/png")
            .Produces<Opened>(201);
        app.MapGet(
                "/api/photos/{id:long}",
                (long id, JobEntries papers, HttpResponse response) =>
                {
                    var photo = papers.Photo(id);
                    return Serve(response, papers.PathOf(photo), photo.MediaType);
                }
            )
            .WithTags("jobs");
    }

    /// <summary>A picture that a browser may show and nothing else.</summary>
    internal static IResult Serve(HttpResponse response, string path, string mediaType)
    {
        if (!File.Exists(path))
            throw new NotFoundException(PhotoEndpointsWords.ThisPicturesFileIsGone);
        response.Headers.ContentDisposition = "inline";
        response.Headers.XContentTypeOptions = "nosniff";
        response.Headers.ContentSecurityPolicy = "default-src 'none'; sandbox";
        response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.File(path, mediaType);
    }

    /// <summary>The picture in the body, bounded and cleaned.</summary>
    internal static async Task<KeptPhoto> TakeAsync(HttpRequest request) =>
        PhotoIntake.Read((await Bodies.BytesAsync(request, MaxBytes)).Span)
        ?? throw new InputException("", PhotoEndpointsWords.ExpectedJPEGOrPNGPicture);

    private static async Task<IResult> AddAsync(
        long id,
        string by,
        string? stepId,
        double? xMm,
        double? yMm,
        string? face,
        string? source,
        HttpRequest request,
        FigureSources sources,
        Jobs jobs,
        JobEntries papers,
        TimeProvider time
    )
    {
        var sending = PaperSendings.Read(request, jobs.Get(id), time);
        JobEndpoints.CheckInitials(by);
        if (face is not (null or "front" or "back"))
            throw new InputException("?face", PhotoEndpointsWords.ExpectedFrontOrBackFound(face));
        if (xMm is { } x && !(Math.Abs(x) <= 5000) || yMm is { } y && !(Math.Abs(y) <= 5000))
            throw new InputException("?xMm", PhotoEndpointsWords.ExpectedMillimetresOnBoard);
        var from = sources.Source(source, FigureSource.ByHand);
        var photo = await TakeAsync(request);
        var added = papers.AddPhoto(
            id,
            stepId,
            photo.Content,
            photo.MediaType,
            photo.Extension,
            by,
            xMm is { } px && yMm is { } py ? new(px, py, face ?? "front") : null,
            sending,
            from
        );
        return TypedResults.Created($"/api/photos/{added}", new Opened(added, $"/api/photos/{added}"));
    }
}
