using System.Net;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Streams: what changes is told, long work tells its progress and can be stopped.</summary>
public class LiveTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess server = demo.Server;

    private const string Squeeze =
        """{"surface":{"widthMm":30,"depthMm":30},"paste":{"yieldPa":110,"viscosityPaS":180},"clampN":300,"margin":0.3,"cells":160,"pattern":{"kind":"cross"}}""";

    [Fact]
    public async Task A_change_by_anybody_reaches_an_open_page()
    {
        using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        using var stream = await server.Http.GetStreamAsync("/api/live", stop.Token);
        using var lines = new StreamReader(stream);
        async Task<string> EventAsync()
        {
            while (await lines.ReadLineAsync(stop.Token) is { } line)
                if (line.StartsWith("event: ", StringComparison.Ordinal))
                    return line[7..];
            return "closed";
        }
        Assert.Equal("open", await EventAsync());
        var noted = await server.PostAsync("/api/jobs/1/notes", """{"text":"seen by everyone","by":"QA"}""");
        Assert.True(noted.IsSuccessStatusCode);
        Assert.Equal("changed", await EventAsync());
    }

    [Fact]
    public async Task A_squeeze_tells_its_progress_and_then_the_answer_of_the_plain_call()
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/paste/simulate")
        {
            Content = new StringContent(Squeeze, Encoding.UTF8, "application/json"),
        };
        using var response = await server.Http.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
        Assert.Equal("application/x-ndjson", response.Content.Headers.ContentType!.MediaType);
        var said = (await response.Content.ReadAsStringAsync())
            .Split('\n', StringSplitOptions.RemoveEmptyEntries)
            .Select(l => JsonDocument.Parse(l).RootElement)
            .ToList();
        var progress = said.SkipLast(1).Select(s => s.GetProperty("progress").GetDouble()).ToList();
        Assert.All(progress, p => Assert.InRange(p, 0, 1));
        Assert.Equal(progress.Order(), progress);
        var plain = await ServerProcess.JsonAsync(await server.PostAsync("/api/compute/paste", Squeeze));
        Assert.Equal(plain.GetProperty("coverage").GetDouble(), said[^1].GetProperty("coverage").GetDouble(), 9);
    }

    [Fact]
    public async Task Hanging_up_stops_the_work_and_harms_nobody()
    {
        for (var k = 0; k < 3; k++)
        {
            using var stop = new CancellationTokenSource();
            using var request = new HttpRequestMessage(HttpMethod.Post, "/api/paste/simulate")
            {
                Content = new StringContent(Squeeze, Encoding.UTF8, "application/json"),
            };
            using var response = await server.Http.SendAsync(
                request,
                HttpCompletionOption.ResponseHeadersRead,
                stop.Token
            );
            await stop.CancelAsync();
        }
        Assert.Equal(HttpStatusCode.OK, (await server.Http.GetAsync("/api/bench")).StatusCode);
    }

    [Fact]
    public async Task Faulty_squeezes_are_refused_with_their_place()
    {
        var refused = await server.PostAsync(
            "/api/paste/simulate",
            """{"surface":{"widthMm":30,"depthMm":30},"paste":{"yieldPa":110},"clampN":-1,"pattern":{"kind":"star"}}"""
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        var pointers = (await ServerProcess.JsonAsync(refused))
            .GetProperty("errors")
            .EnumerateArray()
            .Select(e => e.GetProperty("pointer").GetString())
            .ToList();
        Assert.Contains("/clampN", pointers);
        Assert.Contains("/pattern/kind", pointers);
    }

    [Fact]
    public async Task Questions_about_a_job_are_answered_and_change_nothing()
    {
        var before = (await server.GetAsync("/api/jobs/1")).GetProperty("version").GetInt64();
        var other = await server.GetAsync("/api/jobs/1/alternatives?part=M1");
        Assert.True(other.GetArrayLength() >= 3);
        var bow = await server.GetAsync("/api/jobs/1/bow");
        Assert.NotEqual("", bow.GetProperty("text").GetString());
        var practice = await ServerProcess.JsonAsync(
            await server.PostAsync("/api/jobs/1/practice", """{"moves":[{"hole":"S1","turns":100}]}""")
        );
        Assert.Equal(
            0,
            practice
                .GetProperty("left")
                .EnumerateArray()
                .Single(l => l.GetProperty("hole").GetString() == "S1")
                .GetProperty("turns")
                .GetDouble(),
            6
        );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.PostAsync("/api/jobs/1/practice", """{"moves":[{"hole":"S99","turns":1}]}""")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.Http.GetAsync("/api/jobs/1/alternatives?part=nobody")).StatusCode
        );
        Assert.Equal(before, (await server.GetAsync("/api/jobs/1")).GetProperty("version").GetInt64());
    }
}
