using FaithfulBracket.Core;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>A job of before on the same board or block.</summary>
internal sealed record PastJob(
    long Id,
    string Title,
    string? Client,
    string BoardName,
    string? BlockName,
    bool Finished,
    string? By,
    string? At,
    string? Verdict,
    IReadOnlyList<string> Wrong
);

/// <summary>Everything ever done: found by words, and what was done last time on the same board or block.</summary>
internal static class PastEndpoints
{
    private const int MostText = 200,
        MostFound = 40,
        MostPast = 20;

    public static void Map(IEndpointRouteBuilder app)
    {
        var past = app.MapGroup("/api").WithTags("past");
        past.MapGet(
            "/search",
            (string text, JobSearch search) => TypedResults.Ok(search.Find(Bounded(text), MostFound))
        );
        past.MapGet(
            "/past/{document}",
            (string document, long? but, JobSearch search, BenchSummaries summaries) =>
                TypedResults.Ok(On(document, but, search, summaries))
        );
    }

    private static string Bounded(string text) =>
        text.Length <= MostText
            ? text
            : throw new InputException("?text", $"Expected at most {MostText} characters, found {text.Length}.");

    /// <param name="but">A job that asks about those before it.</param>
    private static IReadOnlyList<PastJob> On(string document, long? but, JobSearch search, BenchSummaries summaries) =>
        [
            .. summaries
                .Of([.. search.On(document, MostPast + 1).Where(id => id != but).Take(MostPast)])
                .OrderByDescending(j => j.Id)
                .Select(j => new PastJob(
                    j.Id,
                    j.Title,
                    j.Client,
                    j.BoardName,
                    j.BlockName,
                    j.Finished,
                    j.LastBy,
                    j.LastAt,
                    j.Outcome?.Verdict,
                    j.Outcome?.Wrong ?? []
                )),
        ];
}
