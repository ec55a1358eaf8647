using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Which jobs: open ones, finished ones, those off the benches, or all.</summary>
internal enum JobListState
{
    Open,
    Finished,
    Archived,
    All,
}

/// <param name="Next">Cursor of the next part; absent where this was the last.</param>
internal sealed record JobPart(IReadOnlyList<ListedJob> Jobs, string? Next);

/// <summary>Jobs for a program: filtered, in order, part by part.</summary>
internal static class JobListEndpoint
{
    private const int UsualLimit = 50,
        MaxLimit = 200,
        MaxText = 100;

    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet("/api/jobs", List)
            .WithTags("jobs")
            .WithDescription(JobListEndpointWords.JobsInParts(MaxLimit, UsualLimit));

    private static Ok<JobPart> List(
        string? state,
        string? bench,
        string? board,
        string? text,
        string? order,
        int? limit,
        string? cursor,
        JobLists jobs
    )
    {
        var faults = new List<InputFault>();
        var which = JobListState.Open;
        if (state is not null && !Formats.Json.EnumNames<JobListState>.TryParse(state, out which))
            faults.Add(new("?state", JobListEndpointWords.ExpectedOpenFinishedArchivedOrAll));
        if (order is not (null or "opened" or "-opened"))
            faults.Add(new("?order", JobListEndpointWords.ExpectedOpenedOrOpened));
        if (limit is not null and not (>= 1 and <= MaxLimit))
            faults.Add(new("?limit", $"Expected 1 to {MaxLimit}."));
        if (text is { Length: > MaxText })
            faults.Add(new("?text", LimitWords.ExpectedAtMostCharacters(MaxText)));
        long after = 0;
        if (
            cursor is not null
            && !(long.TryParse(cursor, NumberStyles.None, CultureInfo.InvariantCulture, out after) && after > 0)
        )
            faults.Add(new("?cursor", JobListEndpointWords.ExpectedWhatPartBeforeGave));
        if (faults.Count > 0)
            throw new InputException(faults);
        var most = limit ?? UsualLimit;
        var found = jobs.List(
            new(
                bench,
                board,
                which switch
                {
                    JobListState.Open => false,
                    JobListState.Finished => true,
                    _ => null,
                },
                which switch
                {
                    JobListState.Archived => true,
                    JobListState.All => null,
                    _ => false,
                },
                text,
                order != "opened",
                cursor is null ? null : after,
                most + 1
            )
        );
        return TypedResults.Ok(
            new JobPart(
                [.. found.Take(most)],
                found.Count > most ? found[most - 1].Id.ToString(CultureInfo.InvariantCulture) : null
            )
        );
    }
}
