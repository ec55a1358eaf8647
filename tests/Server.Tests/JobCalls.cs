using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>What the tests ask of a job, over real HTTP.</summary>
internal static class JobCalls
{
    /// <summary>Every job of the bench, once each has been calculated.</summary>
    public static async Task<IReadOnlyList<JsonElement>> CalculatedAsync(this ServerProcess server)
    {
        for (var tries = 0; tries < 600; tries++)
        {
            var jobs = (await server.GetAsync("/api/bench")).GetProperty("jobs").EnumerateArray().ToList();
            if (jobs.TrueForAll(j => j.GetProperty("waits").GetString() != "is being calculated"))
                return jobs;
            await Task.Delay(100, TestContext.Current.CancellationToken);
        }
        throw new TimeoutException("the bench was not calculated within a minute");
    }

    public static async Task<long> OpenAsync(
        this ServerProcess server,
        string board = "tern-460-r2",
        string? block = "brineworks-full-460"
    )
    {
        var asked = new
        {
            title = "A card",
            bench = "Bench A",
            boardId = board,
            blockId = block,
            by = "QA",
        };
        var response = await server.PostAsync("/api/jobs", JsonSerializer.Serialize(asked));
        Assert.Equal(HttpStatusCode.Created, response.StatusCode);
        return (await ServerProcess.JsonAsync(response)).GetProperty("id").GetInt64();
    }

    public static Task<HttpResponseMessage> SignAsync(
        this ServerProcess server,
        long job,
        string step,
        int version = 0,
        int? count = null,
        string by = "QA",
        string? reason = null,
        string? key = null
    )
    {
        var asked = new
        {
            by,
            count,
            overrideReason = reason,
            key,
        };
        return server.PostAsync(
            $"/api/jobs/{job}/steps/{step}/sign",
            JsonSerializer.Serialize(asked),
            version.ToString()
        );
    }

    public static Task<HttpResponseMessage> UndoAsync(
        this ServerProcess server,
        long job,
        string step,
        int version,
        string[]? with = null
    ) =>
        server.PostAsync(
            $"/api/jobs/{job}/steps/{step}/undo",
            JsonSerializer.Serialize(new { by = "ML", with }),
            version.ToString()
        );

    public static Task<JsonElement> JobAsync(this ServerProcess server, long job) =>
        server.GetAsync($"/api/jobs/{job}");

    public static JsonElement Step(this JsonElement job, string step) =>
        job.GetProperty("steps").EnumerateArray().Single(s => s.GetProperty("stepId").GetString() == step);

    /// <summary>How many a step asks to count; null where it counts nothing.</summary>
    public static int? CountOf(this JsonElement job, string step) =>
        job.GetProperty("stations")
            .EnumerateArray()
            .SelectMany(s => s.GetProperty("steps").EnumerateArray())
            .Where(s => s.GetProperty("id").GetString() == step)
            .Select(s =>
                s.TryGetProperty("count", out var c) && c.ValueKind == JsonValueKind.Number ? c.GetInt32() : (int?)null
            )
            .Single();

    /// <summary>Signs every step of the plan in working order.</summary>
    /// <param name="until">The first that is left; null for all.</param>
    /// <param name="but">One that is left out.</param>
    public static async Task SignAllAsync(this ServerProcess server, long job, string? until = null, string? but = null)
    {
        var view = await server.JobAsync(job);
        foreach (var step in view.GetProperty("steps").EnumerateArray())
        {
            var id = step.GetProperty("stepId").GetString()!;
            if (id == until)
                break;
            if (step.GetProperty("signed").GetBoolean() || id == but)
                continue;
            var answer = await server.SignAsync(
                job,
                id,
                step.GetProperty("version").GetInt32(),
                view.CountOf(id),
                reason: "for the record"
            );
            Assert.True(answer.IsSuccessStatusCode, $"{id}: {await answer.Content.ReadAsStringAsync()}");
        }
    }
}
