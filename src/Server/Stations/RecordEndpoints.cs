using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <summary>The build record a job leaves with.</summary>
internal static class RecordEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet(
                "/api/jobs/{id:long}/record.html",
                (long id, JobViews views, JobPapers papers, CancellationToken cancel) =>
                {
                    var v = views.View(id, cancel);
                    var photos = papers
                        .Photos(id)
                        .Select(p => new RecordPhoto(p.MediaType, File.ReadAllBytes(papers.PathOf(p)), p.At))
                        .ToList();
                    var signed = v
                        .Steps.Where(s => s.Signed)
                        .ToDictionary(s => s.StepId, s => new RecordSignature(s.By, s.At, s.Count, s.OverrideReason));
                    return Results.Text(
                        BuildRecord.Html(
                            new(
                                v.Id,
                                v.Title,
                                v.Client,
                                v.Board,
                                v.Block,
                                v.Plan,
                                signed,
                                [.. v.Notes.Select(n => $"{n.ByInitials} {n.At[..10]}: {n.Text}")],
                                photos
                            )
                        ),
                        "text/html; charset=utf-8"
                    );
                }
            )
            .WithTags("jobs");
    }
}
