using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>A job to open: one board, or a card, or several boards; a block, or several.</summary>
/// <param name="Pieces">Several boards, the first one first; absent for one board or a card.</param>
/// <param name="Pairs">Several blocks; absent for one.</param>
/// <param name="Seat">The processor that lies in the board's socket; absent where none does.</param>
/// <param name="MachineId">A machine: its cards and blocks stand for boards and blocks.</param>
internal sealed record NewJob(
    string Title,
    string? Client,
    string Bench,
    string? BoardId,
    string? BlockId,
    string By,
    string? CardId = null,
    IReadOnlyList<WorkPiece>? Pieces = null,
    IReadOnlyList<WorkPair>? Pairs = null,
    WorkSeat? Seat = null,
    string? MachineId = null
);

/// <summary>A job off the benches.</summary>
internal sealed record ArchivedJob(long Id, string Title, string? Client);

/// <param name="Pairs">Several blocks; absent for the one in blockId, or none.</param>
/// <param name="Seat">The processor in its socket, bare or turned otherwise; absent leaves it as it is.</param>
internal sealed record JobChange(
    string Title,
    string? Client,
    string Bench,
    string? BlockId,
    string? PasteId,
    IReadOnlyList<LaidPad> PadChoices,
    IReadOnlyList<WorkPair>? Pairs = null,
    WorkSeat? Seat = null
);

/// <param name="Key">The same for every try to send it: it counts once.</param>
/// <param name="DoneAt">When it was done at the bench, if the network was down then.</param>
/// <param name="DeviceAt">The same instant as the device's own clock said it.</param>
/// <param name="With">For an undo: all signed steps that rest on it, which are undone with it.</param>
/// <param name="WithVersions">The versions of those steps as the caller saw them, by id.</param>
internal sealed record Signature(
    string By,
    int? Count,
    string? OverrideReason,
    string? Key = null,
    string? DoneAt = null,
    IReadOnlyList<string>? With = null,
    IReadOnlyDictionary<string, long>? WithVersions = null,
    string? DeviceAt = null
);

internal sealed record Opened(long Id, string Address);

/// <summary>How a step stands after a sign-off or its undo.</summary>
internal sealed record StepState(
    string StepId,
    bool Signed,
    string By,
    string At,
    long? Count,
    string? OverrideReason,
    long Version
);

/// <summary>Jobs and their sign-offs.</summary>
internal static class JobEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var jobs = app.MapGroup("/api/jobs").WithTags("jobs");
        jobs.MapPost("/", Open).AddEndpointFilter(Summaries.RenewAsync);
        jobs.MapGet("/{id:long}", View);
        jobs.MapGet("/{id:long}/shell", Shell).Produces<JobShell>().Produces(StatusCodes.Status304NotModified);
        jobs.MapPut("/{id:long}", Change).AddEndpointFilter(Summaries.RenewAsync);
        jobs.MapPut(
            "/{id:long}/archived",
            (long id, ArchivedState body, Store.Jobs all) =>
            {
                all.Archive(id, body.Archived);
                return TypedResults.Ok(body);
            }
        );
        jobs.MapGet(
            "/archived",
            (Store.Jobs all) => TypedResults.Ok(all.Archived().Select(j => new ArchivedJob(j.Id, j.Title, j.Client)))
        );
        jobs.MapPost("/{id:long}/steps/{stepId}/sign", Sign).AddEndpointFilter(Summaries.RenewAsync);
        jobs.MapPost("/{id:long}/steps/{stepId}/undo", Undo).AddEndpointFilter(Summaries.RenewAsync);
    }

    private static Created<Opened> Open(NewJob body, Store.Jobs jobs, JobIntake intake)
    {
        var id = jobs.Open(intake.Read(body), body.By);
        return TypedResults.Created($"/api/jobs/{id}", new Opened(id, $"/api/jobs/{id}"));
    }

    private static Ok<JobView> View(long id, JobViews views, HttpResponse response, CancellationToken cancel)
    {
        var view = views.View(id, cancel);
        Versions.Tag(response, view.Version);
        return TypedResults.Ok(view);
    }

    /// <summary>The part of a job that pages look at again; not sent again to whoever has it.</summary>
    private static IResult Shell(long id, JobShells shells, HttpContext context, CancellationToken cancel)
    {
        var tag = shells.Tag(id);
        Versions.Tag(context.Response, tag);
        context.Response.Headers.CacheControl = "no-cache";
        return Versions.IsSeen(context.Request, tag)
            ? TypedResults.StatusCode(StatusCodes.Status304NotModified)
            : TypedResults.Bytes(shells.Find(id, tag, cancel), "application/json; charset=utf-8");
    }

    private static Ok<JobView> Change(
        long id,
        JobChange body,
        HttpRequest request,
        HttpResponse response,
        Store.Jobs jobs,
        JobIntake intake,
        JobViews views,
        CancellationToken cancel
    )
    {
        jobs.Update(id, Versions.Expected(request), intake.Read(jobs.Get(id), body));
        return View(id, views, response, cancel);
    }

    private static Ok<StepState> Sign(
        long id,
        string stepId,
        Signature body,
        HttpRequest request,
        SignOffService desk,
        Store.Jobs jobs,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        CheckInitials(body.By);
        var version = Versions.Expected(request);
        var e = desk.Sign(
            id,
            IdOf(stepId, "/stepId"),
            body.By,
            body.Count,
            Reason(body),
            version,
            SendingOf(body, jobs.Get(id), time),
            cancel
        );
        return TypedResults.Ok(new StepState(stepId, true, e.ByInitials, e.At, e.Count, e.OverrideReason, version + 1));
    }

    private static Ok<StepState> Undo(
        long id,
        string stepId,
        Signature body,
        HttpRequest request,
        SignOffService desk,
        Store.Jobs jobs,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        CheckInitials(body.By);
        var version = Versions.Expected(request);
        List<StepId> with = [.. (body.With ?? []).Select((s, i) => IdOf(s, $"/with/{i}"))];
        var e = desk.TakeBack(
            id,
            IdOf(stepId, "/stepId"),
            body.By,
            Reason(body),
            with,
            body.WithVersions ?? new Dictionary<string, long>(),
            version,
            SendingOf(body, jobs.Get(id), time),
            cancel
        );
        return TypedResults.Ok(new StepState(stepId, false, e.ByInitials, e.At, null, e.OverrideReason, version + 1));
    }

    internal static StepId IdOf(string? text, string pointer) =>
        StepId.TryParse(text, out var id) ? id : throw new InputException(pointer, $"\"{text}\" names no step.");

    private const int MaxReason = 1000;

    private static string? Reason(Signature body) =>
        body.OverrideReason is { Length: > MaxReason } r
            ? throw new InputException("/overrideReason", LimitWords.ExpectedAtMostCharactersFound(MaxReason, r.Length))
            : body.OverrideReason;

    private static Sending? SendingOf(Signature body, JobRow job, TimeProvider time) =>
        PaperSendings.Read(("/key", body.Key), ("/doneAt", body.DoneAt), ("/deviceAt", body.DeviceAt), job, time);

    internal static void CheckInitials(string? by)
    {
        if (Signer.WhyNot(by) is { } fault)
            throw new InputException("/by", fault);
    }
}
