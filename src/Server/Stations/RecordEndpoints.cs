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
                (long id, JobViews views, JobPapers papers, LeakTests leaks, JobCare care, CancellationToken cancel) =>
                {
                    var v = views.View(id, cancel);
                    var photos = papers
                        .Photos(id)
                        .Select(p => new RecordPhoto(p.MediaType, papers.Read(p), p.At))
                        .ToList();
                    return Results.Text(
                        BuildRecord.Html(
                            new(
                                v.Id,
                                v.Title,
                                v.Client,
                                v.Order,
                                v.Plan,
                                Signatures(v.History),
                                [.. v.Notes.Select(n => $"{n.ByInitials} {n.At[..10]}: {n.Text}")],
                                photos
                            )
                            {
                                LeakTests = [.. leaks.All(id).Select(Words)],
                                Care = care.Of(id, null, cancel),
                            }
                        ),
                        "text/html; charset=utf-8"
                    );
                }
            )
            .WithTags("jobs");
    }

    private static string Words(LeakTestRow t) =>
        FormattableString.Invariant(
            $"{t.ByInitials} {t.At[..10]}: {(t.Verdict == "pass" ? $"tight, under {t.HighMlMin:0.00}" : $"leaked {t.LeakMlMin:0.00}")} mL/min over {t.DurationS / 60:0} min of pressure hold, limit {t.LimitMlMin:0.00}{(t.Place is { } place ? $", at {place}" : "")}."
        );

    /// <summary>The signatures that stand.</summary>
    private static Dictionary<string, RecordSignature> Signatures(IReadOnlyList<HistoryEntry> history) =>
        history
            .GroupBy(e => e.StepId)
            .Where(g => g.Last().Kind == StepEvent.Done)
            .ToDictionary(
                g => g.Key,
                g => new RecordSignature(g.Last().By, g.Last().At, g.Last().Count, g.Last().OverrideReason)
            );
}
