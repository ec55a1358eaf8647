using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Route;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Stored">Offcuts now in the drawer.</param>
internal sealed record PutAwayAnswer(IReadOnlyList<PadStock> Stored, string? UsedUp);

/// <summary>Cutting sheets of a job, and what becomes of their rests.</summary>
internal static class CuttingEndpoints
{
    public const string CutSteps = "pads.cut-";

    public static void Map(IEndpointRouteBuilder app)
    {
        var cutting = app.MapGroup("/api/jobs/{id:long}/cutting").WithTags("pads");
        cutting.MapGet(
            "/{sheet:int}.svg",
            (long id, int sheet, double? scale, int? cut, JobViews views) =>
            {
                if (scale is { } s && !(s is > 0.9 and < 1.1))
                    throw new InputException("?scale", "Expected a correction between 0.9 and 1.1.");
                return Results.Text(
                    CuttingSvg.Draw(Sheet(id, sheet, views), scale ?? 1, cut),
                    "image/svg+xml",
                    Encoding.UTF8
                );
            }
        );
        cutting
            .MapGet(
                "/{sheet:int}.dxf",
                (long id, int sheet, JobViews views) =>
                    Results.File(
                        Encoding.UTF8.GetBytes(CuttingDxf.Draw(Sheet(id, sheet, views))),
                        "image/vnd.dxf",
                        $"job-{id}-sheet-{sheet}.dxf"
                    )
            )
            .Produces<string>(200, "image/vnd.dxf");
        cutting.MapPost("/{sheet:int}/put-away", PutAwayAsync).Accepts<Signature>("application/json");
    }

    private static CutSheet Sheet(long id, int sheet, JobViews views)
    {
        var sheets = views.PlanOf(id).Cutting?.Sheets ?? [];
        return sheet >= 1 && sheet <= sheets.Count
            ? sheets[sheet - 1]
            : throw new NotHereException($"Job {id} has {sheets.Count} cutting sheets.");
    }

    /// <summary>From the first signed cut on the plan stands as it is, whatever the drawer does.</summary>
    internal static void Begin(long id, JobPlan plan, IReadOnlySet<string> signed, string by, JobSheets sheets)
    {
        var set = JobSheetSet.Of(sheets.All(id));
        if (plan.Cutting is not { } cutting)
            return;
        // sheets added after the first cut join the plan once they are cut too
        var stands = set.Cutting is not null && signed.Any(s => s.StartsWith(CutSteps, StringComparison.Ordinal));
        if (stands && set.Cutting!.Plan.Sheets.Count == cutting.Sheets.Count)
            return;
        sheets.Put(
            id,
            JobSheetSet.CuttingKind,
            JsonSerializer.Serialize(
                new BegunCutting(cutting, stands ? set.Cutting!.PutAway : []),
                DocumentJson.Options
            ),
            set.VersionOf(JobSheetSet.CuttingKind),
            by
        );
    }

    /// <summary>Takes a cut sheet out of the drawer and lays its useful rests in as offcuts, all at once.</summary>
    private static async Task<Ok<PutAwayAnswer>> PutAwayAsync(
        long id,
        int sheet,
        HttpRequest request,
        Jobs jobs,
        JobSheets sheets,
        DrawerItems drawer
    )
    {
        var by = await Bodies.ReadAsync(request, o => SheetEndpoints.By(o));
        var set = JobSheetSet.Of(sheets.All(id));
        var signed = JobViews.States(jobs.Events(id)).GetValueOrDefault($"{CutSteps}{sheet}")?.Signed == true;
        if (signed && set.Cutting is null)
            throw new StepLockedException(
                "This sheet was cut before its plan was kept: lay its rests into the drawer by hand.",
                []
            );
        if (set.Cutting is not { } begun || sheet < 1 || sheet > begun.Plan.Sheets.Count || !signed)
            throw new StepLockedException(
                $"Sheet {sheet} is not cut yet: sign its cuts first.",
                [$"{CutSteps}{sheet}"]
            );
        if (begun.PutAway.Contains(sheet))
            throw new StepLockedException($"The rests of sheet {sheet} lie in the drawer already.", []);
        var cut = begun.Plan.Sheets[sheet - 1];
        var items = drawer.All();
        var changes = new List<(string, string, string?, long)>();
        var stored = new List<PadStock>();
        string? usedUp = null;
        string material = cut.Material ?? "",
            thickness = FormattableString.Invariant($"{cut.ThicknessMm:0.0#}");
        if (items.FirstOrDefault(i => i.Kind == "pad" && i.Id == cut.StockId) is { } row)
        {
            var stock = JsonSerializer.Deserialize<PadStock>(row.Content, DocumentJson.Options)!;
            material = stock.Material;
            var left = stock with { Count = Math.Max(0, stock.Count - 1) };
            if (left.Count == 0)
                usedUp = stock.Id;
            // an offcut that is cut up is gone; an empty place for whole sheets stays, to be filled again
            changes.Add(
                (
                    "pad",
                    stock.Id,
                    left.Count == 0 && stock.Offcut ? null : JsonSerializer.Serialize(left, DocumentJson.Options),
                    row.Version
                )
            );
        }
        var number = 0;
        foreach (var rest in Leftovers.WorthKeeping(cut))
        {
            string name;
            do name = $"{material}-{thickness}-j{id}s{sheet}{(char)('a' + number++ % 26)}";
            while (items.Any(i => i.Kind == "pad" && i.Id == name));
            var offcut = new PadStock(
                name,
                material,
                cut.ThicknessMm ?? 0,
                Math.Round(rest.WidthMm, 1),
                Math.Round(rest.DepthMm, 1),
                1,
                true
            );
            stored.Add(offcut);
            changes.Add(("pad", name, JsonSerializer.Serialize(offcut, DocumentJson.Options), 0));
        }
        var next = JsonSerializer.Serialize(begun with { PutAway = [.. begun.PutAway, sheet] }, DocumentJson.Options);
        drawer.ChangeTogether(
            changes,
            sheets,
            id,
            JobSheetSet.CuttingKind,
            next,
            set.VersionOf(JobSheetSet.CuttingKind),
            by
        );
        return TypedResults.Ok(new PutAwayAnswer(stored, usedUp));
    }
}
