using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>When a card is due: its drift over repeated proofs, its dates, and a calendar file of them.</summary>
internal static class CareEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("care");
        job.MapGet(
            "/care",
            (long id, string? board, JobCare care, CancellationToken cancel) =>
                TypedResults.Ok(care.Compute(id, board, cancel))
        );
        job.MapGet("/care.ics", Calendar).Produces<string>(200, "text/calendar");
    }

    private static FileContentHttpResult Calendar(
        long id,
        string? board,
        JobPlans plans,
        JobCare care,
        DayEntries days,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        var row = plans.Get(id, cancel).Row;
        var dates = care.Compute(id, board, cancel);
        var uid = JobCare.Uid(row, board);
        var changes = (int)(days.All().FirstOrDefault(d => d.JobId == id)?.Changes ?? 0);
        return TypedResults.File(
            System.Text.Encoding.UTF8.GetBytes(
                CareCalendar.Write(uid, row.Title, row.Client, dates, time.GetUtcNow(), changes)
            ),
            "text/calendar; charset=utf-8",
            $"job-{id}-care.ics"
        );
    }
}
