using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="By">Who starts it; absent where nobody said.</param>
internal sealed record NewTimer(string StepId, string? Label, int? Seconds, string? By = null);

internal sealed record NewNote(string By, string Text, string? StepId);

/// <param name="Board">Key of the board it was taken on; absent for the first.</param>
/// <param name="PowerStageC">The warmest power stage.</param>
/// <param name="Source">Where it comes from; absent for what was read by hand.</param>
/// <param name="Conditions">Under what it was read, as far as is known.</param>
/// <param name="TakenAt">When it was taken, if that was not now: an instant, not in the future.</param>
internal sealed record NewReading(
    string By,
    Phase Phase,
    double RoomC,
    double? CoolantC,
    double DieC,
    double? HotspotC,
    double? MemoryC,
    double PowerW,
    double? FlowLMin,
    string? Note,
    string? Board = null,
    double? PowerStageC = null,
    string? TakenAt = null,
    FigureSource? Source = null,
    RunConditions? Conditions = null
)
{
    public Reading ToReading() =>
        new(Phase, RoomC, CoolantC, DieC, HotspotC, MemoryC, PowerW, FlowLMin, Note)
        {
            Board = Board,
            PowerStageC = PowerStageC,
            Conditions = Conditions,
        };
}

/// <summary>What is clipped to a job: readings, notes, timers.</summary>
internal static class PaperEndpoints
{
    private const int MaxNote = 4000,
        MaxLabel = 200,
        LongestTimerS = 86400 * 7;

    public static void Map(IEndpointRouteBuilder app)
    {
        var jobs = app.MapGroup("/api/jobs/{id:long}").WithTags("jobs").AddEndpointFilter(Summaries.RenewAsync);
        jobs.MapPost("/readings", AddReading);
        jobs.MapDelete(
            "/readings/{readingId:long}",
            (long id, long readingId, string? by, string? why, JobEntries papers) =>
            {
                papers.StrikeReading(id, readingId, why is null ? null : CorrectionEndpoints.Reason(by, why));
                return TypedResults.NoContent();
            }
        );
        jobs.MapPost("/notes", AddNote);
        jobs.MapPost("/timers", StartTimer);
        jobs.MapDelete(
            "/timers/{timerId:long}",
            (long id, long timerId, JobEntries papers) =>
            {
                papers.StopTimer(id, timerId);
                return TypedResults.NoContent();
            }
        );
    }

    private static Created<Opened> AddReading(
        long id,
        NewReading body,
        Store.Jobs jobs,
        JobOrders orders,
        JobEntries papers,
        FigureSources sources,
        TimeProvider time,
        HttpRequest request
    )
    {
        var job = jobs.Get(id);
        var order = orders.Create(job);
        var faults = ReadingRules.Check(body.ToReading()).ToList();
        faults.AddRange(sources.Faults(body.Source));
        faults.AddRange(body.Conditions?.Faults() ?? []);
        if (Signer.WhyNot(body.By) is { } who)
            faults.Add(new("/by", who));
        if (body.Board is { } board && order.Find(board) is null)
            faults.Add(new("/board", MissingWords.OrderHasNoBoard(board)));
        if (body.TakenAt is { } at && !Instant(at, time, out _))
            faults.Add(new("/takenAt", PaperEndpointsWords.ExpectedInstantSuch));
        if (faults.Count > 0)
            throw new InputException(faults);
        var reading = papers.AddReading(id, Row(body), PaperSendings.Read(request, job, time));
        return TypedResults.Created(
            $"/api/jobs/{id}/readings/{reading}",
            new Opened(reading, $"/api/jobs/{id}/readings/{reading}")
        );
    }

    private static bool Instant(string text, TimeProvider time, out DateTimeOffset at)
    {
        return SentAt.TryParse(text, out at) && at <= time.GetUtcNow().AddMinutes(1) && at.Year > 2000;
    }

    internal static NewReadingRow Row(NewReading r) =>
        new(
            r.Phase.ToString().ToLowerInvariant(),
            r.RoomC,
            r.CoolantC,
            r.DieC,
            r.HotspotC,
            r.MemoryC,
            r.PowerW,
            r.FlowLMin,
            r.Note,
            r.By,
            r.Board,
            r.PowerStageC,
            At: r.TakenAt is { } at && Instant(at, TimeProvider.System, out var instant) ? instant : null,
            Source: r.Source ?? FigureSource.ByHand,
            Conditions: r.Conditions
        );

    private static Created<Opened> AddNote(
        long id,
        NewNote body,
        Store.Jobs jobs,
        JobEntries papers,
        TimeProvider time,
        HttpRequest request
    )
    {
        var job = jobs.Get(id);
        var faults = new List<InputFault>();
        if (Signer.WhyNot(body.By) is { } who)
            faults.Add(new("/by", who));
        if (body.Text is null || body.Text.Trim().Length < 1 || body.Text.Length > MaxNote)
            faults.Add(new("/text", PaperEndpointsWords.ExpectedToCharactersFound(MaxNote, body.Text?.Length ?? 0)));
        if (body.StepId is { } step && !StepId.TryParse(step, out _))
            faults.Add(new("/stepId", $"\"{step}\" names no step."));
        if (faults.Count > 0)
            throw new InputException(faults);
        var note = papers.AddNote(id, body.StepId, body.Text!, body.By, PaperSendings.Read(request, job, time));
        return TypedResults.Created($"/api/jobs/{id}/notes/{note}", new Opened(note, $"/api/jobs/{id}/notes/{note}"));
    }

    private static Created<Opened> StartTimer(
        long id,
        NewTimer body,
        JobEntries papers,
        JobPlans plans,
        TimeProvider time,
        HttpRequest request
    )
    {
        var planned = plans.Standing(id, request.HttpContext.RequestAborted);
        var step =
            planned.Plan.Find(JobEndpoints.IdOf(body.StepId, "/stepId"))
            ?? throw new InputException("/stepId", MissingWords.PlanHasNoStep(body.StepId));
        var seconds =
            body.Seconds ?? step.TimerS ?? throw new InputException("/seconds", PaperEndpointsWords.ThisStepHasNoWait);
        if (seconds is < 1 or > LongestTimerS)
            throw new InputException("/seconds", PaperEndpointsWords.ExpectedSToDaysFound(seconds));
        if (body.Label is { Length: > MaxLabel } label)
            throw new InputException("/label", LimitWords.ExpectedAtMostCharactersFound(MaxLabel, label.Length));
        var timer = papers.StartTimer(
            id,
            step.Id.ToString(),
            body.Label ?? step.Title,
            seconds,
            body.By,
            PaperSendings.Read(request, planned.Row, time)
        );
        return TypedResults.Created(
            $"/api/jobs/{id}/timers/{timer}",
            new Opened(timer, $"/api/jobs/{id}/timers/{timer}")
        );
    }
}
