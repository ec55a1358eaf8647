using System.Net;
using System.Net.Http.Headers;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

public class JobTests : IDisposable
{
    private readonly ServerProcess _server = new();

    private async Task<long> OpenAsync(string board = "tern-460-r2", string? block = "brineworks-full-460")
    {
        var response = await _server.PostAsync(
            "/api/jobs",
            JsonSerializer.Serialize(
                new
                {
                    title = "A card",
                    bench = "Bench A",
                    boardId = board,
                    blockId = block,
                    by = "QA",
                }
            )
        );
        Assert.Equal(HttpStatusCode.Created, response.StatusCode);
        return (await ServerProcess.JsonAsync(response)).GetProperty("id").GetInt64();
    }

    private Task<HttpResponseMessage> SignAsync(
        long job,
        string step,
        int version = 0,
        int? count = null,
        string by = "QA",
        string? reason = null
    ) =>
        _server.PostAsync(
            $"/api/jobs/{job}/steps/{step}/sign",
            JsonSerializer.Serialize(
                new
                {
                    by,
                    count,
                    overrideReason = reason,
                }
            ),
            version.ToString()
        );

    [Fact]
    public async Task The_lift_is_refused_until_the_count_is_right()
    {
        var job = await OpenAsync();
        var locked = await SignAsync(job, "teardown.cooler");
        Assert.Equal(HttpStatusCode.Conflict, locked.StatusCode);
        Assert.Contains(
            "teardown.F2",
            (await ServerProcess.JsonAsync(locked)).GetProperty("waitsFor").EnumerateArray().Select(e => e.GetString())
        );
        Assert.Equal(HttpStatusCode.Conflict, (await SignAsync(job, "teardown.F2", count: 5)).StatusCode);
        foreach (var (step, count) in ((string, int?)[])[("teardown.F1", 6), ("teardown.F2", 6), ("teardown.F3", 4)])
            Assert.Equal(HttpStatusCode.OK, (await SignAsync(job, step, count: count)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await SignAsync(job, "teardown.cooler")).StatusCode);
    }

    [Fact]
    public async Task An_override_needs_a_reason_and_keeps_it()
    {
        var job = await OpenAsync();
        Assert.Equal(HttpStatusCode.OK, (await SignAsync(job, "teardown.cooler", reason: "came in pieces")).StatusCode);
        var history = (await _server.GetAsync($"/api/jobs/{job}")).GetProperty("history");
        Assert.Equal("came in pieces", history[0].GetProperty("overrideReason").GetString());
    }

    [Fact]
    public async Task Two_that_sign_one_step_at_once_leave_one_signature_and_a_polite_refusal()
    {
        var job = await OpenAsync();
        var both = await Task.WhenAll(SignAsync(job, "kit.count", by: "QA"), SignAsync(job, "kit.count", by: "ML"));
        Assert.Single(both, r => r.StatusCode == HttpStatusCode.OK);
        var lost = both.Single(r => r.StatusCode != HttpStatusCode.OK);
        Assert.Equal(HttpStatusCode.PreconditionFailed, lost.StatusCode);
        Assert.Contains(
            "signed",
            (await ServerProcess.JsonAsync(lost)).GetProperty("detail").GetString(),
            StringComparison.Ordinal
        );
        Assert.Single((await _server.GetAsync($"/api/jobs/{job}")).GetProperty("history").EnumerateArray());
    }

    [Fact]
    public async Task An_undo_is_kept_as_history()
    {
        var job = await OpenAsync();
        await SignAsync(job, "kit.count");
        Assert.Equal(
            HttpStatusCode.OK,
            (await _server.PostAsync($"/api/jobs/{job}/steps/kit.count/undo", """{"by":"ML"}""", "1")).StatusCode
        );
        var view = await _server.GetAsync($"/api/jobs/{job}");
        Assert.False(view.GetProperty("steps")[0].GetProperty("signed").GetBoolean());
        Assert.Equal(
            ["done", "undone"],
            view.GetProperty("history").EnumerateArray().Select(e => e.GetProperty("kind").GetString())
        );
    }

    [Fact]
    public async Task A_change_without_its_version_is_refused_and_a_stale_one_loses()
    {
        var job = await OpenAsync(block: null);
        var body = JsonSerializer.Serialize(
            new
            {
                title = "A card",
                bench = "Bench B",
                blockId = "brineworks-full-460",
                padChoices = Array.Empty<object>(),
            }
        );
        Assert.Equal(
            (HttpStatusCode)428,
            (await _server.SendAsync(HttpMethod.Put, $"/api/jobs/{job}", body)).StatusCode
        );
        var first = await _server.SendAsync(HttpMethod.Put, $"/api/jobs/{job}", body, "1");
        Assert.Equal(HttpStatusCode.OK, first.StatusCode);
        Assert.Equal("\"2\"", first.Headers.ETag?.Tag);
        Assert.Equal(
            HttpStatusCode.PreconditionFailed,
            (await _server.SendAsync(HttpMethod.Put, $"/api/jobs/{job}", body, "1")).StatusCode
        );
    }

    [Fact]
    public async Task Readings_become_a_verdict_and_struck_ones_count_no_more()
    {
        var job = await OpenAsync();
        await _server.PostAsync(
            $"/api/jobs/{job}/readings",
            """{"by":"QA","phase":"before","roomC":21,"dieC":92,"powerW":240}"""
        );
        var after = await ServerProcess.JsonAsync(
            await _server.PostAsync(
                $"/api/jobs/{job}/readings",
                """{"by":"QA","phase":"after","roomC":21,"coolantC":27,"dieC":45,"powerW":240,"flowLMin":3}"""
            )
        );
        Assert.Contains(
            "cooler, good",
            (await _server.GetAsync($"/api/jobs/{job}"))
                .GetProperty("plan")
                .GetProperty("prove")
                .GetProperty("pairs")[0]
                .GetProperty("comparison")
                .GetProperty("verdict")
                .GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await _server.SendAsync(
                    HttpMethod.Delete,
                    $"/api/jobs/{job}/readings/{after.GetProperty("id").GetInt64()}",
                    null
                )
            ).StatusCode
        );
        Assert.StartsWith(
            "before",
            (await _server.GetAsync($"/api/jobs/{job}"))
                .GetProperty("plan")
                .GetProperty("prove")
                .GetProperty("pairs")[0]
                .GetProperty("comparison")
                .GetProperty("verdict")
                .GetString(),
            StringComparison.Ordinal
        );
        var wrong = await _server.PostAsync(
            $"/api/jobs/{job}/readings",
            """{"by":"QA","phase":"after","roomC":21,"dieC":950,"powerW":240}"""
        );
        Assert.Equal(
            "/dieC",
            (await ServerProcess.JsonAsync(wrong)).GetProperty("errors")[0].GetProperty("pointer").GetString()
        );
    }

    [Fact]
    public async Task Everything_acknowledged_survives_twenty_kills_in_a_stream_of_sign_offs()
    {
        var job = await OpenAsync();
        var acknowledged = 0;
        string[] steps = ["kit.count", "kit.manual", "kit.stock-run", "match.label"];
        var versions = steps.ToDictionary(s => s, _ => 0);
        for (var round = 0; round < 20; round++)
        {
            using var stop = new CancellationTokenSource();
            var killAfter = acknowledged + 2 + round % 5;
            var reached = new TaskCompletionSource();
            var stream = Task.Run(async () =>
            {
                for (var i = 0; !stop.IsCancellationRequested; i++)
                {
                    var step = steps[i % steps.Length];
                    try
                    {
                        var signed = versions[step] % 2 == 0;
                        var r = signed
                            ? await SignAsync(job, step, versions[step])
                            : await _server.PostAsync(
                                $"/api/jobs/{job}/steps/{step}/undo",
                                """{"by":"QA"}""",
                                versions[step].ToString()
                            );
                        if (r.StatusCode != HttpStatusCode.OK)
                            continue;
                        versions[step]++;
                        if (++acknowledged >= killAfter)
                            reached.TrySetResult();
                    }
                    catch (HttpRequestException)
                    {
                        return;
                    }
                }
            });
            await reached.Task.WaitAsync(TimeSpan.FromSeconds(60));
            _server.Kill();
            await stop.CancelAsync();
            await stream;
            _server.KillAndRestart();
            var history = (await _server.GetAsync($"/api/jobs/{job}")).GetProperty("history");
            // one sign-off may be on disk whose answer was cut off; none that was answered may be missing
            Assert.True(
                history.GetArrayLength() >= acknowledged,
                $"round {round}: {history.GetArrayLength()} kept of {acknowledged}"
            );
            foreach (var step in steps)
            {
                var kept = history.EnumerateArray().Count(e => e.GetProperty("stepId").GetString() == step);
                Assert.InRange(kept, versions[step], versions[step] + 1);
                versions[step] = kept;
            }
            acknowledged = versions.Values.Sum();
        }
    }

    [Fact]
    public async Task Photos_are_told_by_content_and_lose_what_describes_them()
    {
        var job = await OpenAsync();
        byte[] png = Convert.FromBase64String(
            "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=="
        );
        var withPlace = Insert(png, "eXIf", "here it was taken"u8.ToArray());
        async Task<HttpResponseMessage> Send(byte[] bytes)
        {
            var content = new ByteArrayContent(bytes);
            content.Headers.ContentType = new MediaTypeHeaderValue("image/png");
            return await _server.Http.PostAsync($"/api/jobs/{job}/photos?by=QA&stepId=kit.count", content);
        }
        var made = await Send(withPlace);
        Assert.Equal(HttpStatusCode.Created, made.StatusCode);
        var served = await _server.Http.GetAsync(made.Headers.Location);
        Assert.Equal("image/png", served.Content.Headers.ContentType?.MediaType);
        Assert.Equal(png, await served.Content.ReadAsByteArrayAsync());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Send("<svg onload=alert(1)>"u8.ToArray())).StatusCode);
    }

    [Fact]
    public async Task The_build_record_needs_nothing_else()
    {
        var html = await _server.Http.GetStringAsync("/api/jobs/5/record.html");
        Assert.Contains("Skua 380", html, StringComparison.Ordinal);
        Assert.Contains("Back to stock", html, StringComparison.Ordinal);
        Assert.DoesNotContain("src=\"/", html, StringComparison.Ordinal);
        Assert.DoesNotContain("http", html, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Jobs_drawer_and_library_survive_a_restart()
    {
        var job = await OpenAsync();
        await SignAsync(job, "kit.count");
        var drawer = await _server.GetAsync("/api/drawer");
        _server.KillAndRestart();
        Assert.Equal(drawer.GetRawText(), (await _server.GetAsync("/api/drawer")).GetRawText());
        Assert.True(
            (await _server.GetAsync($"/api/jobs/{job}"))
                .GetProperty("steps")
                .EnumerateArray()
                .Single(s => s.GetProperty("stepId").GetString() == "kit.count")
                .GetProperty("signed")
                .GetBoolean()
        );
    }

    /// <summary>Puts a chunk behind the head of a PNG; the reader does not look at check sums of what it drops.</summary>
    private static byte[] Insert(byte[] png, string name, byte[] data)
    {
        byte[] length = [0, 0, 0, (byte)data.Length];
        return
        [
            .. png[..33],
            .. length,
            .. System.Text.Encoding.ASCII.GetBytes(name),
            .. data,
            0,
            0,
            0,
            0,
            .. png[33..],
        ];
    }

    public void Dispose()
    {
        _server.Dispose();
        GC.SuppressFinalize(this);
    }
}
