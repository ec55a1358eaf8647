using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>
/// A job is finished only when nothing is to be looked at again, and then changes by corrections alone.
/// </summary>
public class FinishedJobTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<HttpStatusCode> ChangeAsync(long job, object change) =>
        (
            await _server.SendAsync(
                HttpMethod.Put,
                $"/api/jobs/{job}",
                JsonSerializer.Serialize(change),
                (await _server.JobAsync(job)).GetProperty("version").GetInt64().ToString()
            )
        ).StatusCode;

    private static object Fields(string paste, string client = "Harbour office") =>
        new
        {
            title = "A card",
            client,
            bench = "Bench A",
            blockId = "brineworks-full-460",
            pasteId = paste,
            padChoices = new[]
            {
                new
                {
                    part = "M1",
                    thicknessMm = 1.5,
                    material = "soft-3",
                },
            },
        };

    [Fact]
    public async Task Steps_to_look_at_again_keep_a_job_open_and_the_record_prints_what_was_signed()
    {
        var job = await _server.OpenAsync();
        foreach (var step in (string[])["match.label", "paste.U1", "pads.cut-1", "mount.lower"])
            Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, step, reason: "as it was")).StatusCode);
        var signed = await TitleAsync(job, "paste.U1");
        Assert.Equal(HttpStatusCode.OK, await ChangeAsync(job, Fields("stiff-9")));
        await _server.SignAllAsync(job);
        var all = await _server.JobAsync(job);
        var again = all.GetProperty("steps")
            .EnumerateArray()
            .Where(s => s.GetProperty("lookAgain").GetBoolean())
            .Select(s => s.GetProperty("stepId").GetString()!)
            .ToList();
        Assert.Contains("paste.U1", again);
        Assert.False(all.GetProperty("finished").GetBoolean());
        Assert.DoesNotContain(
            (await _server.GetAsync("/api/bench")).GetProperty("jobs").EnumerateArray(),
            j => j.GetProperty("id").GetInt64() == job && j.GetProperty("finished").GetBoolean()
        );
        // the old words stand under the old signature, with what changed since
        var record = await _server.Http.GetStringAsync(
            $"/api/jobs/{job}/record.html",
            TestContext.Current.CancellationToken
        );
        Assert.Contains(WebUtility.HtmlEncode(signed), record, StringComparison.Ordinal);
        Assert.Contains("Changed since it was signed", record, StringComparison.Ordinal);

        foreach (var step in again)
        {
            var version = (await _server.JobAsync(job)).Step(step).GetProperty("version").GetInt32();
            Assert.Equal(
                HttpStatusCode.OK,
                (await _server.SignAsync(job, step, version, reason: "checked")).StatusCode
            );
        }
        Assert.True((await _server.JobAsync(job)).GetProperty("finished").GetBoolean());
    }

    private async Task<string> TitleAsync(long job, string step) =>
        (await _server.JobAsync(job)).Step(step).GetProperty("title").GetString()!;

    [Fact]
    public async Task A_finished_job_stands_and_a_correction_says_who_when_and_why_and_the_verdict_follows()
    {
        var job = await _server.OpenAsync();
        async Task Reading(string phase, double die) =>
            Assert.Equal(
                HttpStatusCode.Created,
                (
                    await _server.PostAsync(
                        $"/api/jobs/{job}/readings",
                        JsonSerializer.Serialize(
                            new
                            {
                                by = "QA",
                                phase,
                                roomC = 21,
                                coolantC = phase == "after" ? 28 : (double?)null,
                                dieC = die,
                                powerW = 240,
                                flowLMin = phase == "after" ? 3.5 : (double?)null,
                            }
                        )
                    )
                ).StatusCode
            );
        await Reading("before", 81);
        await Reading("after", 45);
        await Reading("after", 88);
        await _server.SignAllAsync(job);
        var finished = await _server.JobAsync(job);
        Assert.True(finished.GetProperty("finished").GetBoolean());
        string Verdict(JsonElement v) =>
            v.GetProperty("plan")
                .GetProperty("prove")
                .GetProperty("pairs")[0]
                .GetProperty("comparison")
                .GetProperty("verdict")
                .GetString()!;
        var last = finished.GetProperty("readings")[2].GetProperty("id").GetInt64();

        Assert.Equal(HttpStatusCode.Conflict, await ChangeAsync(job, Fields("stiff-9")));
        var ways = """{"school":"cleaning","way":"alcohol","by":"QA"}""";
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await _server.SendAsync(HttpMethod.Put, $"/api/jobs/{job}/ways", ways, "0")).StatusCode
        );
        var strike = $"/api/jobs/{job}/readings/{last}?by=QA";
        Assert.Equal(HttpStatusCode.Conflict, (await _server.SendAsync(HttpMethod.Delete, strike, null)).StatusCode);
        Assert.Equal(Verdict(finished), Verdict(await _server.JobAsync(job)));

        var corrections = $"/api/jobs/{job}/corrections";
        var wrong = await _server.PostAsync(
            corrections,
            JsonSerializer.Serialize(
                new
                {
                    by = "QA",
                    why = " ",
                    reading = last,
                }
            )
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, wrong.StatusCode);
        foreach (
            var body in (object[])
                [
                    new
                    {
                        by = "ML",
                        why = "the pump was off",
                        reading = last,
                    },
                    new
                    {
                        by = "ML",
                        why = "typed wrongly",
                        client = "Pier <3>",
                    },
                ]
        )
            Assert.Equal(
                HttpStatusCode.Created,
                (await _server.PostAsync(corrections, JsonSerializer.Serialize(body))).StatusCode
            );
        var after = await _server.JobAsync(job);
        Assert.True(after.GetProperty("finished").GetBoolean());
        Assert.NotEqual(Verdict(finished), Verdict(after));
        Assert.Equal("Pier <3>", after.GetProperty("client").GetString());
        Assert.All(
            after.GetProperty("corrections").EnumerateArray(),
            c => Assert.Equal("ML", c.GetProperty("byInitials").GetString())
        );
        var record = await _server.Http.GetStringAsync(
            $"/api/jobs/{job}/record.html",
            TestContext.Current.CancellationToken
        );
        foreach (var said in (string[])["the pump was off", "Pier &lt;3&gt;", "typed wrongly"])
            Assert.Contains(said, record, StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_undo_takes_back_exactly_what_rests_on_the_step_or_says_what_does()
    {
        var job = await _server.OpenAsync();
        foreach (
            var (step, count) in ((string, int?)[])
                [("teardown.F1", 6), ("teardown.F2", 6), ("teardown.F3", 4), ("kit.count", null)]
        )
            Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, step, count: count)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, "teardown.cooler")).StatusCode);
        // kit.count does not rest on the screws: it stays, and nothing is undone
        foreach (
            var with in (string[][])
                [
                    [],
                    ["kit.count"],
                    ["teardown.cooler", "kit.count"],
                ]
        )
        {
            var refused = await _server.UndoAsync(job, "teardown.F2", 1, with);
            Assert.Equal(HttpStatusCode.Conflict, refused.StatusCode);
            var rests = (await ServerProcess.JsonAsync(refused))
                .GetProperty("restsOn")
                .EnumerateArray()
                .Select(s => s.GetString());
            Assert.Equal(["teardown.cooler"], rests);
        }
        var stale = await _server.PostAsync(
            $"/api/jobs/{job}/steps/teardown.F2/undo",
            """{"by":"ML","with":["teardown.cooler"],"withVersions":{"teardown.cooler":0}}""",
            "1"
        );
        Assert.Equal(HttpStatusCode.PreconditionFailed, stale.StatusCode);
        Assert.Equal(
            HttpStatusCode.OK,
            (await _server.UndoAsync(job, "teardown.F2", 1, ["teardown.cooler"])).StatusCode
        );
        var view = await _server.JobAsync(job);
        Assert.True(view.Step("kit.count").GetProperty("signed").GetBoolean());
        Assert.False(view.Step("teardown.cooler").GetProperty("signed").GetBoolean());
    }

    [Fact]
    public async Task Instants_are_read_in_the_workshops_zone()
    {
        using var server = new ServerProcess(zone: "Asia/Kolkata");
        Assert.Equal("Asia/Kolkata", (await server.GetAsync("/api/bench")).GetProperty("zone").GetString());
        var job = await server.OpenAsync();
        await server.SignAsync(job, "match.label");
        var at = (await server.JobAsync(job)).GetProperty("history")[0].GetProperty("at").GetDateTimeOffset();
        var record = await server.Http.GetStringAsync(
            $"/api/jobs/{job}/record.html",
            TestContext.Current.CancellationToken
        );
        Assert.Contains($"{at.ToOffset(new(5, 30, 0)):yyyy-MM-dd HH:mm} UTC+5:30", record, StringComparison.Ordinal);
        var twice = await server.SignAsync(job, "match.label", 0);
        Assert.Contains(
            $"{at.ToOffset(new(5, 30, 0)):HH:mm}",
            await twice.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)
        );
    }
}
