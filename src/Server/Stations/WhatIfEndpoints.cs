using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Pads.Section;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record PracticeMove(string Hole, double Turns);

internal sealed record PracticeAsk(IReadOnlyList<PracticeMove> Moves);

/// <summary>Questions about a job that change nothing: other pads, turns of one's own, how the board bows.</summary>
internal static class WhatIfEndpoints
{
    private const int MostMoves = 2000;

    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("what if");
        job.MapGet("/alternatives", OtherPads);
        job.MapPost("/practice", PractiseAsync).Accepts<PracticeAsk>("application/json");
        job.MapGet("/bow", Bow);
        job.MapGet("/section", Section);
        job.MapGet("/pad-fault", Faulty);
    }

    /// <summary>The stack cut through between two points of the board.</summary>
    private static Ok<SectionResult> Section(
        long id,
        double x1,
        double y1,
        double x2,
        double y2,
        JobViews views,
        CancellationToken cancel
    )
    {
        foreach (var (name, v) in (ReadOnlySpan<(string, double)>)[("?x1", x1), ("?y1", y1), ("?x2", x2), ("?y2", y2)])
            if (!(Math.Abs(v) <= 5000))
                throw new InputException(name, "Expected millimetres on the board.");
        var job = views.View(id, cancel);
        return TypedResults.Ok(
            SectionCut.Of(
                job.Board,
                job.Block,
                job.Plan.Fit?.Placement ?? new(0, 0, 0),
                job.Plan.Gaps?.PlaneMm,
                job.Plan.Seating,
                job.Plan.Pads,
                new(x1, y1),
                new(x2, y2)
            )
        );
    }

    /// <summary>One pad laid wrong: what would be seen and felt.</summary>
    private static Ok<PadFaultResult> Faulty(
        long id,
        string part,
        string fault,
        JobViews views,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        if (!EnumNames<PadFault>.TryParse(fault, out var kind))
            throw new InputException(
                "?fault",
                $"Expected one of {string.Join(", ", EnumNames<PadFault>.All)}, found \"{fault}\"."
            );
        var r = Prepare(id, views, shop, cancel);
        return TypedResults.Ok(PadFaults.Try(r.Job.Board, r.Block, r.Laid, part, kind, r.Materials, r.Paste));
    }

    private sealed record Ready(
        JobView Job,
        Core.Blocks.Block Block,
        List<LaidPad> Laid,
        PasteMaterial Paste,
        Dictionary<string, PadMaterial> Materials
    );

    private static Ready Prepare(long id, JobViews views, ShopMemory shop, CancellationToken cancel)
    {
        var job = views.View(id, cancel);
        if (job.Block is not { } block || job.Plan.Seating is null)
            throw new InputException("", "Choose a block and a paste first: nothing is seated yet.");
        var stock = shop.Drawer.PasteOr(job.PasteId)!;
        return new(
            job,
            block,
            [
                .. job
                    .Plan.Pads.Where(p => p.Face == Face.Front)
                    .Select(p => new LaidPad(p.Part, p.ThicknessMm, p.Material)),
            ],
            stock.Material,
            shop.Drawer.Materials.ToDictionary(m => m.Id)
        );
    }

    /// <summary>Every pad at hand tried on all places like this one.</summary>
    private static Ok<IReadOnlyList<Alternative>> OtherPads(
        long id,
        string? part,
        JobViews views,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        var r = Prepare(id, views, shop, cancel);
        var own =
            r.Job.Plan.Pads.FirstOrDefault(p => p.Part == part)
            ?? throw new InputException(
                "?part",
                part is null ? "Say whose pad: ?part= and the part's id." : $"\"{part}\" has no pad in this job."
            );
        List<string> places =
        [
            own.Part,
            .. r
                .Job.Plan.Pads.Where(p => p.Kind == own.Kind && p.Face == own.Face && p.Part != part)
                .Select(p => p.Part),
        ];
        var atHand = shop
            .Drawer.Pads.Select(p => new StockedPad(p.ThicknessMm, p.Material))
            .Concat((r.Block.Kit?.Pads ?? []).Select(p => new StockedPad(p.ThicknessMm, p.Material)))
            .Distinct()
            .ToList();
        return TypedResults.Ok(Alternatives.For(r.Job.Board, r.Block, r.Laid, places, atHand, r.Materials, r.Paste));
    }

    private static async Task<Ok<PracticeResult>> PractiseAsync(
        long id,
        HttpRequest request,
        JobViews views,
        ShopMemory shop,
        CancellationToken cancel
    )
    {
        var moves = await Bodies.ReadAsync(
            request,
            o =>
            {
                if (!o.Has("moves"))
                    o.Fault("moves", "Missing: expected a list of turns, each with hole and turns.");
                var list = o.Objects("moves", m => (m.Text("hole"), m.Number("turns", 0.001, 100)));
                if (list.Count > MostMoves)
                    o.Fault("moves", $"Expected at most {MostMoves} moves, found {list.Count}.");
                return list;
            }
        );
        var r = Prepare(id, views, shop, cancel);
        return TypedResults.Ok(
            Tightening.Practise(r.Job.Board, r.Block, r.Laid, r.Materials, r.Paste, moves, cancel: cancel)
        );
    }

    private static Ok<MountedBowResult> Bow(long id, JobViews views, ShopMemory shop, CancellationToken cancel)
    {
        var r = Prepare(id, views, shop, cancel);
        return TypedResults.Ok(
            MountedBow.Of(r.Job.Board, r.Block, r.Job.Plan.Fit!, r.Job.Plan.Seating!, cancel: cancel)
        );
    }
}
