using FaithfulBracket.Core.Route;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <summary>A job as it lies on a bench.</summary>
/// <param name="Waits">What it waits for, in words.</param>
/// <param name="NextStep">The next thing to do; null when all is signed.</param>
internal sealed record BenchJob(
    long Id,
    string Title,
    string? Client,
    string Bench,
    string BoardName,
    string? BlockName,
    Station Station,
    string Waits,
    bool Trouble,
    string? NextStep,
    IReadOnlyList<StationState> Route,
    bool Finished,
    string? LastBy,
    string? LastAt
);

internal sealed record BenchIndex(
    IReadOnlyList<BenchJob> Jobs,
    IReadOnlyList<RunningTimer> Timers,
    IReadOnlyList<string> RunsShort,
    string ServerTime
);

/// <summary>The home page: every job, what it waits for, which timer runs out first.</summary>
internal static class BenchEndpoints
{
    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet(
                "/api/bench",
                (Jobs jobs, JobViews views, JobPapers papers, ShopMemory shop, CancellationToken cancel) =>
                {
                    var list = jobs.All()
                        .Select(j => Entry(views.View(j.Id, cancel)))
                        .OrderBy(j => j.Finished)
                        .ThenBy(j => j.Bench, StringComparer.Ordinal)
                        .ThenBy(j => j.Id)
                        .ToList();
                    var timers = JobViews
                        .Timers(papers.Running())
                        .OrderBy(t => t.EndsAt, StringComparer.Ordinal)
                        .ToList();
                    var low = shop
                        .Drawer.Consumables.Where(c => c.Amount < c.LowAt)
                        .Select(c => FormattableString.Invariant($"{c.Name}: {c.Amount:0.##} {c.Unit}"))
                        .Concat(
                            shop.Drawer.Pastes.Where(p => p.GramsLeft < 1)
                                .Select(p =>
                                    FormattableString.Invariant($"{p.Material.Id ?? p.Id}: {p.GramsLeft:0.0} g")
                                )
                        )
                        .ToList();
                    return TypedResults.Ok(new BenchIndex(list, timers, low, views.Now()));
                }
            )
            .WithTags("bench");

    private static BenchJob Entry(JobView v)
    {
        var signed = v.Steps.Where(s => s.Signed).Select(s => s.StepId).ToHashSet();
        var station = v.Route.FirstOrDefault(r => !r.Complete);
        var next = v
            .Plan.Stations.FirstOrDefault(s => s.Station == station?.Station)
            ?.Steps.FirstOrDefault(s => !signed.Contains(s.Id));
        var last = v.History.Count > 0 ? v.History[^1] : null;
        return new(
            v.Id,
            v.Title,
            v.Client,
            v.Bench,
            $"{v.Board.Model}, {v.Board.BoardCode} {v.Board.Revision}",
            v.Block is null ? null : $"{v.Block.Maker} {v.Block.Model}",
            station?.Station ?? Station.Care,
            station is null ? v.Plan.Comparison?.Verdict ?? "all signed" : station.Summary,
            station?.Trouble ?? false,
            next?.Title,
            v.Route,
            station is null,
            last?.ByInitials,
            last?.At
        );
    }
}
