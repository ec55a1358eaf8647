using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Logs;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="RoomC">Where the log has no column of it.</param>
internal sealed record ReadingOfLog(string By, Phase Phase, double? RoomC = null);

/// <summary>Logs of a job: read from any table, kept packed, judged, taken as a reading.</summary>
internal static class LogEndpoints
{
    private const int MaxBytes = 16 * 1024 * 1024,
        MaxName = 120,
        MaxLogs = 60;

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapPost("/api/logs/look", LookAsync)
            .WithTags("logs")
            .Accepts<string>("text/csv", "text/plain")
            .WithDescription(LogCsv.InWords);
        var logs = app.MapGroup("/api/jobs/{id:long}/logs").WithTags("logs");
        logs.MapGet("", (long id, JobLogs kept) => TypedResults.Ok(kept.All(id)));
        logs.MapPost("", KeepAsync).Accepts<string>("text/csv", "text/plain").WithDescription(LogCsv.InWords);
        logs.MapGet("/{logId:long}", View);
        logs.MapDelete(
            "/{logId:long}",
            (long id, long logId, string? by, string? why, JobLogs kept) =>
            {
                kept.Strike(id, logId, why is null ? null : CorrectionEndpoints.Reason(by, why));
                return TypedResults.NoContent();
            }
        );
        logs.MapPost("/{logId:long}/reading", Take).AddEndpointFilter(Summaries.RenewAsync);
    }

    private static async Task<Ok<LogLook>> LookAsync(HttpRequest request, JobLogs kept)
    {
        var csv = new LogCsv(await Bodies.BytesAsync(request, MaxBytes));
        return TypedResults.Ok(csv.Look(Columns(kept, csv.Signature)));
    }

    private static List<LogColumn>? Columns(JobLogs kept, string signature) =>
        kept.Serialize(signature) is { } told
            ? JsonSerializer.Deserialize<List<LogColumn>>(told, DocumentJson.Options)
            : null;

    /// <param name="file">Name of the file; absent takes the log's name.</param>
    /// <param name="source">Where it comes from; absent for a file of a logger.</param>
    /// <param name="columns">
    /// What the columns are, as JSON; absent takes what was told for this header, or what is guessed.
    /// </param>
    private static async Task<Created<JobLogView>> KeepAsync(
        long id,
        string by,
        string phase,
        string? name,
        string? board,
        string? columns,
        string? file,
        string? source,
        HttpRequest request,
        FigureSources sources,
        JobLogs kept,
        JobLogViews views,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        JobEndpoints.CheckInitials(by);
        if (!EnumNames<Phase>.TryParse(phase, out var known))
            throw new InputException("?phase", LogEndpointsWords.ExpectedBeforeOrAfter);
        if (name is { Length: > MaxName })
            throw new InputException("?name", LimitWords.ExpectedAtMostCharactersFound(MaxName, name.Length));
        var order = plans.Get(id, cancel).Order;
        if (board is not null && order.Find(board) is null)
            throw new InputException("?board", MissingWords.OrderHasNoBoard(board));
        if (kept.All(id).Count >= MaxLogs)
            throw new InputException("", LogEndpointsWords.JobKeepsAtMostLogs(MaxLogs));
        var bytes = await Bodies.BytesAsync(request, MaxBytes);
        var from = sources.Source(
            source,
            new(
                SourceKind.File,
                File: file ?? name,
                Digest: Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(bytes.Span))
            )
        );
        var csv = new LogCsv(bytes);
        var told = columns is null ? null : Columns(columns);
        var own =
            told
            ?? Columns(kept, csv.Signature)
            ?? [.. csv.Look(null).Columns.Select(c => c.Guess).OfType<LogColumn>()];
        var log = await Task.Run(() => csv.Read(own, cancel), cancel);
        if (told is not null)
            kept.Tell(csv.Signature, JsonSerializer.Serialize(told, DocumentJson.Options));
        var logId = kept.Add(
            id,
            new(
                board,
                EnumNames<Phase>.Name(known),
                string.IsNullOrWhiteSpace(name) ? "log" : name,
                log.TimesS.Count,
                log.DurationS,
                LogPack.Pack(log),
                by,
                from
            )
        );
        return TypedResults.Created(
            $"/api/jobs/{id}/logs/{logId}",
            await Task.Run(() => views.View(id, logId, order, cancel), cancel)
        );
    }

    private static List<LogColumn> Columns(string text)
    {
        const int longest = 8000,
            most = BenchLog.MaxSeries + 1;
        try
        {
            if (
                text.Length > longest
                || JsonSerializer.Deserialize<List<LogColumn>>(text, DocumentJson.Options)
                    is not { Count: > 0 and <= most } told
            )
                throw new InputException("?columns", $"Expected 1 to {most} columns.");
            if (told.GroupBy(c => c.Channel).FirstOrDefault(g => g.Count() > 1) is { } twice)
                throw new InputException(
                    "?columns",
                    LogEndpointsWords.TwoColumnsAreStated(twice.Key is { } c ? c.Name() : "the time")
                );
            return told;
        }
        catch (JsonException)
        {
            throw new InputException("?columns", LogEndpointsWords.ExpectedListOfColumnsEach);
        }
    }

    private static async Task<Ok<JobLogView>> View(
        long id,
        long logId,
        JobLogViews views,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        var order = plans.Get(id, cancel).Order;
        return TypedResults.Ok(await Task.Run(() => views.View(id, logId, order, cancel), cancel));
    }

    /// <summary>The log's steady part becomes a reading.</summary>
    private static async Task<Created<Opened>> Take(
        long id,
        long logId,
        ReadingOfLog body,
        JobLogViews views,
        JobPlans plans,
        JobEntries papers,
        HttpRequest request,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        JobEndpoints.CheckInitials(body.By);
        var planned = plans.Get(id, cancel);
        var order = planned.Order;
        var (row, log) = views.Read(id, logId);
        var reading = await Task.Run(
            () => LogToReading.Convert(views.Judge(log, order, row.Board, cancel), body.Phase, body.RoomC, row.Board),
            cancel
        );
        var faults = ReadingRules.Check(reading).ToList();
        if (faults.Count > 0)
            throw new InputException(faults);
        var readingId = papers.AddReading(
            id,
            new(
                EnumNames<Phase>.Name(reading.Phase),
                reading.RoomC,
                reading.CoolantC,
                reading.DieC,
                reading.HotspotC,
                reading.MemoryC,
                reading.PowerW,
                reading.FlowLMin,
                $"from log {logId}, {row.Name}",
                body.By,
                row.Board,
                reading.PowerStageC,
                logId,
                Source: row.Source
            ),
            PaperSendings.Read(request, planned.Row, time)
        );
        return TypedResults.Created(
            $"/api/jobs/{id}/readings/{readingId}",
            new Opened(readingId, $"/api/jobs/{id}/readings/{readingId}")
        );
    }
}
