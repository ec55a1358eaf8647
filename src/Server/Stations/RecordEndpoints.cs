using FaithfulBracket.Core;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>How a document stands that a record was calculated from.</summary>
/// <param name="Standing">same, changed or gone.</param>
internal sealed record DocumentStanding(string Role, string Id, string Standing, string Text);

/// <param name="Now">Whether the job's record reads the same today; null where the job is not here.</param>
internal sealed record RecordCheck(
    SealVerdict Verdict,
    string Text,
    long? Job,
    string? Title,
    bool? Now,
    IReadOnlyList<DocumentStanding> Documents
);

/// <summary>The build record a job leaves with, and whether one that comes back is what was given out.</summary>
internal static class RecordEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:long}/record.html", Record).WithTags("jobs").Produces<string>(200, "text/html");
        app.MapPost("/api/records/check", CheckAsync)
            .WithTags("jobs")
            .Accepts<string>("text/html")
            .WithDescription(RecordEndpointsWords.RecordAsItWasGivenOut);
    }

    private const int MaxBytes = 32 * 1024 * 1024;

    private static IResult Record(long id, string? @for, JobViews views, RecordRoom room, CancellationToken cancel)
    {
        if (@for is not (null or BuildRecord.ForShop or BuildRecord.ForClient))
            throw new InputException("?for", RecordEndpointsWords.ExpectedClientOrShop);
        var parts = room.Html(views.View(id, cancel), @for ?? BuildRecord.ForShop, cancel);
        return Results.Stream(
            async stream =>
            {
                foreach (var part in parts)
                    await stream.WriteAsync(System.Text.Encoding.UTF8.GetBytes(part), cancel);
            },
            "text/html; charset=utf-8"
        );
    }

    /// <summary>Whether a record reads the same today, compared part by part.</summary>
    private static bool IsSame(string html, IEnumerable<string> parts)
    {
        var at = 0;
        foreach (var part in parts)
        {
            if (string.CompareOrdinal(html, at, part, 0, part.Length) != 0)
                return false;
            at += part.Length;
        }
        return at == html.Length;
    }

    private static async Task<Ok<RecordCheck>> CheckAsync(
        HttpRequest request,
        ShopSecrets secrets,
        JobStamps stamps,
        Store.Jobs jobs,
        JobViews views,
        RecordRoom room,
        CancellationToken cancel
    )
    {
        var html = System.Text.Encoding.UTF8.GetString((await Bodies.BytesAsync(request, MaxBytes)).Span);
        var (verdict, told) = RecordSeal.Check(html, secrets.Get(ShopSecrets.RecordKey, RecordSeal.KeyBytes));
        if (told is null)
            return TypedResults.Ok(
                new RecordCheck(verdict, RecordEndpointsWords.ThisIsNotBuildRecord, null, null, null, [])
            );
        var row = verdict == SealVerdict.Whole ? jobs.All().FirstOrDefault(j => j.Id == told.Job) : null;
        var now = row is null ? (bool?)null : IsSame(html, room.Html(views.View(row.Id, cancel), told.For, cancel));
        return TypedResults.Ok(
            new RecordCheck(
                verdict,
                Words(verdict, told, now),
                told.Job,
                row?.Title,
                now,
                verdict == SealVerdict.Whole ? Standings(told, stamps) : []
            )
        );
    }

    private static string Words(SealVerdict verdict, RecordSealing told, bool? now) =>
        verdict switch
        {
            SealVerdict.Whole => RecordEndpointsWords.WordForWordWhatThisShop(told.Job)
                + (now == false ? RecordEndpointsWords.JobWentOnSince : ""),
            SealVerdict.Changed => RecordEndpointsWords.NotWhatWasGivenOut(told.Job),
            _ => RecordEndpointsWords.WholeInItselfButNotSealed(told.Job),
        };

    private static List<DocumentStanding> Standings(RecordSealing told, JobStamps stamps)
    {
        string Table(string role) => role == Core.Plans.SignedBasis.ProcessorRole ? "board" : role;
        var now = stamps
            .Documents(told.Documents.Select(d => (Table(d.Role), d.Id)))
            .ToDictionary(d => (d.Role, d.Id), d => d.Digest);
        return
        [
            .. told.Documents.Select(d =>
                now.GetValueOrDefault((Table(d.Role), d.Id)) switch
                {
                    null => new DocumentStanding(
                        d.Role,
                        d.Id,
                        "gone",
                        RecordEndpointsWords.IsNotInLibraryNow(d.Role, d.Id)
                    ),
                    var digest when digest == d.Digest => new(
                        d.Role,
                        d.Id,
                        "same",
                        RecordEndpointsWords.IsSameInLibrary(d.Role, d.Id)
                    ),
                    _ => new(d.Role, d.Id, "changed", RecordEndpointsWords.WasChangedInLibrarySince(d.Role, d.Id)),
                }
            ),
        ];
    }
}
