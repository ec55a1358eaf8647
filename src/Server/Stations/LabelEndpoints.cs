using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="To">Page of the application that it leads to.</param>
internal sealed record LabelPlace(string Code, string Text, string To);

/// <param name="Code">Of the label that is held under the camera.</param>
internal sealed record LabelShot(string Code);

/// <summary>Labels for jobs, tray bags and lines of the drawer, and what a scanned or photographed one leads to.</summary>
internal static class LabelEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var api = app.MapGroup("/api/labels").WithTags("labels");
        api.MapGet("/drawer.svg", (double? scale, LibraryCache shop) => Sheet(OfDrawer(shop), scale))
            .Produces<string>(200, "image/svg+xml");
        api.MapGet(
                "/job.svg",
                (long id, double? scale, JobPlans plans, Store.Jobs jobs, CancellationToken cancel) =>
                    Sheet(OfJob(jobs.Get(id), plans, cancel), scale)
            )
            .Produces<string>(200, "image/svg+xml");
        api.MapGet(
            "/find",
            (string code, LibraryCache shop, Store.Jobs jobs) => TypedResults.Ok(Find(code, shop, jobs))
        );
        api.MapPost("/shoot", ShootAsync).Accepts<LabelShot>("application/json");
        api.MapPost("/read", ReadAsync)
            .Accepts<byte[]>("image/jpeg", "image/png")
            .WithDescription(LabelEndpointsWords.LimitsPictureOfMiBAndMegapixels)
            .AddEndpointFilter(queue.QueueAsync);
    }

    private static IResult Sheet(IEnumerable<Label> labels, double? scale)
    {
        if (scale is not null and not (>= 0.8 and <= 1.25))
            throw new InputException("?scale", "Expected 0.8 to 1.25.");
        return Results.Text(LabelSheet.Draw([.. labels.Take(LabelSheet.MaxLabels)], scale ?? 1), "image/svg+xml");
    }

    private static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);

    private static IEnumerable<Label> OfDrawer(LibraryCache shop) =>
        DrawerLine.All(shop.StatedDrawer).Select(l => l.Label).OfType<Label>();

    private static IEnumerable<Label> OfJob(JobRow job, JobPlans plans, CancellationToken cancel)
    {
        var id = job.Id;
        yield return new(LabelOf.Job, $"{id}", $"Job {id}", $"{job.Title}{(job.Client is { } c ? $", {c}" : "")}");
        foreach (var cell in plans.Get(id, cancel).Plan.Teardown.Boards.SelectMany(b => b.Plan.Tray))
            yield return new(
                LabelOf.Tray,
                $"{id}/{cell.Cell}",
                $"Job {id}, bag {cell.Cell}",
                $"{cell.Count} × {cell.Thread}{(cell.LengthMm is { } l ? $" × {N(l)}" : "")}, {cell.Driver}"
            );
    }

    private static LabelPlace Find(string code, LibraryCache shop, Store.Jobs jobs)
    {
        if (Label.Parse(code) is not var (of, key))
            throw new InputException("?code", LabelEndpointsWords.ThisIsNotCodeOfLabel);
        if (of == LabelOf.Drawer)
        {
            var label =
                OfDrawer(shop).FirstOrDefault(l => l.Key == key)
                ?? throw new NotFoundException(LabelEndpointsWords.DrawerHasNo(key));
            return new(label.Code, $"{label.Title}, {label.Sub}", $"/drawer?item={Uri.EscapeDataString(key)}");
        }
        var (number, bag) = key.Split('/', 2) is [var first, var second] ? (first, second) : (key, "");
        if (!long.TryParse(number, CultureInfo.InvariantCulture, out var id) || of == LabelOf.Tray && bag.Length == 0)
            throw new InputException("?code", LabelEndpointsWords.ThisLabelNamesNoJob);
        var job = jobs.Get(id);
        return of == LabelOf.Tray
            ? new(code, $"{job.Title}, bag {bag}", $"/job/{id}/teardown")
            : new(code, job.Title, $"/job/{id}");
    }

    /// <summary>Holds a label under the camera stand-in and reads what it sees.</summary>
    private static async Task<Ok<LabelPlace>> ShootAsync(
        HttpRequest request,
        FigureSources sources,
        LibraryCache shop,
        Store.Jobs jobs
    )
    {
        InstrumentEndpoints.OnlyInPractice(sources, "camera");
        var shot = await Bodies.ReadAsync(request, o => new LabelShot(o.Text("code", 300)));
        var seen = await Task.Run(() => LabelReader.Read(LabelPicture.Draw(shot.Code, Environment.TickCount)));
        return TypedResults.Ok(Find(seen ?? throw NotSeen(), shop, jobs));
    }

    private static InputException NotSeen() => new("", LabelEndpointsWords.NoLabelIsSeen);

    private static async Task<Ok<LabelPlace>> ReadAsync(HttpRequest request, LibraryCache shop, Store.Jobs jobs)
    {
        var photo = await PhotoEndpoints.TakeAsync(request);
        var code = await Task.Run(() => LabelReader.Read(PhotoPixels.Grey(photo.Content)));
        return TypedResults.Ok(Find(code ?? throw NotSeen(), shop, jobs));
    }
}
