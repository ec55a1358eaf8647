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
            (long id, string? board, JobPlans plans, JobPapers papers, ShopMemory shop, CancellationToken cancel) =>
                TypedResults.Ok(Dates(id, board, plans, papers, shop, cancel))
        );
        job.MapGet("/care.ics", Calendar).Produces<string>(200, "text/calendar");
    }

    private static FileContentHttpResult Calendar(
        long id,
        string? board,
        JobPlans plans,
        JobPapers papers,
        ShopMemory shop,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        var row = plans.Of(id, cancel).Row;
        var dates = Dates(id, board, plans, papers, shop, cancel);
        var uid = $"job-{id}-{Day(row.OpenedAt):yyyyMMdd}{(board is null ? "" : $"-{board}")}@faithful-bracket";
        return TypedResults.File(
            System.Text.Encoding.UTF8.GetBytes(CareCalendar.Of(uid, row.Title, row.Client, dates, time.GetUtcNow())),
            "text/calendar; charset=utf-8",
            $"job-{id}-care.ics"
        );
    }

    internal static CareDates Dates(
        long id,
        string? board,
        JobPlans plans,
        JobPapers papers,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        var job = plans.Of(id, cancel);
        var piece = board is null
            ? job.Order.First
            : job.Order.Find(board) ?? throw new InputException("?board", $"The order has no board \"{board}\".");
        var pair = job.Order.Pairs.FirstOrDefault(p => p.BoardKeys(job.Order).Contains(piece.Key));
        return CareDates.Of(
            [
                .. papers
                    .Readings(id)
                    .Where(r => (r.Board ?? job.Order.First.Key) == piece.Key)
                    .Select(r => JobPlans.Reading(r, shop.Settings)),
            ],
            pair?.Block.Flow,
            job.Plan.Care.RepasteMonths,
            Day(job.Row.OpenedAt)
        );
    }

    private static DateOnly Day(string at) =>
        DateOnly.FromDateTime(
            DateTimeOffset.Parse(at, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal).UtcDateTime
        );
}
