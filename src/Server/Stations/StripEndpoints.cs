using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <param name="Done">Whether it is out already; else it is only described.</param>
internal sealed record StripEntry(StripNote Note, bool Done, string By);

/// <param name="Target">What was noted.</param>
internal sealed record StripAnswer(string Target, long Version);

internal sealed record AssemblyChange(Assembly Assembly, string By);

internal sealed record OrderChange(IReadOnlyList<string> Order, string By);

/// <summary>The stock assembly of a job: described, recorded while it is stripped, ordered by hand, kept with its board.</summary>
internal static class StripEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/trade-words", () => TypedResults.Ok(TradeWords.All)).WithTags("teardown");
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("teardown").AddEndpointFilter(Summaries.RenewAsync);
        job.MapPost("/strip", NoteAsync).Accepts<StripEntry>("application/json");
        job.MapPut("/assembly", DescribeAsync).Accepts<AssemblyChange>("application/json");
        job.MapGet("/assembly.json", Export).Produces<Assembly>();
        job.MapPost("/assembly/keep", KeepAsync).Accepts<Signature>("application/json");
        job.MapPut("/order", OrderAsync).Accepts<OrderChange>("application/json");
        job.MapGet(
                "/tray.svg",
                (long id, double? scale, JobPlans plans, CancellationToken cancel) =>
                {
                    if (scale is { } s && !(s is > 0.9 and < 1.1))
                        throw new InputException("?scale", CuttingEndpointsWords.ExpectedCorrectionBetween);
                    return Results.Text(
                        TraySvg.Draw(
                            [.. plans.Get(id, cancel).Plan.Teardown.Boards.SelectMany(b => b.Plan.Tray)],
                            scale ?? 1
                        ),
                        "image/svg+xml",
                        Encoding.UTF8
                    );
                }
            )
            .Produces<string>(200, "image/svg+xml");
    }

    /// <summary>One thing done that nobody had described: it joins the assembly, and is signed if it is out.</summary>
    private static async Task<Ok<StripAnswer>> NoteAsync(
        long id,
        HttpRequest request,
        SignOffService desk,
        CancellationToken cancel
    )
    {
        var entry = await Bodies.ReadAsync(request, Read);
        var expected = Versions.Expected(request);
        var target = desk.Strip(id, entry.Note, entry.Done, entry.By, expected, cancel);
        return TypedResults.Ok(new StripAnswer(target, expected + 1));
    }

    private static StripEntry Read(ObjectReader o)
    {
        var n = o.Object("note");
        var note = new StripNote(
            n.Choice<TeardownAction>("action"),
            n.Text("holds", 60),
            n.OptionalChoice<Face>("face") ?? Face.Front
        )
        {
            Name = n.OptionalText("name", 80),
            Driver = n.OptionalText("driver", 20),
            Thread = n.OptionalText("thread", 20),
            LengthMm = n.OptionalNumber("lengthMm", 0.5, 100),
            Places = n.Points("places"),
            SpringLoaded = n.Flag("springLoaded", false),
            Latch = n.OptionalText("latch", 20),
            SlackMm = n.OptionalNumber("slackMm", 0, 2000),
            At = n.OptionalPoint("at"),
            Bond = n.OptionalChoice<BondKind>("bond"),
        };
        n.End();
        return new(note, o.Flag("done", true), SheetEndpoints.By(o));
    }

    private static string Write(Assembly a) => JsonSerializer.Serialize(a, DocumentJson.Options);

    /// <summary>Replaces the job's assembly: edited by hand, or out of a file.</summary>
    private static async Task<Ok<SheetVersion>> DescribeAsync(
        long id,
        HttpRequest request,
        Store.Jobs jobs,
        JobSheets sheets,
        JobOrders orders
    )
    {
        var order = orders.Create(jobs.Get(id));
        var body = await Bodies.ReadAsync(
            request,
            o => new AssemblyChange(
                AssemblyReader.Read(
                    o.Object("assembly"),
                    order.Card is null ? [] : [.. order.Pieces.Select(p => p.Key)]
                ),
                SheetEndpoints.By(o)
            )
        );
        if (TeardownStation.TakeApart(StripRecord.With(order, body.Assembly)).Troubles is [var trouble, ..])
            throw new InputException("/assembly", trouble.Text);
        return SheetEndpoints.Put(id, JobSheetSet.AssemblyKind, Write(body.Assembly), request, sheets, body.By);
    }

    private static IResult Export(long id, JobPlans plans)
    {
        var order = plans.Get(id).Order;
        return Results.File(
            JsonSerializer.SerializeToUtf8Bytes(StripRecord.Begun(order), DocumentJson.Options),
            "application/json",
            $"{order.Card?.Id ?? order.First.Board.Id}.assembly.json"
        );
    }

    /// <summary>Writes the job's assembly into its board in the library: the next job on that board plans from it.</summary>
    private static async Task<Ok<KeptCount>> KeepAsync(
        long id,
        HttpRequest request,
        Store.Jobs jobs,
        JobSheets sheets,
        LibraryCache shop,
        [FromKeyedServices("board")] Library boards,
        [FromKeyedServices("card")] Library cards
    )
    {
        var by = await Bodies.ReadAsync(request, SheetEndpoints.By);
        var row = jobs.Get(id);
        var recorded =
            JobSheetSet.From(sheets.All(id)).Assembly
            ?? throw new InputException("", StripEndpointsWords.NothingWasRecordedInThisJob);
        if (row.CardId is { } card)
        {
            var whole = DocumentWriter.Write(shop.Cards[card] with { Assembly = recorded });
            return TypedResults.Ok(Keep(cards, LibraryDocuments.Card(whole), by, id));
        }
        var first = JobOrders.Work(row)?.Pieces?[0].BoardId ?? row.BoardId!;
        var document = DocumentWriter.Write(shop.Boards[first] with { Assembly = recorded });
        return TypedResults.Ok(Keep(boards, LibraryDocuments.Board(document), by, id));
    }

    /// <summary>The next version; other open jobs rest on theirs.</summary>
    private static KeptCount Keep(Library library, LibraryDocument document, string by, long job)
    {
        var seen = library.Get(document.Id).Version;
        return library.Put(document, seen, by, taken: job) == seen ? new(0, 1, 0) : new(0, 0, 1);
    }

    /// <summary>Takes an order where it is legal; an empty one takes the best again.</summary>
    private static async Task<Ok<SheetVersion>> OrderAsync(
        long id,
        HttpRequest request,
        JobPlans plans,
        JobSheets sheets
    )
    {
        var body = await Bodies.ReadAsync(
            request,
            o =>
            {
                if (!o.Has("order"))
                    o.Fault("order", StripEndpointsWords.MissingExpectedEveryScrewGroupLead);
                return new OrderChange(o.Texts("order"), SheetEndpoints.By(o));
            }
        );
        var job = plans.Get(id);
        var assembly = StripRecord.Begun(job.Order);
        if (assembly.Pieces.Count == 0)
            throw new InputException("", StripEndpointsWords.BoardHasNoAssembly);
        var opened = TeardownStation.BySides(
            job.Order,
            TeardownStation.Pieces(job.Order).First(),
            job.Plan.Teardown.Plugged
        );
        var loosening = Ways.From(job.Order, job.Sheets.Ways).Loosening;
        if (body.Order.Count > 0 && ChosenOrder.WhyNot(opened.Assembly!, body.Order, loosening) is { } reason)
            throw new InputException("/order", reason);
        return SheetEndpoints.Put(
            id,
            JobSheetSet.OrderKind,
            JsonSerializer.Serialize(body.Order, DocumentJson.Options),
            request,
            sheets,
            body.By
        );
    }
}
