using FaithfulBracket.Core.Schedule;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>The bench's day: operations of several jobs on few hands and tools, nothing stored.</summary>
internal static class ScheduleEndpoint
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        app.MapGroup("/api/compute")
            .WithTags("compute")
            .AddEndpointFilter(queue.QueueAsync)
            .MapPost("/schedule", PlanAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription(DayPlanner.InWords);
    }

    private static async Task<Ok<DayPlan>> PlanAsync(HttpRequest request)
    {
        var day = await Bodies.ReadAsync(request, Read);
        var cancel = request.HttpContext.RequestAborted;
        return TypedResults.Ok(await Task.Run(() => DayPlanner.Plan(day, cancel), cancel));
    }

    private static ShopDay Read(ObjectReader o)
    {
        var hands = o.Integer("hands", 1, DayPlanner.MaxHands);
        var jobs = o.Objects("jobs", Job);
        var tools = o.Objects("tools", t => new SharedTool(t.Text("id", 100), t.Integer("count", 1, 100)));
        if (!o.Has("jobs"))
            o.Fault("jobs", ScheduleEndpointWords.MissingExpectedListOfJobs);
        if (jobs.Count > DayPlanner.MaxJobs)
            o.Fault("jobs", ScheduleEndpointWords.ExpectedAtMostJobsFound(DayPlanner.MaxJobs, jobs.Count));
        var operations = jobs.Sum(j => j.Operations.Count);
        if (operations > DayPlanner.MaxOperations)
            o.Fault("jobs", ScheduleEndpointWords.ExpectedAtMostOperationsFound(DayPlanner.MaxOperations, operations));
        Once(o, "jobs", jobs.Select(j => j.Id));
        Once(o, "tools", tools.Select(t => t.Id));
        for (var i = 0; i < jobs.Count; i++)
            foreach (var twice in jobs[i].Operations.GroupBy(x => x.Id).Where(g => g.Count() > 1))
                o.FaultAt($"jobs/{i}/operations", ScheduleEndpointWords.IdStandsTimes(twice.Key, twice.Count()));
        return new(hands, jobs, tools);
    }

    private static void Once(ObjectReader o, string list, IEnumerable<string> ids)
    {
        foreach (var twice in ids.GroupBy(x => x).Where(g => g.Count() > 1))
            o.Fault(list, ScheduleEndpointWords.IdStandsTimes(twice.Key, twice.Count()));
    }

    private static BenchWork Job(ObjectReader o)
    {
        const double most = DayPlanner.MaxMinutes;
        return new(
            o.Text("id", 100),
            o.Objects(
                "operations",
                x => new BenchOperation(
                    x.Text("id", 100),
                    x.Number("minutes", 0, most),
                    x.OptionalInteger("hands", 0, DayPlanner.MaxHands) ?? 1,
                    x.Has("after") ? x.Texts("after") : null,
                    x.OptionalText("tool", 100),
                    x.OptionalNumber("begun", -most, most)
                )
            ),
            o.Number("releaseMin", -most, most, otherwise: 0),
            o.OptionalNumber("dueMin", -most, most)
        );
    }
}
