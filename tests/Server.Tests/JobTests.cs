using System.Net;
using System.Net.Http.Headers;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

public class JobTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    [Fact]
    public async Task The_lift_is_refused_until_the_count_is_right()
    {
        var job = await _server.OpenAsync();
        var locked = await _server.SignAsync(job, "teardown.cooler");
        Assert.Equal(HttpStatusCode.Conflict, locked.StatusCode);
        Assert.Contains(
            "teardown.F2",
            (await ServerProcess.JsonAsync(locked)).GetProperty("waitsFor").EnumerateArray().Select(e => e.GetString())
        );
        Assert.Equal(HttpStatusCode.Conflict, (await _server.SignAsync(job, "teardown.F2", count: 5)).StatusCode);
        foreach (var (step, count) in ((string, int?)[])[("teardown.F1", 6), ("teardown.F2", 6), ("teardown.F3", 4)])
            Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, step, count: count)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, "teardown.cooler")).StatusCode);
    }

    [Fact]
    public async Task An_override_needs_a_reason_and_keeps_it()
    {
        var job = await _server.OpenAsync();
        Assert.Equal(
            HttpStatusCode.OK,
            (await _server.SignAsync(job, "teardown.cooler", reason: "came in pieces")).StatusCode
        );
        var history = (await _server.GetAsync($"/api/jobs/{job}")).GetProperty("history");
        Assert.Equal("came in pieces", history[0].GetProperty("overrideReason").GetString());
    }

    [Fact]
    public async Task Two_that_sign_one_step_at_once_leave_one_signature_and_a_polite_refusal()
    {
        var job = await _server.OpenAsync();
        var both = await Task.WhenAll(
            _server.SignAsync(job, "kit.count", by: "QA"),
            _server.SignAsync(job, "kit.count", by: "ML")
        );
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
        var job = await _server.OpenAsync();
        await _server.SignAsync(job, "kit.count");
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
        var job = await _server.OpenAsync(block: null);
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
        var job = await _server.OpenAsync();
        await _server.PostAsync(
            $"/api/jobs/{job}/readings",
            """{"by":"QA","phase":"before","roomC":21,"dieC":92,"powerW":240}"""
        );
        var after = await ServerProcess.JsonAsync(
            await _server.PostAsync(
                $"/api/jobs/{job}/readings",
                """{"by":"QA","phase":"after","roomC":21,"coolantC":27,"dieC":42,"powerW":240,"flowLMin":3}"""
            )
        );
        Assert.Contains(
            "K cooler",
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
    public async Task Photos_are_told_by_content_and_lose_what_describes_them()
    {
        var job = await _server.OpenAsync();
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
}
