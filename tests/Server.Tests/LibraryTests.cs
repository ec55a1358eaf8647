using System.Net;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

public class LibraryTests : IDisposable
{
    private readonly ServerProcess _server = new(demo: false);

    private static JsonNode Skua(string id, string model = "Skua")
    {
        var doc = JsonNode.Parse(ServerProcess.DemoFile("boards/skua-380-r1.board.json"))!;
        doc["id"] = id;
        doc["model"] = model;
        return doc;
    }

    private async Task<int> CountAsync() => (await _server.GetAsync("/api/boards")).GetArrayLength();

    [Fact]
    public async Task A_board_is_kept_once_and_other_content_under_its_id_is_refused()
    {
        var first = await _server.PostAsync("/api/boards", Skua("a").ToJsonString());
        Assert.Equal(HttpStatusCode.Created, first.StatusCode);
        Assert.Equal("/api/boards/a", first.Headers.Location?.ToString());
        Assert.Equal("Skua", (await _server.GetAsync("/api/boards/a")).GetProperty("model").GetString());
        Assert.True((await _server.PostAsync("/api/boards", Skua("a").ToJsonString())).IsSuccessStatusCode);
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await _server.PostAsync("/api/boards", Skua("a", "Other").ToJsonString())).StatusCode
        );
        Assert.Equal("Skua", (await _server.GetAsync("/api/boards/a")).GetProperty("model").GetString());
    }

    [Fact]
    public async Task A_batch_is_all_or_nothing_and_names_the_line()
    {
        var bad = Skua("c");
        bad["holes"]![0]!["diameterMm"] = 0;
        var refused = await _server.PostAsync(
            "/api/boards/batch",
            string.Join('\n', Line(Skua("a")), Line(Skua("b")), Line(bad))
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        var error = (await ServerProcess.JsonAsync(refused)).GetProperty("errors")[0];
        Assert.Equal("/2/holes/0/diameterMm", error.GetProperty("pointer").GetString());
        Assert.StartsWith("Line 3:", error.GetProperty("message").GetString(), StringComparison.Ordinal);
        Assert.Equal(0, await CountAsync());

        var kept = await ServerProcess.JsonAsync(
            await _server.PostAsync("/api/boards/batch", string.Join('\n', Line(Skua("a")), Line(Skua("b"))))
        );
        Assert.Equal((2, 0, 0), Counts(kept));
        Assert.Equal(
            HttpStatusCode.Conflict,
            (
                await _server.PostAsync(
                    "/api/boards/batch",
                    string.Join('\n', Line(Skua("new")), Line(Skua("b", "Changed")))
                )
            ).StatusCode
        );
        Assert.Equal(2, await CountAsync());
        var replaced = await ServerProcess.JsonAsync(
            await _server.PostAsync(
                "/api/boards/batch?replace=true",
                string.Join('\n', Line(Skua("a")), Line(Skua("b", "Changed")), Line(Skua("c")))
            )
        );
        Assert.Equal((1, 1, 1), Counts(replaced));
    }

    [Theory]
    [InlineData("{\"format\":\"faithful-bracket/board\"")]
    [InlineData("\"just text\"")]
    [InlineData("null")]
    [InlineData("{\"format\":\"faithful-bracket/block\",\"version\":1}")]
    public async Task Wrong_documents_are_refused_and_nothing_is_stored(string text)
    {
        var response = await _server.PostAsync("/api/boards", text);
        Assert.InRange((int)response.StatusCode, 400, 499);
        Assert.True((await ServerProcess.JsonAsync(response)).GetProperty("errors").GetArrayLength() > 0);
        Assert.Equal(0, await CountAsync());
    }

    [Fact]
    public async Task Huge_and_deeply_nested_bodies_are_refused()
    {
        Assert.Equal(
            HttpStatusCode.RequestEntityTooLarge,
            (
                await _server.PostAsync("/api/boards", "{\"notes\":\"" + new string('x', 5 * 1024 * 1024) + "\"}")
            ).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await _server.PostAsync(
                    "/api/boards",
                    string.Concat(Enumerable.Repeat("{\"a\":", 9000)) + "1" + new string('}', 9000)
                )
            ).StatusCode
        );
        Assert.Equal(0, await CountAsync());
    }

    [Fact]
    public async Task Checking_a_file_says_what_it_is_and_keeps_nothing()
    {
        var good = await ServerProcess.JsonAsync(
            await _server.PostAsync("/api/library/check", Skua("a").ToJsonString())
        );
        Assert.Equal("board", good.GetProperty("kind").GetString());
        Assert.Equal(0, good.GetProperty("faults").GetArrayLength());
        var bad = Skua("a");
        bad["parts"]![0]!["heightMm"] = "high";
        var faulty = await ServerProcess.JsonAsync(await _server.PostAsync("/api/library/check", bad.ToJsonString()));
        Assert.Equal("/parts/0/heightMm", faulty.GetProperty("faults")[0].GetProperty("pointer").GetString());
        Assert.Equal(0, await CountAsync());
    }

    private static string Line(JsonNode n) => n.ToJsonString();

    private static (int, int, int) Counts(System.Text.Json.JsonElement e) =>
        (
            e.GetProperty("added").GetInt32(),
            e.GetProperty("unchanged").GetInt32(),
            e.GetProperty("replaced").GetInt32()
        );

    public void Dispose()
    {
        _server.Dispose();
        GC.SuppressFinalize(this);
    }
}
