using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Http;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// Turns what went wrong into problem details (RFC 9457) with a pointer and a sentence for each fault.
/// </summary>
internal sealed class Problems(ILogger<Problems> log, ShopDatabase shop) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancel)
    {
        if (exception is OperationCanceledException && context.RequestAborted.IsCancellationRequested)
            return true;
        var problem = DatabaseError.From(exception, shop.File) is { } trouble
            ? StartupErrorPage.Problem(trouble)
            : Describe(exception, HttpMethods.IsGet(context.Request.Method) ? '?' : '/');
        if (problem.Status >= 500)
            log.LogError(exception, "Unexpected failure at {Path}", context.Request.Path);
        if (problem.Status == StatusCodes.Status413PayloadTooLarge)
            await Bodies.DiscardAsync(context.Request);
        if (exception is BusyException || IsContended(exception))
            context.Response.Headers.RetryAfter = "5";
        problem.Instance = context.Request.Path;
        context.Response.StatusCode = problem.Status!.Value;
        await context.Response.WriteAsJsonAsync(
            problem,
            ResponseText.Options(context),
            "application/problem+json",
            cancel
        );
        return true;
    }

    /// <summary>Busy, locked, or the locking protocol gave up: others held the file.</summary>
    private static bool IsContended(Exception e) =>
        e is Microsoft.Data.Sqlite.SqliteException { SqliteErrorCode: 5 or 6 or 15 };

    private static ProblemDetails Describe(Exception exception, char sign) =>
        exception switch
        {
            InputException e => Problem(
                422,
                ProblemKindsWords.InputBreaksRule,
                e.Message,
                PointedFault.All(e.Faults, sign)
            ),
            MalformedJsonException e => Problem(
                400,
                ProblemKindsWords.InputCanNotBeRead,
                e.Message,
                PointedFault.All([e.Fault])
            ),
            LockedException { RestsOn.Count: > 0 } e => Problem(
                409,
                ProblemKindsWords.SignedStepsRest,
                e.Message,
                [],
                ("restsOn", e.RestsOn)
            ),
            LockedException e => Problem(
                409,
                ProblemKindsWords.ThisStepIsLocked,
                e.Message,
                [],
                ("waitsFor", e.WaitsFor)
            ),
            KeyTakenException e => Both(
                e,
                Problem(409, ProblemKindsWords.KeyIsTaken, e.Message, [new("/key", e.Message)])
            ),
            JobFinishedException e => Problem(409, ProblemKindsWords.ThisJobIsFinished, e.Message),
            JobOpenException e => Problem(409, ProblemKindsWords.ThisJobIsOpen, e.Message),
            StepSignedException e => Problem(409, ProblemKindsWords.ThisStepIsSigned, e.Message),
            ConcurrencyException e => Problem(412, "Somebody was faster", e.Message),
            DocumentInUseException e => Problem(409, ProblemKindsWords.JobsRestOnThisDocument, e.Message),
            IdTakenException e => Problem(409, ProblemKindsWords.IdIsTaken, e.Message, [new("/id", e.Message)]),
            BusyException e => Problem(503, ProblemKindsWords.TooMuchAtOnce, e.Message),
            _ when IsContended(exception) => Problem(
                503,
                ProblemKindsWords.TooMuchAtOnce,
                ProblemsWords.ShopsFileWasInUse
            ),
            NotFoundException e => Problem(404, "Not here", e.Message),
            BadHttpRequestException { InnerException: JsonException j } => Problem(
                400,
                ProblemKindsWords.InputCanNotBeRead,
                JsonSentences.Describe(j),
                [new(JsonSentences.Pointer(j.Path), JsonSentences.Describe(j))]
            ),
            BadHttpRequestException e when ParameterSentences.Describe(e) is { } told => Problem(
                e.StatusCode,
                ProblemKindsWords.RequestCanNotBeRead,
                told.Sentence,
                [new(told.Pointer, told.Sentence)]
            ),
            BadHttpRequestException e => Problem(
                e.StatusCode,
                ProblemKindsWords.RequestCanNotBeRead,
                e.Message,
                [new("", e.Message)]
            ),
            _ => Problem(500, "Something broke", ProblemsWords.ServerFailedOnThisRequest),
        };

    /// <summary>Says a status in words, as every refusal is said.</summary>
    public static Task WriteAsync(HttpContext context, int status, string title, string? detail)
    {
        var problem = Problem(status, title, detail);
        problem.Instance = context.Request.Path;
        return context.Response.WriteAsJsonAsync(
            problem,
            ResponseText.Options(context),
            "application/problem+json",
            context.RequestAborted
        );
    }

    private static ProblemDetails Both(KeyTakenException e, ProblemDetails problem)
    {
        problem.Extensions["kept"] = e.Kept is null ? null : JsonSerializer.Deserialize<JsonElement>(e.Kept);
        problem.Extensions["sent"] = JsonSerializer.Deserialize<JsonElement>(e.Sent);
        return problem;
    }

    private static ProblemDetails Problem(
        int status,
        string title,
        string? detail,
        IReadOnlyList<PointedFault>? errors = null,
        (string Name, object Value)? more = null
    )
    {
        var problem = new ProblemDetails
        {
            Status = status,
            Title = title,
            Detail = detail,
            Type = ProblemKinds.TypeOf(title),
        };
        if (errors is not null)
            problem.Extensions["errors"] = errors;
        if (more is { } m)
            problem.Extensions[m.Name] = m.Value;
        return problem;
    }
}
