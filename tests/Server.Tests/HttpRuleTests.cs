using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>What HTTP itself says of methods, bodies and versions, and jobs in parts.</summary>
public class HttpRuleTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = demo.Server.Http;

    private Task<HttpResponseMessage> SendAsync(
        string method,
        string path,
        string? body = null,
        string type = "application/json"
    )
    {
        var request = new HttpRequestMessage(new(method), path);
        if (body is not null)
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body))
            {
                Headers = { ContentType = MediaTypeHeaderValue.Parse(type) },
            };
        return _http.SendAsync(
            request,
            HttpCompletionOption.ResponseHeadersRead,
            TestContext.Current.CancellationToken
        );
    }

    private static async Task<string> DetailAsync(HttpResponseMessage answer) =>
        (await ServerProcess.JsonAsync(answer)).GetProperty("detail").GetString()!;

    [Theory]
    [InlineData("DELETE", "/api/bench", "GET, HEAD, OPTIONS")]
    [InlineData("PATCH", "/api/jobs/1", "GET, HEAD, OPTIONS, PUT")]
    [InlineData("GET", "/api/compute/fit", "OPTIONS, POST")]
    public async Task A_method_that_a_path_does_not_take_is_told_with_those_it_does(
        string method,
        string path,
        string takes
    )
    {
        var refused = await SendAsync(method, path);
        Assert.Equal(HttpStatusCode.MethodNotAllowed, refused.StatusCode);
        Assert.Equal(takes, string.Join(", ", refused.Content.Headers.Allow));
        Assert.Contains(takes, await DetailAsync(refused), StringComparison.Ordinal);
        var asked = await SendAsync("OPTIONS", path);
        Assert.Equal(HttpStatusCode.NoContent, asked.StatusCode);
        Assert.Equal(takes, string.Join(", ", asked.Content.Headers.Allow));
    }

    [Theory]
    [InlineData("/api/jobs/1", "application/json")]
    [InlineData("/api/live", "text/event-stream")]
    [InlineData("/api/jobs/1/bench-run", "text/event-stream")]
    public async Task A_head_has_the_headers_of_its_get_and_ends(string path, string type)
    {
        var head = await SendAsync("HEAD", path);
        Assert.Equal(HttpStatusCode.OK, head.StatusCode);
        Assert.Equal(type, head.Content.Headers.ContentType?.MediaType);
        Assert.Empty(await head.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken));
        Assert.Equal(HttpStatusCode.NotFound, (await SendAsync("HEAD", "/api/jobs/99999")).StatusCode);
    }

    [Fact]
    public async Task A_body_in_another_form_and_a_call_that_is_not_there_are_told()
    {
        var form = await SendAsync("POST", "/api/compute/fit", "x", "image/png");
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, form.StatusCode);
        Assert.Contains("image/png", await DetailAsync(form), StringComparison.Ordinal);
        foreach (var path in (string[])["/api/nothing", "/api/jobs/abc", "/api"])
        {
            var gone = await SendAsync("GET", path);
            Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
            Assert.Contains(path, await DetailAsync(gone), StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("""{"title":""")]
    [InlineData("""{"title":"A ca""")]
    [InlineData("""{"title":"A card","x":[1,""")]
    [InlineData("")]
    public async Task Json_that_is_cut_off_is_told_as_such(string body)
    {
        foreach (var path in (string[])["/api/jobs", "/api/compute/fit"])
        {
            var cut = await SendAsync("POST", path, body);
            Assert.Equal(HttpStatusCode.BadRequest, cut.StatusCode);
            if (body.Length > 0)
                Assert.Contains("ends in the middle", await DetailAsync(cut), StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("GET", "/api/jobs/99999", null, "Not here")]
    [InlineData("DELETE", "/api/bench", null, "Not by this method")]
    [InlineData("POST", "/api/jobs", "{", "The input cannot be read")]
    [InlineData(
        "POST",
        "/api/jobs",
        """{"title":"","bench":"A","by":"QA","boardId":"none"}""",
        "The input breaks a rule"
    )]
    [InlineData(
        "PUT",
        "/api/jobs/1/ways",
        """{"school":"films","way":"both","by":"QA"}""",
        "The request cannot be read"
    )]
    public async Task Each_refusal_names_the_page_of_its_kind(string method, string path, string? body, string title)
    {
        var problem = await ServerProcess.JsonAsync(await SendAsync(method, path, body));
        Assert.Equal(title, problem.GetProperty("title").GetString());
        var page = await SendAsync("GET", problem.GetProperty("type").GetString()!);
        Assert.Equal(HttpStatusCode.OK, page.StatusCode);
        Assert.Contains(
            $"<h1>{title}</h1>",
            await page.Content.ReadAsStringAsync(TestContext.Current.CancellationToken),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task A_document_that_is_known_already_is_not_sent_again()
    {
        var first = await SendAsync("GET", "/api/boards/tern-460-r2");
        var tag = first.Headers.ETag!;
        async Task<HttpStatusCode> Again(string seen)
        {
            var request = new HttpRequestMessage(HttpMethod.Get, "/api/boards/tern-460-r2");
            request.Headers.TryAddWithoutValidation("If-None-Match", seen);
            return (await _http.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode;
        }
        Assert.Equal(HttpStatusCode.NotModified, await Again(tag.ToString()));
        Assert.Equal(HttpStatusCode.NotModified, await Again($"\"none\", W/{tag}"));
        Assert.Equal(HttpStatusCode.OK, await Again("\"none\""));
    }

    [Fact]
    public async Task Jobs_are_listed_in_parts_each_once_by_state_bench_and_text()
    {
        async Task<List<JsonElement>> All(string query, int limit)
        {
            List<JsonElement> jobs = [];
            for (string? next = ""; next is not null; )
            {
                var part = await demo.Server.GetAsync($"/api/jobs?limit={limit}&{query}{next}");
                jobs.AddRange(part.GetProperty("jobs").EnumerateArray());
                next = part.TryGetProperty("next", out var n) ? $"&cursor={n.GetString()}" : null;
            }
            return jobs;
        }
        static List<long> Ids(IEnumerable<JsonElement> jobs) => [.. jobs.Select(j => j.GetProperty("id").GetInt64())];
        var all = Ids(await All("state=all&order=opened", 200));
        Assert.Equal(all.Order(), all);
        Assert.Equal(all, Ids(await All("state=all&order=opened", 4)));
        Assert.Equal(all.AsEnumerable().Reverse(), Ids(await All("state=all", 7)));
        var finished = await All("state=finished", 50);
        Assert.All(finished, j => Assert.True(j.GetProperty("finished").GetBoolean()));
        var open = Ids(await All("order=opened", 50));
        Assert.Equal(all, open.Concat(Ids(finished)).Order());
        Assert.All(
            await All("bench=Bench%20A&text=TERN", 50),
            j => Assert.Equal("Bench A", j.GetProperty("bench").GetString())
        );
        var refused = await SendAsync("GET", "/api/jobs?limit=0&state=lost&order=name&cursor=x");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Equal(
            ["?cursor", "?limit", "?order", "?state"],
            (await ServerProcess.JsonAsync(refused))
                .GetProperty("errors")
                .EnumerateArray()
                .Select(e => e.GetProperty("pointer").GetString())
                .Order()
        );
    }
}
