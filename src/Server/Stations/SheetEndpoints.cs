using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record WayChosen(string School, string? Way, string By);

internal sealed record AsFoundChange(IReadOnlyList<AsFoundPad> Pads, string By);

/// <param name="Looks">The whole list; empty strikes all.</param>
internal sealed record ImprintChange(IReadOnlyList<KeptLook> Looks, string By);

/// <param name="Complaint">die, memory or power-stage; null or absent for none.</param>
/// <param name="Offsets">The whole list; empty strikes all.</param>
internal sealed record ProofChange(PartKind? Complaint, IReadOnlyList<SensorOffset> Offsets, string By);

internal sealed record SheetVersion(string Kind, long Version);

/// <summary>What a job notes beside its sign-offs: ways chosen, stock pads as found.</summary>
internal static class SheetEndpoints
{
    private const int MaxPads = 500,
        MaxOffsets = 60;

    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("jobs").AddEndpointFilter(Summaries.RenewAsync);
        job.MapPut("/ways", ChooseAsync).Accepts<WayChosen>("application/json");
        job.MapPut("/imprint", ImprintAsync).Accepts<ImprintChange>("application/json");
        job.MapPut("/proof", ProofAsync).Accepts<ProofChange>("application/json");
        job.MapPut("/as-found", AsFoundAsync).Accepts<AsFoundChange>("application/json");
    }

    internal static string By(ObjectReader o)
    {
        var by = o.Text("by", 4);
        if (Signer.WhyNot(by) is { } fault)
            o.Fault("by", fault);
        return by;
    }

    /// <summary>Takes a way, or the default again with no way. If-Match: the version of the sheet of ways.</summary>
    private static async Task<Ok<SheetVersion>> ChooseAsync(
        long id,
        HttpRequest request,
        Jobs jobs,
        JobSheets sheets,
        JobOrders orders
    )
    {
        var body = await Bodies.ReadAsync(
            request,
            o => new WayChosen(o.Text("school", 50), o.OptionalText("way", 50), By(o))
        );
        var school =
            Schools.For(orders.Create(jobs.Get(id))).FirstOrDefault(s => s.Id == body.School)
            ?? throw new InputException("/school", SheetEndpointsWords.ThereIsNoQuestion(body.School));
        if (body.Way is { } way && school.Ways.All(w => w.Id != way))
            throw new InputException(
                "/way",
                SheetEndpointsWords.ExpectedOneOfFound(string.Join(", ", school.Ways.Select(w => w.Id)), way)
            );
        var ways = new Dictionary<string, string>(JobSheetSet.From(sheets.All(id)).Ways);
        if (body.Way is null || body.Way == school.Default)
            ways.Remove(school.Id);
        else
            ways[school.Id] = body.Way;
        return Put(
            id,
            JobSheetSet.WaysKind,
            JsonSerializer.Serialize(ways, DocumentJson.Options),
            request,
            sheets,
            body.By
        );
    }

    private static async Task<Ok<SheetVersion>> ImprintAsync(
        long id,
        HttpRequest request,
        Jobs jobs,
        JobSheets sheets,
        JobOrders orders
    )
    {
        var order = orders.Create(jobs.Get(id));
        var body = await Bodies.ReadAsync(
            request,
            o =>
            {
                if (!o.Has("looks"))
                    o.Fault("looks", SheetEndpointsWords.MissingExpectedWholeListEmpty);
                var looks = o.Objects(
                    "looks",
                    l =>
                    {
                        var look = new KeptLook(
                            l.Text("part"),
                            l.Choice<ImprintMark>("mark"),
                            l.OptionalText("board", 20)
                        );
                        if (order.Find(look.Board ?? order.First.Key) is not { } piece)
                            l.Fault("board", MissingWords.OrderHasNoBoard(look.Board));
                        else if (piece.Board.FindPart(look.Part) is not { } part)
                            l.Fault("part", SheetEndpointsWords.BoardHasNoPart(look.Part));
                        else if (!ImprintOdds.For(part.Kind is PartKind.Die or PartKind.Lid).Contains(look.Mark))
                            l.Fault("mark", SheetEndpointsWords.CanNotShow(look.Part));
                        return look;
                    }
                );
                if (looks.Count > MaxPads)
                    o.Fault("looks", LimitWords.ExpectedAtMostFound(MaxPads, looks.Count));
                return new ImprintChange(looks, By(o));
            }
        );
        return Put(
            id,
            JobSheetSet.ImprintKind,
            JsonSerializer.Serialize(body.Looks, DocumentJson.Options),
            request,
            sheets,
            body.By
        );
    }

    /// <summary>What was complained of, and what the sensors are known to be off by. If-Match: the version of that sheet.</summary>
    private static async Task<Ok<SheetVersion>> ProofAsync(
        long id,
        HttpRequest request,
        Jobs jobs,
        JobSheets sheets,
        JobOrders orders
    )
    {
        var order = orders.Create(jobs.Get(id));
        var body = await Bodies.ReadAsync(
            request,
            o =>
            {
                if (!o.Has("offsets"))
                    o.Fault("offsets", SheetEndpointsWords.MissingExpectedWholeListEmpty);
                PartKind? Sensor(ObjectReader from, string field)
                {
                    var kind = from.OptionalChoice<PartKind>(field);
                    if (kind is { } k && !Complaint.Kinds.Contains(k))
                        from.Fault(field, SheetEndpointsWords.ExpectedDieMemoryOrPowerStage);
                    return kind;
                }
                var offsets = o.Objects(
                    "offsets",
                    p =>
                    {
                        if (!p.Has("sensor"))
                            p.Fault("sensor", SheetEndpointsWords.MissingExpectedDieMemoryOrPower);
                        var offset = new SensorOffset(
                            p.OptionalText("board", 20),
                            Sensor(p, "sensor") ?? default,
                            p.Number("readsHighK", -SensorOffsets.MaxK, SensorOffsets.MaxK)
                        );
                        if (order.Find(offset.Board ?? order.First.Key) is null)
                            p.Fault("board", MissingWords.OrderHasNoBoard(offset.Board));
                        return offset;
                    }
                );
                if (offsets.GroupBy(x => (x.Board ?? order.First.Key, x.Sensor)).Any(g => g.Count() > 1))
                    o.Fault("offsets", SheetEndpointsWords.OneSensorStandsHereTwice);
                if (offsets.Count > MaxOffsets)
                    o.Fault("offsets", LimitWords.ExpectedAtMostFound(MaxOffsets, offsets.Count));
                return new ProofChange(Sensor(o, "complaint"), offsets, By(o));
            }
        );
        return Put(
            id,
            JobSheetSet.ProofKind,
            JsonSerializer.Serialize(new KeptProof(body.Complaint, body.Offsets), DocumentJson.Options),
            request,
            sheets,
            body.By
        );
    }

    private static async Task<Ok<SheetVersion>> AsFoundAsync(
        long id,
        HttpRequest request,
        Jobs jobs,
        JobSheets sheets,
        JobOrders orders
    )
    {
        var order = orders.Create(jobs.Get(id));
        var body = await Bodies.ReadAsync(
            request,
            o =>
            {
                // a list that was forgotten must not empty the one that is kept
                if (!o.Has("pads"))
                    o.Fault("pads", SheetEndpointsWords.MissingExpectedWholeListEmpty);
                var pads = o.Objects(
                    "pads",
                    p =>
                    {
                        var pad = new AsFoundPad(
                            p.Text("part"),
                            p.Number("newMm", 0.05, 20),
                            p.Number("pressedMm", 0.01, 20),
                            p.Number("landStepMm", -10, 10, otherwise: 0)
                        )
                        {
                            Note = p.OptionalText("note", 500),
                            Board = p.OptionalText("board", 20),
                        };
                        if (order.Find(pad.Board ?? order.First.Key) is not { } piece)
                            p.Fault("board", MissingWords.OrderHasNoBoard(pad.Board));
                        else if (piece.Board.FindPart(pad.Part) is null)
                            p.Fault("part", SheetEndpointsWords.BoardHasNoPart(pad.Part));
                        if (pad.PressedMm > pad.NewMm)
                            p.Fault("pressedMm", SheetEndpointsWords.PressedPadIsNotThicker);
                        return pad;
                    }
                );
                if (pads.Count > MaxPads)
                    o.Fault("pads", LimitWords.ExpectedAtMostFound(MaxPads, pads.Count));
                return new AsFoundChange(pads, By(o));
            }
        );
        return Put(
            id,
            JobSheetSet.AsFoundKind,
            JsonSerializer.Serialize(body.Pads, DocumentJson.Options),
            request,
            sheets,
            body.By
        );
    }

    internal static Ok<SheetVersion> Put(
        long id,
        string kind,
        string content,
        HttpRequest request,
        JobSheets sheets,
        string by
    ) => TypedResults.Ok(new SheetVersion(kind, sheets.Put(id, kind, content, Versions.Expected(request), by)));
}
