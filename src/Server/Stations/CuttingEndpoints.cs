using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Stored">Offcuts now in the drawer.</param>
internal sealed record PutAwayAnswer(IReadOnlyList<PadStock> Stored, string? UsedUp);

/// <summary>Cutting sheets of a job, and what becomes of their rests.</summary>
internal static class CuttingEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var cutting = app.MapGroup("/api/jobs/{id:long}/cutting").WithTags("pads");
        cutting.MapGet(
            "/{sheet:int}.svg",
            (long id, int sheet, double? scale, int? cut, JobPlans plans, CancellationToken cancel) =>
            {
                if (scale is { } s && !(s is > 0.9 and < 1.1))
                    throw new InputException("?scale", CuttingEndpointsWords.ExpectedCorrectionBetween);
                return Results.Text(
                    CuttingSvg.Draw(Sheet(id, sheet, plans, cancel), scale ?? 1, cut),
                    "image/svg+xml",
                    Encoding.UTF8
                );
            }
        );
        cutting
            .MapGet(
                "/{sheet:int}.dxf",
                (long id, int sheet, JobPlans plans, CancellationToken cancel) =>
                    Results.File(
                        Encoding.UTF8.GetBytes(CuttingDxf.Draw(Sheet(id, sheet, plans, cancel))),
                        "image/vnd.dxf",
                        $"job-{id}-sheet-{sheet}.dxf"
                    )
            )
            .Produces<string>(200, "image/vnd.dxf");
        cutting.MapGet(
            "/ways",
            (long id, JobPlans plans, CancellationToken cancel) => TypedResults.Ok(plans.WeighCuts(id, cancel))
        );
        cutting
            .MapPost("/{sheet:int}/put-away", PutAwayAsync)
            .Accepts<Signature>("application/json")
            .AddEndpointFilter(Summaries.RenewAsync);
    }

    private static CutSheet Sheet(long id, int sheet, JobPlans plans, CancellationToken cancel)
    {
        var sheets = plans.Get(id, cancel).Plan.Pads.Cutting?.Sheets ?? [];
        return sheet >= 1 && sheet <= sheets.Count
            ? sheets[sheet - 1]
            : throw new NotFoundException(CuttingEndpointsWords.JobHasCuttingSheets(id, sheets.Count));
    }

    /// <summary>Takes a cut sheet out of the drawer and lays its useful rests in as offcuts, all at once.</summary>
    private static async Task<Ok<PutAwayAnswer>> PutAwayAsync(
        long id,
        int sheet,
        HttpRequest request,
        JobPlans plans,
        SignOffs signOffs,
        JobSheets sheets,
        DrawerItems drawer
    )
    {
        var by = await Bodies.ReadAsync(request, SheetEndpoints.By);
        var step = plans.Get(id).Plan.Steps.FirstOrDefault(s => s.Kind == StepKind.Cut && s.Sheet == sheet);
        var signed =
            step is not null
            && StepStands.Signed(SignOffService.Read(plans.Get(id).Plan, signOffs.Events(id))).Contains(step.Id);
        var set = JobSheetSet.From(sheets.All(id));
        if (!signed)
            throw new LockedException(CuttingEndpointsWords.SheetIsNotCutYet(sheet), step is null ? [] : [step.Id], []);
        if (set.Cutting is not { } begun || sheet > begun.Plan.Sheets.Count)
            throw new LockedException(CuttingEndpointsWords.ThisSheetWasCutBeforePlan, [], []);
        if (begun.PutAway.Contains(sheet))
            throw new LockedException(CuttingEndpointsWords.RestsOfSheetLieInDrawer(sheet), [], []);
        var items = drawer.All().Where(i => i.Kind == "pad").ToList();
        var pads = items.ConvertAll(i => JsonSerializer.Deserialize<PadStock>(i.Content, DocumentJson.Options)!);
        var away = Leftovers.PutAway(begun.Plan.Sheets[sheet - 1], pads, $"j{id}s{sheet}");
        List<DrawerChange> changes =
        [
            .. away.Offcuts.Select(o => new DrawerChange(
                "pad",
                o.Id,
                JsonSerializer.Serialize(o, DocumentJson.Options),
                0
            )),
        ];
        if (away.Stock is { } left)
            changes.Add(
                new(
                    "pad",
                    left.Id,
                    away.StockGone ? null : JsonSerializer.Serialize(left, DocumentJson.Options),
                    items.First(i => i.Id == left.Id).Version
                )
            );
        drawer.ChangeTogether(
            changes,
            sheets,
            id,
            JobSheetSet.CuttingKind,
            JsonSerializer.Serialize(begun with { PutAway = [.. begun.PutAway, sheet] }, DocumentJson.Options),
            set.VersionOf(JobSheetSet.CuttingKind),
            by
        );
        return TypedResults.Ok(new PutAwayAnswer(away.Offcuts, away.UsedUp));
    }
}
