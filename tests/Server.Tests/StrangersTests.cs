using System.Net;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Other sites, other names, text that is none.</summary>
public class StrangersTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<HttpResponseMessage> SendAsync(
        string path,
        string body,
        string type = "application/json",
        params (string Name, string Value)[] headers
    )
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, path)
        {
            Content = new ByteArrayContent(Encoding.Latin1.GetBytes(body)),
        };
        request.Content.Headers.TryAddWithoutValidation("Content-Type", type);
        foreach (var (name, value) in headers)
            request.Headers.TryAddWithoutValidation(name, value);
        return await _server.Http.SendAsync(request);
    }

    [Theory]
    [InlineData("/api/boards/batch?replace=true")]
    [InlineData("/api/blocks/batch?replace=true")]
    [InlineData("/api/instruments/camera")]
    [InlineData("/api/jobs")]
    public async Task A_page_of_another_site_writes_nothing(string path)
    {
        var own = _server.Http.BaseAddress!.GetLeftPart(UriPartial.Authority);
        foreach (
            var (type, headers) in new (string, (string, string)[])[]
            {
                ("application/json", [("Origin", "http://elsewhere.example")]),
                ("application/json", [("Origin", "null")]),
                ("application/json", [("Sec-Fetch-Site", "cross-site")]),
                ("application/json", [("Origin", own), ("Sec-Fetch-Site", "same-site")]),
            }
        )
            Assert.Equal(HttpStatusCode.Forbidden, (await SendAsync(path, "{}", type, headers)).StatusCode);
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, (await SendAsync(path, "{}", "text/plain")).StatusCode);
    }

    [Theory]
    [InlineData("/api/jobs/1/driver?stepId=mount.turn-1&hole=S1&by=QA", HttpStatusCode.Forbidden)]
    [InlineData("/api/jobs/1", HttpStatusCode.OK)]
    public async Task A_page_of_another_site_opens_no_stream_that_keeps_what_it_hears(
        string path,
        HttpStatusCode status
    )
    {
        var request = new HttpRequestMessage(HttpMethod.Get, path) { Headers = { { "Sec-Fetch-Site", "cross-site" } } };
        var answer = await _server.Http.SendAsync(
            request,
            HttpCompletionOption.ResponseHeadersRead,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(status, answer.StatusCode);
    }

    [Fact]
    public async Task Its_own_page_writes_and_a_program_without_an_origin_does()
    {
        var own = _server.Http.BaseAddress!.GetLeftPart(UriPartial.Authority);
        const string job = """{"title":"A card","bench":"Bench A","boardId":"tern-460-r2","by":"QA"}""";
        Assert.Equal(HttpStatusCode.Created, (await SendAsync("/api/jobs", job)).StatusCode);
        Assert.Equal(
            HttpStatusCode.Created,
            (
                await SendAsync("/api/jobs", job, headers: [("Origin", own), ("Sec-Fetch-Site", "same-origin")])
            ).StatusCode
        );
    }

    [Fact]
    public async Task A_parameter_that_is_missing_is_named()
    {
        var answer = await _server.Http.DeleteAsync("/api/settings/shop/mark");
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        using var problem = JsonDocument.Parse(await answer.Content.ReadAsStringAsync());
        var fault = problem.RootElement.GetProperty("errors")[0];
        Assert.Equal("?by", fault.GetProperty("pointer").GetString());
        Assert.StartsWith("The call needs ?by=", fault.GetProperty("message").GetString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("evil.example", HttpStatusCode.MisdirectedRequest)]
    [InlineData("127.0.0.1.evil.example", HttpStatusCode.MisdirectedRequest)]
    [InlineData("0.0.0.0", HttpStatusCode.MisdirectedRequest)]
    [InlineData("localhost", HttpStatusCode.OK)]
    [InlineData("127.0.0.2", HttpStatusCode.OK)]
    [InlineData("[::1]", HttpStatusCode.OK)]
    public async Task It_answers_to_its_own_names_only(string host, HttpStatusCode status)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/boards");
        request.Headers.Host = host;
        var answer = await _server.Http.SendAsync(request);
        Assert.Equal(status, answer.StatusCode);
        Assert.Equal("nosniff", answer.Headers.GetValues("X-Content-Type-Options").Single());
    }

    [Theory]
    [InlineData("/api/boards", "{\"format\":")]
    [InlineData("/api/compute/fit", "{}")]
    [InlineData("/api/nothing-here", "{}")]
    public async Task A_refusal_carries_the_same_headers_as_a_page(string path, string body)
    {
        var answer = await SendAsync(path, body);
        Assert.False(answer.IsSuccessStatusCode);
        Assert.Equal("nosniff", answer.Headers.GetValues("X-Content-Type-Options").Single());
        Assert.Contains(
            "default-src",
            answer.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("{\"format\":\"faithful-bracket/board\",\"maker\":\"\\ud800\"}")]
    [InlineData("{\"format\":\"faithful-bracket/board\",\"\\udc00\":1}")]
    [InlineData("{\"format\":\"faithful-bracket/board\",\"x-a\":{\"b\":\"\\udfff\"}}")]
    [InlineData("{\"format\":\"faithful-bracket/board\",\"maker\":\"\u00ff\u00fe\"}")]
    [InlineData("{\"format\":\"faithful-bracket/board\",\"x-a\":1e999}")]
    [InlineData("{\"format\":\"faithful-bracket/board\",\"notes\":[-1e400]}")]
    public async Task Text_that_is_none_and_numbers_without_end_are_refused_in_words(string body)
    {
        foreach (var path in (string[])["/api/boards", "/api/blocks", "/api/cards", "/api/compute/fit"])
        {
            var answer = await SendAsync(path, body);
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
            Assert.Contains(
                "Line 1",
                (await ServerProcess.JsonAsync(answer)).GetProperty("detail").GetString(),
                StringComparison.Ordinal
            );
        }
    }

    [Fact]
    public async Task The_three_hundred_and_first_stream_is_asked_to_come_again()
    {
        using var server = new ServerProcess(demo: false);
        Task<HttpResponseMessage> Open() => server.Http.GetAsync("/api/live", HttpCompletionOption.ResponseHeadersRead);
        var open = await Task.WhenAll(Enumerable.Range(0, 300).Select(_ => Open()));
        Assert.All(open, o => Assert.Equal(HttpStatusCode.OK, o.StatusCode));
        var refused = await Open();
        Assert.Equal(HttpStatusCode.ServiceUnavailable, refused.StatusCode);
        Assert.NotNull(refused.Headers.RetryAfter);
        Assert.Equal("well", (await server.GetAsync("/health")).GetProperty("status").GetString());
    }

    [Fact]
    public async Task Control_characters_find_nothing_and_break_nothing()
    {
        foreach (var path in (string[])["/api/boards?text=%00%01", "/api/blocks?text=%00", "/api/search?text=%00a"])
            Assert.Equal(HttpStatusCode.OK, (await _server.Http.GetAsync(path)).StatusCode);
    }
}
