using System.Globalization;
using System.Text;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Schedule;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Order">What has to be ordered for the planned jobs.</param>
/// <param name="Opens">When the shop opens and closes on a day of work, hours.</param>
/// <param name="Stale">Whether the next plan is on its way: ask again in a moment.</param>
internal sealed record DayView(
    BenchDayPlan Plan,
    IReadOnlyList<OrderLine> Order,
    IReadOnlyList<SignerRow> Signers,
    double Opens,
    double Closes,
    bool Stale
);

/// <param name="At">On the shop's own clock, such as 2026-01-31T16:40; null takes it back.</param>
internal sealed record DayTime(string By, string? At);

/// <param name="Key">Of the block of work.</param>
internal sealed record PinTime(string By, string Key, string? At);

/// <param name="Initials">Whose it is to be; null for whoever has least to do.</param>
internal sealed record JobHands(string By, string? Initials);

/// <summary>The bench's day: its plan, what people say about it, what to order, its calendar.</summary>
internal static class DayEndpoints
{
    private static readonly TimeSpan Farthest = TimeSpan.FromDays(730);

    public static void Map(IEndpointRouteBuilder app)
    {
        var day = app.MapGroup("/api").WithTags("day");
        day.MapGet("/day", ViewAsync);
        day.MapGet("/day/order.csv", OrderCsvAsync).Produces<string>(200, "text/csv");
        day.MapGet(
                "/day.ics",
                (CalendarFile calendar) => TypedResults.File(calendar.Write(), CalendarFile.MediaType, "shop.ics")
            )
            .Produces<string>(200, "text/calendar");
        day.MapPut("/jobs/{id:long}/promise", Promise);
        day.MapPut("/jobs/{id:long}/hands", Hands);
        day.MapPut("/jobs/{id:long}/pin", Pin);
    }

    private static async Task<Ok<DayView>> ViewAsync(
        DayService desk,
        Signers signers,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var (plan, stale) = await desk.PlanAsync(cancel);
        return TypedResults.Ok(
            new DayView(plan, desk.Orders(plan), signers.All(), shop.Settings.DayFromH, shop.Settings.DayToH, stale)
        );
    }

    private static async Task<FileContentHttpResult> OrderCsvAsync(DayService desk, CancellationToken cancel) =>
        TypedResults.File(
            Encoding.UTF8.GetBytes(OrderCsv.Write(desk.Orders((await desk.PlanAsync(cancel)).Plan))),
            "text/csv; charset=utf-8",
            "to-order.csv"
        );

    private static NoContent Promise(long id, DayTime body, DayEntries days, DayService desk, TimeProvider time)
    {
        JobEndpoints.CheckInitials(body.By);
        days.Promise(id, Instant(body.At, desk, time), body.By);
        return TypedResults.NoContent();
    }

    private static NoContent Pin(long id, PinTime body, DayEntries days, DayService desk, TimeProvider time)
    {
        JobEndpoints.CheckInitials(body.By);
        _ = JobEndpoints.IdOf(body.Key, "/key");
        days.Pin(id, body.Key, Instant(body.At, desk, time), body.By);
        return TypedResults.NoContent();
    }

    private static NoContent Hands(long id, JobHands body, DayEntries days, Signers signers)
    {
        JobEndpoints.CheckInitials(body.By);
        if (body.Initials is { } initials && !signers.All().Any(s => s.Initials == initials && s.LeftAt is null))
            throw new InputException("/initials", DayEndpointsWords.SignsNothingInThisShop(initials));
        days.Give(id, body.Initials, body.By);
        return TypedResults.NoContent();
    }

    private static DateTimeOffset? Instant(string? at, DayService desk, TimeProvider time)
    {
        if (at is null)
            return null;
        if (
            at.Length > 40
            || !DateTime.TryParse(at, CultureInfo.InvariantCulture, DateTimeStyles.None, out var local)
            || (local - desk.Local(time.GetUtcNow())).Duration() > Farthest
        )
            throw new InputException("/at", DayEndpointsWords.ExpectedTimeWithinTwoYearsSuch);
        return desk.Instant(local);
    }
}
