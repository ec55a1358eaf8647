using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Route;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record NewJob(string Title, string? Client, string Bench, string BoardId, string? BlockId, string By);

internal sealed record JobChange(
    string Title,
    string? Client,
    string Bench,
    string? BlockId,
    string? PasteId,
    IReadOnlyList<LaidPad> PadChoices
);

/// <param name="Key">The same for every try to send it: it counts once.</param>
/// <param name="DoneAt">When it was done at the bench, if the network was down then.</param>
internal sealed record Signature(
    string By,
    int? Count,
    string? OverrideReason,
    string? Key = null,
    string? DoneAt = null
);

internal sealed record NewTimer(string StepId, string? Label, int? Seconds);

internal sealed record NewNote(string By, string Text, string? StepId);

internal sealed record NewReading(
    string By,
    Core.Prove.Phase Phase,
    double RoomC,
    double? CoolantC,
    double DieC,
    double? HotspotC,
    double? MemoryC,
    double PowerW,
    double? FlowLMin,
    string? Note
);

internal sealed record Opened(long Id, string Address);

/// <summary>Jobs and their sign-offs.</summary>
internal static class JobEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var jobs = app.MapGroup("/api/jobs").WithTags("jobs");
        jobs.MapPost("/", Open);
        jobs.MapGet("/{id:long}", View);
        jobs.MapPut("/{id:long}", Change);
        jobs.MapPost("/{id:long}/steps/{stepId}/sign", Sign);
        jobs.MapPost("/{id:long}/steps/{stepId}/undo", Undo);
        jobs.MapPost("/{id:long}/readings", AddReading);
        jobs.MapDelete(
            "/{id:long}/readings/{readingId:long}",
            (long id, long readingId, JobPapers papers) =>
            {
                papers.StrikeReading(id, readingId);
                return TypedResults.NoContent();
            }
        );
        jobs.MapPost("/{id:long}/notes", AddNote);
        jobs.MapPost("/{id:long}/timers", StartTimer);
        jobs.MapDelete(
            "/{id:long}/timers/{timerId:long}",
            (long id, long timerId, JobPapers papers) =>
            {
                papers.StopTimer(id, timerId);
                return TypedResults.NoContent();
            }
        );
    }

    private static Created<Opened> Open(NewJob body, Jobs jobs, ShopMemory shop)
    {
        var faults = new List<InputFault>();
        Check(faults, "/title", body.Title, 1, 120);
        Check(faults, "/bench", body.Bench, 1, 20);
        Initials(faults, body.By);
        if (!shop.Boards.ContainsKey(body.BoardId ?? ""))
            faults.Add(new("/boardId", $"The library has no board \"{body.BoardId}\"."));
        if (body.BlockId is { } b && !shop.Blocks.ContainsKey(b))
            faults.Add(new("/blockId", $"The library has no block \"{b}\"."));
        if (faults.Count > 0)
            throw new InputException(faults);
        var id = jobs.Open(body.Title, body.Client, body.Bench, body.BoardId!, body.BlockId, body.By);
        return TypedResults.Created($"/api/jobs/{id}", new Opened(id, $"/api/jobs/{id}"));
    }

    private static Ok<JobView> View(long id, JobViews views, HttpResponse response, CancellationToken cancel)
    {
        var view = views.View(id, cancel);
        Versions.Tag(response, view.Version);
        return TypedResults.Ok(view);
    }

    private static Ok<JobView> Change(
        long id,
        JobChange body,
        HttpRequest request,
        HttpResponse response,
        Jobs jobs,
        ShopMemory shop,
        JobViews views
    )
    {
        var faults = new List<InputFault>();
        Check(faults, "/title", body.Title, 1, 120);
        Check(faults, "/bench", body.Bench, 1, 20);
        if (body.BlockId is { } b && !shop.Blocks.ContainsKey(b))
            faults.Add(new("/blockId", $"The library has no block \"{b}\"."));
        if (body.PasteId is { } p && shop.Drawer.Pastes.All(x => x.Material.Id != p))
            faults.Add(new("/pasteId", $"The drawer has no paste \"{p}\"."));
        for (var i = 0; i < (body.PadChoices?.Count ?? 0); i++)
        {
            if (body.PadChoices![i] is not { } c)
            {
                faults.Add(new($"/padChoices/{i}", "Expected a pad for a part, found null."));
                continue;
            }
            if (c.ThicknessMm is < 0.05 or > 20)
                faults.Add(new($"/padChoices/{i}/thicknessMm", "Expected 0.05 to 20 mm."));
            if (shop.Drawer.Materials.All(m => m.Id != c.Material))
                faults.Add(new($"/padChoices/{i}/material", $"Pad material \"{c.Material}\" is not in the drawer."));
        }
        if (faults.Count > 0)
            throw new InputException(faults);
        jobs.Update(
            id,
            Versions.Expected(request),
            body.Title,
            body.Client,
            body.Bench,
            body.BlockId,
            body.PasteId,
            JsonSerializer.Serialize(body.PadChoices ?? [], DocumentJson.Options)
        );
        return View(id, views, response, default);
    }

    private static Ok<StepState> Sign(
        long id,
        string stepId,
        Signature body,
        HttpRequest request,
        Jobs jobs,
        JobViews views,
        JobPapers papers,
        JobSheets sheets
    )
    {
        CheckInitials(body.By);
        var version = Versions.Expected(request);
        var sending = SendingOf(body);
        var plan = views.PlanOf(id);
        var states = JobViews.States(jobs.Events(id));
        var signed = states.Values.Where(s => s.Signed).Select(s => s.StepId).ToHashSet();
        if (signed.Contains(stepId) && states[stepId].Version == version)
            throw new StepLockedException(
                $"{states[stepId].By} signed this already at {states[stepId].At[11..16]}.",
                []
            );
        SignOff.Check(plan, signed, stepId, body.Count, body.OverrideReason);
        if (stepId.StartsWith(CuttingEndpoints.CutSteps, StringComparison.Ordinal))
            CuttingEndpoints.Begin(id, plan, signed, body.By, sheets);
        var e = jobs.Record(
            id,
            stepId,
            "done",
            body.By,
            body.Count,
            string.IsNullOrWhiteSpace(body.OverrideReason) ? null : body.OverrideReason,
            version,
            sending
        );
        foreach (var timer in papers.Running(id).Where(t => t.StepId == stepId))
            papers.StopTimer(id, timer.Id);
        return TypedResults.Ok(new StepState(stepId, true, e.ByInitials, e.At, e.Count, e.OverrideReason, version + 1));
    }

    private static Ok<StepState> Undo(long id, string stepId, Signature body, HttpRequest request, Jobs jobs)
    {
        CheckInitials(body.By);
        var version = Versions.Expected(request);
        var state = JobViews.States(jobs.Events(id)).GetValueOrDefault(stepId);
        if (state is null || !state.Signed && state.Version == version)
            throw new StepLockedException("This step is not signed: nothing to take back.", []);
        var e = jobs.Record(id, stepId, "undone", body.By, null, body.OverrideReason, version, SendingOf(body));
        return TypedResults.Ok(new StepState(stepId, false, e.ByInitials, e.At, null, e.OverrideReason, version + 1));
    }

    private static Sending? SendingOf(Signature body)
    {
        if (body.Key is null && body.DoneAt is null)
            return null;
        var faults = new List<InputFault>();
        if (
            body.Key is { } key
            && (key.Length is < 8 or > 64 || !key.All(c => char.IsAsciiLetterOrDigit(c) || c == '-'))
        )
            faults.Add(new("/key", "Expected 8 to 64 letters, digits and dashes."));
        if (
            body.DoneAt is { } at
            && (
                at.Length > 40
                || !DateTimeOffset.TryParse(
                    at,
                    System.Globalization.CultureInfo.InvariantCulture,
                    System.Globalization.DateTimeStyles.AssumeUniversal,
                    out _
                )
            )
        )
            faults.Add(new("/doneAt", "Expected an instant such as 2026-01-31T10:20:30Z."));
        return faults.Count > 0 ? throw new InputException(faults) : new(body.Key, body.DoneAt);
    }

    private static Created<Opened> AddReading(long id, NewReading body, Jobs jobs, JobPapers papers)
    {
        jobs.Get(id);
        var faults = new List<InputFault>();
        Initials(faults, body.By);
        void Within(string field, double? value, double least, double most)
        {
            if (value is { } v && !(v >= least && v <= most))
                faults.Add(new(field, FormattableString.Invariant($"Expected {least} to {most}, found {v}.")));
        }
        Within("/roomC", body.RoomC, -20, 60);
        Within("/coolantC", body.CoolantC, -20, 100);
        Within("/dieC", body.DieC, -20, 150);
        Within("/hotspotC", body.HotspotC, -20, 150);
        Within("/memoryC", body.MemoryC, -20, 150);
        Within("/powerW", body.PowerW, 1, 3000);
        Within("/flowLMin", body.FlowLMin, 0.01, 100);
        if (body.DieC <= body.RoomC)
            faults.Add(new("/dieC", "The die is not warmer than the room: measure under load."));
        if (faults.Count > 0)
            throw new InputException(faults);
        var reading = papers.AddReading(
            id,
            body.Phase.ToString().ToLowerInvariant(),
            body.RoomC,
            body.CoolantC,
            body.DieC,
            body.HotspotC,
            body.MemoryC,
            body.PowerW,
            body.FlowLMin,
            body.Note,
            body.By
        );
        return TypedResults.Created(
            $"/api/jobs/{id}/readings/{reading}",
            new Opened(reading, $"/api/jobs/{id}/readings/{reading}")
        );
    }

    private static Created<Opened> AddNote(long id, NewNote body, Jobs jobs, JobPapers papers)
    {
        jobs.Get(id);
        var faults = new List<InputFault>();
        Initials(faults, body.By);
        Check(faults, "/text", body.Text, 1, 4000);
        if (faults.Count > 0)
            throw new InputException(faults);
        var note = papers.AddNote(id, body.StepId, body.Text, body.By);
        return TypedResults.Created($"/api/jobs/{id}/notes/{note}", new Opened(note, $"/api/jobs/{id}/notes/{note}"));
    }

    private static Created<Opened> StartTimer(long id, NewTimer body, Jobs jobs, JobPapers papers, JobViews views)
    {
        jobs.Get(id);
        var step =
            views.PlanOf(id).Stations.SelectMany(s => s.Steps).FirstOrDefault(s => s.Id == body.StepId)
            ?? throw new InputException("/stepId", $"The plan has no step \"{body.StepId}\".");
        var seconds =
            body.Seconds
            ?? step.TimerS
            ?? throw new InputException("/seconds", "This step has no wait: say how many seconds.");
        if (seconds is < 1 or > 86400 * 7)
            throw new InputException("/seconds", $"Expected 1 s to 7 days, found {seconds}.");
        var timer = papers.StartTimer(id, step.Id, body.Label ?? step.Title, seconds);
        return TypedResults.Created(
            $"/api/jobs/{id}/timers/{timer}",
            new Opened(timer, $"/api/jobs/{id}/timers/{timer}")
        );
    }

    private static void Check(List<InputFault> faults, string pointer, string? text, int least, int most)
    {
        if (text is null || text.Trim().Length < least || text.Length > most)
            faults.Add(new(pointer, $"Expected {least} to {most} characters, found {text?.Length ?? 0}."));
    }

    private static void Initials(List<InputFault> faults, string? by)
    {
        if (by is null || by.Length is < 1 or > 4 || !by.All(char.IsLetter))
            faults.Add(new("/by", "Sign with one to four letters."));
    }

    internal static void CheckInitials(string? by)
    {
        var faults = new List<InputFault>();
        Initials(faults, by);
        if (faults.Count > 0)
            throw new InputException(faults);
    }
}
