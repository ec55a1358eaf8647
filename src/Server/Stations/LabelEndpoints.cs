using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
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
    private const int MostPhoto = 20 * 1024 * 1024;

    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<HeavyWork>();
        var api = app.MapGroup("/api/labels").WithTags("labels");
        api.MapGet("/drawer.svg", (double? scale, ShopMemory shop) => Sheet(OfDrawer(shop), scale))
            .Produces<string>(200, "image/svg+xml");
        api.MapGet(
                "/job.svg",
                (long id, double? scale, JobPlans plans, Store.Jobs jobs, CancellationToken cancel) =>
                    Sheet(OfJob(jobs.Get(id), plans, cancel), scale)
            )
            .Produces<string>(200, "image/svg+xml");
        api.MapGet("/find", (string code, ShopMemory shop, Store.Jobs jobs) => TypedResults.Ok(Find(code, shop, jobs)));
        api.MapGet(
            "/drawer",
            (ShopMemory shop) =>
                TypedResults.Ok(OfDrawer(shop).Select(l => new LabelPlace(l.Code, $"{l.Title}, {l.Sub}", "")))
        );
        api.MapPost("/shoot", ShootAsync).Accepts<LabelShot>("application/json");
        api.MapPost("/read", ReadAsync)
            .Accepts<byte[]>("image/jpeg", "image/png")
            .WithDescription("Limits: a picture of 20 MiB and 50 megapixels.")
            .AddEndpointFilter(queue.QueueAsync);
    }

    private static IResult Sheet(IEnumerable<Label> labels, double? scale)
    {
        if (scale is not null and not (>= 0.8 and <= 1.25))
            throw new InputException("?scale", "Expected 0.8 to 1.25.");
        return Results.Text(LabelSheet.Draw([.. labels.Take(LabelSheet.MostLabels)], scale ?? 1), "image/svg+xml");
    }

    private static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);

    private static IEnumerable<Label> OfDrawer(ShopMemory shop)
    {
        var d = shop.StatedDrawer;
        foreach (var p in d.Pads)
            yield return new(
                LabelOf.Drawer,
                $"pad/{p.Id}",
                $"{p.Material} {N(p.ThicknessMm)} mm",
                $"{N(p.WidthMm)} × {N(p.DepthMm)} mm{(p.Offcut ? ", offcut" : "")}"
            );
        foreach (var p in d.Pastes)
            yield return new(
                LabelOf.Drawer,
                $"paste/{p.Id}",
                p.Material.Id ?? p.Id,
                $"{p.Id}{(p.UseBy is { } day ? $", good until {day:yyyy-MM-dd}" : "")}"
            );
        foreach (var s in d.Screws)
            yield return new(LabelOf.Drawer, $"screw/{s.Id}", $"{s.Thread} × {N(s.LengthMm)}", "screws");
        foreach (var c in d.Consumables)
            yield return new(LabelOf.Drawer, $"consumable/{c.Id}", c.Name, $"low at {N(c.LowAt)} {c.Unit}");
        foreach (var t in d.Tools)
            yield return new(LabelOf.Drawer, $"tool/{t.Id}", t.Name, "tool");
    }

    private static IEnumerable<Label> OfJob(JobRow job, JobPlans plans, CancellationToken cancel)
    {
        var id = job.Id;
        yield return new(LabelOf.Job, $"{id}", $"Job {id}", $"{job.Title}{(job.Client is { } c ? $", {c}" : "")}");
        foreach (var cell in plans.Of(id, cancel).Plan.Teardown.Boards.SelectMany(b => b.Plan.Tray))
            yield return new(
                LabelOf.Tray,
                $"{id}/{cell.Cell}",
                $"Job {id}, bag {cell.Cell}",
                $"{cell.Count} × {cell.Thread}{(cell.LengthMm is { } l ? $" × {N(l)}" : "")}, {cell.Driver}"
            );
    }

    private static LabelPlace Find(string code, ShopMemory shop, Store.Jobs jobs)
    {
        if (Label.Parse(code) is not var (of, key))
            throw new InputException("?code", "This is no code of a label of this shop.");
        if (of == LabelOf.Drawer)
        {
            var label =
                OfDrawer(shop).FirstOrDefault(l => l.Key == key)
                ?? throw new NotHereException($"The drawer has no {key}.");
            return new(label.Code, $"{label.Title}, {label.Sub}", $"/drawer?item={Uri.EscapeDataString(key)}");
        }
        var (number, bag) = key.Split('/', 2) is [var first, var second] ? (first, second) : (key, "");
        if (!long.TryParse(number, CultureInfo.InvariantCulture, out var id) || of == LabelOf.Tray && bag.Length == 0)
            throw new InputException("?code", "This label names no job, or no bag of its tray.");
        var job = jobs.Get(id);
        return of == LabelOf.Tray
            ? new(code, $"{job.Title}, bag {bag}", $"/job/{id}/teardown")
            : new(code, job.Title, $"/job/{id}");
    }

    /// <summary>Holds a label under the camera stand-in and reads what it sees.</summary>
    private static async Task<Ok<LabelPlace>> ShootAsync(
        HttpRequest request,
        FigureSources sources,
        ShopMemory shop,
        Store.Jobs jobs
    )
    {
        InstrumentEndpoints.OnlyInPractice(sources, "camera");
        var shot = await Bodies.ReadAsync(request, o => new LabelShot(o.Text("code", 300)));
        var seen = await Task.Run(() => LabelReader.Read(LabelPicture.Of(shot.Code, Environment.TickCount)));
        return TypedResults.Ok(Find(seen ?? throw NotSeen(), shop, jobs));
    }

    private static InputException NotSeen() => new("", "No label is seen in this picture: hold it nearer and flat.");

    private static async Task<Ok<LabelPlace>> ReadAsync(HttpRequest request, ShopMemory shop, Store.Jobs jobs)
    {
        var photo =
            PhotoIntake.Read((await Bodies.BytesAsync(request, MostPhoto)).Span)
            ?? throw new InputException("", "Expected a JPEG or PNG picture.");
        var code = await Task.Run(() => LabelReader.Read(PhotoPixels.Grey(photo.Content)));
        return TypedResults.Ok(Find(code ?? throw NotSeen(), shop, jobs));
    }
}
