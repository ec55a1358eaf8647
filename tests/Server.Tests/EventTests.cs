using System.Collections.Concurrent;
using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>What the shop's other tools are told, checked as such a tool would: by the two standards of the signature.</summary>
public sealed partial class EventTests : IDisposable
{
    private const string Address = "/api/settings/events";
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(60);

    private sealed record Told(string Body, Dictionary<string, string> Headers);

    /// <summary>A tool of the shop's that refuses the first event it gets and takes every other.</summary>
    private readonly HttpListener _tool = new();
    private readonly BlockingCollection<Told> _told = [];
    private readonly string _at;

    public EventTests()
    {
        using var free = new TcpListener(IPAddress.Loopback, 0);
        free.Start();
        _at = $"http://127.0.0.1:{((IPEndPoint)free.LocalEndpoint).Port}/told/";
        free.Stop();
        _tool.Prefixes.Add(_at);
        _tool.Start();
        _ = HearAsync();
    }

    private async Task HearAsync()
    {
        for (var n = 0; _tool.IsListening; n++)
        {
            var asked = await _tool.GetContextAsync();
            using var reader = new StreamReader(asked.Request.InputStream, Encoding.UTF8);
            var body = await reader.ReadToEndAsync();
            var headers = asked.Request.Headers.AllKeys.ToDictionary(
                k => k!,
                k => asked.Request.Headers[k]!,
                StringComparer.OrdinalIgnoreCase
            );
            asked.Response.StatusCode = n == 0 ? 503 : 204;
            asked.Response.Close();
            _told.Add(new(body, headers));
        }
    }

    private JsonElement Next(byte[] key, out string type)
    {
        Assert.True(_told.TryTake(out var told, Patience));
        Check(told!, key);
        var e = JsonDocument.Parse(told!.Body).RootElement;
        Assert.Equal("1.0", e.GetProperty("specversion").GetString());
        type = e.GetProperty("type").GetString()!;
        return e;
    }

    [GeneratedRegex("^shop=:(.+):$")]
    private static partial Regex Signature();

    /// <summary>The signature over method, address, digest and type, put together from what came.</summary>
    private void Check(Told told, byte[] key)
    {
        var digest = $"sha-256=:{Convert.ToBase64String(SHA256.HashData(Encoding.UTF8.GetBytes(told.Body)))}:";
        Assert.Equal(digest, told.Headers["Content-Digest"]);
        var parameters = told.Headers["Signature-Input"]["shop=".Length..];
        var created = long.Parse(
            Regex.Match(parameters, @"created=(\d+)").Groups[1].Value,
            CultureInfo.InvariantCulture
        );
        Assert.InRange(DateTimeOffset.UtcNow.ToUnixTimeSeconds() - created, -5, 120);
        var signed = $"""
            "@method": POST
            "@target-uri": {_at}
            "content-digest": {digest}
            "content-type": {told.Headers["Content-Type"]}
            "@signature-params": {parameters}
            """;
        Assert.Equal(
            Convert.ToBase64String(HMACSHA256.HashData(key, Encoding.ASCII.GetBytes(signed.ReplaceLineEndings("\n")))),
            Signature().Match(told.Headers["Signature"]).Groups[1].Value
        );
    }

    private static async Task<JsonElement> PutAsync(ServerProcess server, object body, HttpStatusCode expected)
    {
        var answer = await server.Http.PutAsJsonAsync(Address, body, TestContext.Current.CancellationToken);
        Assert.Equal(expected, answer.StatusCode);
        return await answer.Content.ReadFromJsonAsync<JsonElement>(TestContext.Current.CancellationToken);
    }

    [Fact]
    public async Task What_happens_is_told_once_signed_and_again_until_it_arrives()
    {
        using var server = new ServerProcess(more: ["--event-retry-s", "0.05"]);
        var off = await server.GetAsync(Address);
        Assert.False(off.GetProperty("open").GetBoolean());
        var key = Convert.FromBase64String(off.GetProperty("secret").GetString()!);
        // nothing is tried before an address is named and opened
        var test = await server.Http.PostAsync($"{Address}/test", null, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.Conflict, test.StatusCode);

        await PutAsync(
            server,
            new
            {
                address = _at,
                open = true,
                kinds = new[] { "job.opened", "inventory.low" },
                by = "QA",
            },
            HttpStatusCode.OK
        );
        var opened = await server.Http.PostAsJsonAsync(
            "/api/jobs",
            new
            {
                title = "Told about",
                bench = "Bench A",
                boardId = "tern-460-r2",
                by = "QA",
            },
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.Created, opened.StatusCode);
        // the demo shop's jobs were opened before, what runs short is told with the first look
        var seen = new List<(string Type, string Id, JsonElement Data)>();
        while (!seen.Exists(s => s.Type == "job.opened") || seen.GroupBy(s => s.Id).All(g => g.Count() < 2))
        {
            var e = Next(key, out var type);
            seen.Add((type, e.GetProperty("id").GetString()!, e.GetProperty("data")));
        }
        Assert.All(seen, s => Assert.Contains(s.Type, (string[])["job.opened", "inventory.low"]));
        var job = Assert.Single(seen.Where(s => s.Type == "job.opened").DistinctBy(s => s.Id)).Data;
        Assert.Equal("Told about", job.GetProperty("title").GetString());
        Assert.False(job.TryGetProperty("client", out _));

        // a kill loses nothing that waits, and tells nothing twice
        server.KillAndRestart();
        await server.Http.PostAsync($"{Address}/test", null, TestContext.Current.CancellationToken);
        Next(key, out var last);
        Assert.Equal("test", last);

        // another key: what was signed with the old one is not from here
        await server.Http.PostAsync($"{Address}/secret", null, TestContext.Current.CancellationToken);
        var other = Convert.FromBase64String((await server.GetAsync(Address)).GetProperty("secret").GetString()!);
        Assert.NotEqual(key, other);
        await server.Http.PostAsync($"{Address}/test", null, TestContext.Current.CancellationToken);
        Next(other, out _);
    }

    [Fact]
    public async Task An_address_that_is_none_and_a_kind_that_is_none_are_named()
    {
        using var server = new ServerProcess(demo: false);
        var refused = await PutAsync(
            server,
            new
            {
                address = "ftp://127.0.0.1/",
                open = true,
                kinds = new[] { "job.eaten" },
                by = "QA",
            },
            HttpStatusCode.UnprocessableEntity
        );
        var pointers = refused.GetProperty("errors").EnumerateArray().Select(e => e.GetProperty("pointer").GetString());
        Assert.Equal(["/address", "/kinds"], pointers.Order(StringComparer.Ordinal));
        Assert.Equal(
            JsonValueKind.Null,
            (await server.GetAsync(Address)).TryGetProperty("address", out var a) ? a.ValueKind : JsonValueKind.Null
        );
    }

    public void Dispose()
    {
        _tool.Close();
        _told.Dispose();
    }
}
