using FaithfulBracket.Core;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>One correction of a finished job: exactly one of reading, log, title or client.</summary>
/// <param name="Why">The reason, kept for ever.</param>
/// <param name="Reading">A reading that counts no more.</param>
/// <param name="Log">A log that counts no more, with the readings taken from it.</param>
/// <param name="Client">The client as it should read; empty for none.</param>
internal sealed record NewCorrection(
    string By,
    string Why,
    long? Reading = null,
    long? Log = null,
    string? Title = null,
    string? Client = null
);

/// <summary>What is corrected after a job was finished, with who, when and why.</summary>
internal static class CorrectionEndpoints
{
    private const int MaxWhy = 1000;

    public static void Map(IEndpointRouteBuilder app)
    {
        var corrections = app.MapGroup("/api/jobs/{id:long}/corrections").WithTags("jobs");
        corrections.MapGet("", (long id, Corrections all) => TypedResults.Ok(all.All(id)));
        corrections.MapPost("", Add).AddEndpointFilter(Summaries.RenewAsync);
    }

    private static Created<IReadOnlyList<CorrectionRow>> Add(
        long id,
        NewCorrection body,
        Store.Jobs jobs,
        SignOffs signOffs,
        JobEntries papers,
        JobLogs logs,
        Corrections corrections
    )
    {
        JobEndpoints.CheckInitials(body.By);
        var job = jobs.Get(id);
        var reason = Reason(body.By, body.Why)!;
        if (new object?[] { body.Reading, body.Log, body.Title, body.Client }.Count(f => f is not null) != 1)
            throw new InputException("", CorrectionEndpointsWords.ExpectedExactlyOneOfReadingLog);
        if (signOffs.FinishedAt(id) is null)
            throw new JobOpenException(CorrectionEndpointsWords.ThisJobIsOpen);
        if (body.Reading is { } reading)
            papers.StrikeReading(id, reading, reason);
        else if (body.Log is { } log)
            logs.Strike(id, log, reason);
        else
        {
            var faults = JobRules.Words(body.Title ?? job.Title, body.Client, job.Bench).ToList();
            if (faults.Count > 0)
                throw new InputException(faults);
            var client = string.IsNullOrWhiteSpace(body.Client) ? null : body.Client;
            corrections.Change(
                id,
                body.Title is null ? Corrections.Client : Corrections.Title,
                body.Title ?? client,
                reason
            );
        }
        return TypedResults.Created($"/api/jobs/{id}/corrections", corrections.All(id));
    }

    /// <summary>Who and why, where both are said; null where neither is.</summary>
    /// <exception cref="InputException">The reason is missing or too long, or who is.</exception>
    internal static CorrectionReason? Reason(string? by, string? why)
    {
        if (by is null && why is null)
            return null;
        JobEndpoints.CheckInitials(by);
        return why is null || why.Trim().Length is < 1 or > MaxWhy
            ? throw new InputException("/why", CorrectionEndpointsWords.SayWhyInToCharacters(MaxWhy))
            : new(by!, why.Trim());
    }
}
