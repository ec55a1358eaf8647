using System.Text.Json;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record ArchivedItem(string Kind, string Id, string Name, long Version);

/// <param name="Code">Of its label; null where it has none.</param>
/// <param name="To">Page of the application that shows it.</param>
internal sealed record LineFound(string? Code, string Text, string To);

internal sealed record JobTakes(IReadOnlyList<DrawerTake> Lines, string By);

/// <summary>Lines of the drawer: archived and brought back, what became of them, and what a job used of them.</summary>
internal static class DrawerUseEndpoints
{
    private const int MaxLines = 50;

    public static void Map(IEndpointRouteBuilder app)
    {
        var drawer = app.MapGroup("/api/drawer").WithTags("drawer");
        drawer.MapGet(
            "/lines",
            (LibraryCache shop) =>
                TypedResults.Ok(
                    DrawerLine
                        .All(shop.StatedDrawer)
                        .Select(l => new LineFound(l.Label?.Code, $"{l.Title}, {l.Sub}", l.To))
                )
        );
        drawer.MapGet(
            "/archived",
            (DrawerItems items) =>
                TypedResults.Ok(
                    items
                        .Archived()
                        .Select(r => new ArchivedItem(
                            r.Kind,
                            r.Id,
                            DrawerLine.Read(r.Kind, r.Id, r.Content)!.Name,
                            r.Version
                        ))
                )
        );
        drawer.MapPut(
            "/{kind}/{id}/archived",
            (string kind, string id, string? by, ArchivedState body, HttpRequest request, DrawerItems items) =>
            {
                items.Archive(kind, id, body.Archived, Versions.Expected(request), by);
                return TypedResults.Ok(body);
            }
        );
        drawer.MapGet(
            "/{kind}/{id}/history",
            (string kind, string id, DrawerUses uses) => TypedResults.Ok(uses.History(kind, id))
        );
        var used = app.MapGroup("/api/jobs/{id:long}/used").WithTags("jobs");
        used.MapGet(
            "",
            (long id, DrawerUses uses, CancellationToken cancel) => TypedResults.Ok(uses.OfJob(id, cancel))
        );
        used.MapPost("", BookAsync).Accepts<JobTakes>("application/json");
    }

    private static async Task<Ok<JobUse>> BookAsync(
        long id,
        HttpRequest request,
        DrawerUses uses,
        CancellationToken cancel
    )
    {
        var body = await Bodies.ReadAsync(
            request,
            o =>
            {
                var lines = o.Objects(
                    "lines",
                    l => new DrawerTake(l.Text("kind", 12), l.Text("id", 200), l.Number("amount", 0.001, 1e6))
                );
                if (lines.Count is < 1 or > MaxLines)
                    o.Fault("lines", DrawerUseEndpointsWords.ExpectedToLinesFound(MaxLines, lines.Count));
                return new JobTakes(lines, SheetEndpoints.By(o));
            }
        );
        uses.Book(id, body.Lines, body.By, cancel);
        return TypedResults.Ok(uses.OfJob(id, cancel));
    }
}
