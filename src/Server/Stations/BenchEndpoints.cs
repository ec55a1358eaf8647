using FaithfulBracket.Core.Orders;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <param name="Jobs">Every open one, and the newest finished.</param>
/// <param name="Finished">Finished jobs in all.</param>
/// <param name="Zone">The workshop's time zone, by its IANA name; times are shown in it.</param>
/// <param name="Renewing">Jobs whose entry is of an earlier state and being made anew.</param>
internal sealed record BenchIndex(
    IReadOnlyList<BenchJob> Jobs,
    IReadOnlyList<RunningTimer> Timers,
    IReadOnlyList<string> RunsShort,
    int Renewing,
    string ServerTime,
    long Finished,
    string Zone
);

/// <summary>The home page: every job, what it waits for, which timer runs out first.</summary>
internal static class BenchEndpoints
{
    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet(
                "/api/bench",
                (
                    BenchSummaries summaries,
                    JobSummaries kept,
                    BenchRenewal renewal,
                    JobEntries papers,
                    LibraryCache shop,
                    JobViews views,
                    LocalTimes times
                ) =>
                    TypedResults.Ok(
                        new BenchIndex(
                            summaries.Shown(),
                            [.. JobViews.Timers(papers.Running()).OrderBy(t => t.EndsAt, StringComparer.Ordinal)],
                            shop.Drawer.RunsShort(),
                            renewal.Renewing,
                            views.Now(),
                            kept.FinishedCount(),
                            times.Name
                        )
                    )
            )
            .WithTags("bench");
}
