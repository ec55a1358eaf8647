using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Documents have versions; what is archived is shown no more and still there; consequences come first.</summary>
public sealed class VersionTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<JsonObject> DocumentAsync(string address) =>
        JsonNode.Parse(await _server.Http.GetStringAsync(address))!.AsObject();

    private async Task<string> FirstIdAsync(string path) =>
        (await _server.GetAsync($"/api/{path}")).EnumerateArray().First().GetProperty("id").GetString()!;

    [Theory]
    [InlineData("boards")]
    [InlineData("blocks")]
    [InlineData("cards")]
    [InlineData("sockets")]
    [InlineData("machines")]
    public async Task A_document_is_kept_as_its_next_version_and_every_one_before_is_there(string path)
    {
        var id = await FirstIdAsync(path);
        var address = $"/api/{path}/{id}";
        var shown = await _server.Http.GetAsync(address);
        Assert.Equal("\"1\"", shown.Headers.ETag!.Tag);
        var first = await shown.Content.ReadAsStringAsync();
        var changed = await DocumentAsync(address);
        changed["x-note"] = "measured again";

        async Task<HttpResponseMessage> PutAsync(JsonObject d, string? version, string at = "") =>
            await _server.SendAsync(HttpMethod.Put, $"{address}{at}", d.ToJsonString(), version);
        Assert.Equal(HttpStatusCode.PreconditionRequired, (await PutAsync(changed, null)).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await PutAsync(changed, "7")).StatusCode);
        var other = changed.DeepClone().AsObject();
        other["id"] = "another";
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PutAsync(other, "1")).StatusCode);
        var broken = changed.DeepClone().AsObject();
        broken.Remove("id");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await PutAsync(broken, "1")).StatusCode);
        Assert.Equal(first, await _server.Http.GetStringAsync(address));

        var kept = await PutAsync(changed, "1", "?by=QA");
        Assert.Equal((HttpStatusCode.OK, "\"2\""), (kept.StatusCode, kept.Headers.ETag!.Tag));
        // the same again is no new version
        Assert.Equal("\"2\"", (await PutAsync(changed, "2")).Headers.ETag!.Tag);
        var versions = (await _server.GetAsync($"{address}/versions")).EnumerateArray().ToList();
        Assert.Equal([2L, 1], versions.Select(v => v.GetProperty("version").GetInt64()));
        Assert.Equal("QA", versions[0].GetProperty("by").GetString());
        Assert.Equal(first, await _server.Http.GetStringAsync($"{address}/versions/1"));
        Assert.Contains("measured again", await _server.Http.GetStringAsync(address), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await _server.Http.GetAsync($"{address}/versions/9")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _server.Http.GetAsync($"/api/{path}/none/versions")).StatusCode);
    }

    [Theory]
    [InlineData("boards")]
    [InlineData("blocks")]
    [InlineData("cards")]
    [InlineData("sockets")]
    [InlineData("machines")]
    public async Task What_is_archived_is_listed_no_more_and_comes_back(string path)
    {
        var id = await FirstIdAsync(path);
        async Task<bool> ListedAsync() =>
            (await _server.GetAsync($"/api/{path}")).EnumerateArray().Any(d => d.GetProperty("id").GetString() == id);
        async Task ArchiveAsync(bool archived) =>
            Assert.Equal(
                HttpStatusCode.OK,
                (
                    await _server.SendAsync(
                        HttpMethod.Put,
                        $"/api/{path}/{id}/archived",
                        archived ? """{"archived":true}""" : """{"archived":false}"""
                    )
                ).StatusCode
            );
        await ArchiveAsync(true);
        Assert.False(await ListedAsync());
        // what says nothing brings nothing back
        var nothing = await _server.SendAsync(HttpMethod.Put, $"/api/{path}/{id}/archived", "{}");
        Assert.Equal(HttpStatusCode.BadRequest, nothing.StatusCode);
        Assert.False(await ListedAsync());
        Assert.Equal(HttpStatusCode.OK, (await _server.Http.GetAsync($"/api/{path}/{id}")).StatusCode);
        await ArchiveAsync(false);
        Assert.True(await ListedAsync());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await _server.SendAsync(HttpMethod.Put, $"/api/{path}/none/archived", """{"archived":true}""")).StatusCode
        );
    }

    [Fact]
    public async Task An_archived_block_is_proposed_no_more_and_its_jobs_go_on()
    {
        var block = (await _server.JobAsync(1)).GetProperty("block").GetProperty("id").GetString();
        async Task<bool> ProposedAsync() =>
            (await _server.GetAsync("/api/boards/tern-460-r2/blocks?most=200"))
                .GetProperty("entries")
                .EnumerateArray()
                .Any(e => e.GetProperty("blockId").GetString() == block);
        Assert.True(await ProposedAsync());
        var address = $"/api/blocks/{block}/archived";
        await _server.SendAsync(HttpMethod.Put, address, """{"archived":true}""");
        Assert.False(await ProposedAsync());
        Assert.Equal(
            [block],
            (await _server.GetAsync("/api/blocks?archived=true"))
                .EnumerateArray()
                .Select(b => b.GetProperty("id").GetString())
        );
        Assert.Equal(block, (await _server.JobAsync(1)).GetProperty("block").GetProperty("id").GetString());
        await _server.SendAsync(HttpMethod.Put, address, """{"archived":false}""");
        Assert.True(await ProposedAsync());
    }

    [Fact]
    public async Task What_a_document_would_change_in_open_jobs_is_told_and_nothing_is_kept()
    {
        var address = "/api/boards/tern-460-r2";
        var before = await _server.Http.GetStringAsync(address);
        var board = await DocumentAsync(address);
        async Task<List<JsonElement>> ToldAsync(JsonObject d)
        {
            var answer = await _server.PostAsync("/api/library/consequences", d.ToJsonString());
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            return [.. (await ServerProcess.JsonAsync(answer)).GetProperty("jobs").EnumerateArray()];
        }
        Assert.Empty(await ToldAsync(board));
        // memory 0.4 mm lower: other pads
        foreach (var part in board["parts"]!.AsArray().Where(p => (string?)p!["kind"] == "memory"))
            part!["heightMm"] = (double)part["heightMm"]! - 0.4;
        var told = await ToldAsync(board);
        var job = told.Single(j => j.GetProperty("id").GetInt64() == 1);
        Assert.Equal(
            (await _server.JobAsync(1)).GetProperty("title").GetString(),
            job.GetProperty("title").GetString()
        );
        Assert.Contains(
            job.GetProperty("changed").EnumerateArray(),
            c => c.GetString()!.StartsWith("Pads: ", StringComparison.Ordinal)
        );
        // finished jobs rest on what they were signed with
        Assert.DoesNotContain(told, j => j.GetProperty("id").GetInt64() == 5);
        Assert.Equal(before, await _server.Http.GetStringAsync(address));
        Assert.Empty(
            await ToldAsync(
                JsonNode
                    .Parse(board.ToJsonString().Replace("\"tern-460-r2\"", "\"nobodys\"", StringComparison.Ordinal))!
                    .AsObject()
            )
        );
        var unknown = await _server.PostAsync("/api/library/consequences", """{"format":"x"}""");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, unknown.StatusCode);
    }

    [Fact]
    public async Task An_open_job_rests_on_the_version_it_was_planned_from_until_somebody_takes_the_newer_one()
    {
        using var own = new ServerProcess();
        const string address = "/api/boards/tern-460-r2";
        async Task<JsonElement> KeepAsync(double lowerMm, int seen)
        {
            var board = JsonNode.Parse(await own.Http.GetStringAsync(address))!;
            foreach (var part in board["parts"]!.AsArray().Where(p => (string?)p!["kind"] == "memory"))
                part!["heightMm"] = Math.Round((double)part["heightMm"]! - lowerMm, 3);
            var kept = await own.SendAsync(HttpMethod.Put, address, board.ToJsonString(), $"{seen}");
            return await ServerProcess.JsonAsync(kept);
        }
        async Task<List<JsonElement>> OfferedAsync(int job) =>
            [.. (await own.GetAsync($"/api/jobs/{job}/newer")).EnumerateArray()];
        async Task<HttpResponseMessage> TakeAsync(int version, int job = 1) =>
            await own.PostAsync(
                $"/api/jobs/{job}/newer",
                $$"""{"kind":"board","id":"tern-460-r2","version":{{version}},"by":"QA"}"""
            );
        string Pads(JsonElement job) =>
            job.GetProperty("stations")
                .EnumerateArray()
                .Single(s => s.GetProperty("station").GetString() == "pads")
                .GetProperty("summary")
                .GetString()!;

        var before = await own.JobAsync(1);
        Assert.Equal(0, before.GetProperty("newer").GetArrayLength());
        await KeepAsync(0.4, 1);
        own.KillAndRestart();
        var held = await own.JobAsync(1);
        Assert.Equal(Pads(before), Pads(held));
        Assert.False(held.Step("match.label").GetProperty("lookAgain").GetBoolean());
        var told = Assert.Single(held.GetProperty("newer").EnumerateArray());
        Assert.Equal((1, 2), (told.GetProperty("held").GetInt32(), told.GetProperty("newest").GetInt32()));
        Assert.NotEmpty(Assert.Single(await OfferedAsync(1)).GetProperty("changed").EnumerateArray());
        // a finished job is offered nothing, one that is opened now is planned from the newest
        Assert.Empty(await OfferedAsync(5));
        var opened = await own.PostAsync(
            "/api/jobs",
            """{"title":"Newest","bench":"Bench A","boardId":"tern-460-r2","by":"QA"}"""
        );
        var now = (await ServerProcess.JsonAsync(opened)).GetProperty("id").GetInt32();
        Assert.Empty(await OfferedAsync(now));
        // a version that was followed by another was not looked at
        await KeepAsync(0.1, 2);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await TakeAsync(2)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await TakeAsync(3)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await TakeAsync(3)).StatusCode);
        var taken = await own.JobAsync(1);
        Assert.NotEqual(Pads(before), Pads(taken));
        Assert.Equal(0, taken.GetProperty("newer").GetArrayLength());
        // what the job opened between rests on goes back to what it was: nothing is held for what is the same
        await KeepAsync(-0.1, 3);
        Assert.Empty(await OfferedAsync(now));
        Assert.Equal(3, Assert.Single(await OfferedAsync(1)).GetProperty("document").GetProperty("held").GetInt32());
    }

    [Fact]
    public async Task A_document_is_deleted_only_where_no_job_rests_on_it()
    {
        var used = await _server.SendAsync(HttpMethod.Delete, "/api/boards/tern-460-r2", null);
        Assert.Equal(HttpStatusCode.Conflict, used.StatusCode);
        Assert.Contains("archive it", await used.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        var board = await DocumentAsync("/api/boards/tern-460-r2");
        board["id"] = "for-nobody";
        Assert.Equal(HttpStatusCode.Created, (await _server.PostAsync("/api/boards", board.ToJsonString())).StatusCode);
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await _server.SendAsync(HttpMethod.Delete, "/api/boards/for-nobody", null)).StatusCode
        );
        Assert.Equal(HttpStatusCode.NotFound, (await _server.Http.GetAsync("/api/boards/for-nobody")).StatusCode);
    }

    [Fact]
    public async Task An_archived_job_lies_on_no_bench_until_it_is_brought_back()
    {
        async Task<bool> LiesAsync() =>
            (await _server.GetAsync("/api/bench"))
                .GetProperty("jobs")
                .EnumerateArray()
                .Any(j => j.GetProperty("id").GetInt64() == 3);
        Assert.True(await LiesAsync());
        await _server.SendAsync(HttpMethod.Put, "/api/jobs/3/archived", """{"archived":true}""");
        Assert.False(await LiesAsync());
        Assert.True((await _server.JobAsync(3)).GetProperty("archived").GetBoolean());
        Assert.Equal(
            [3L],
            (await _server.GetAsync("/api/jobs/archived")).EnumerateArray().Select(j => j.GetProperty("id").GetInt64())
        );
        await _server.SendAsync(HttpMethod.Put, "/api/jobs/3/archived", """{"archived":false}""");
        Assert.True(await LiesAsync());
    }

    /// <summary>Job 5 was proved: edges even, the die as warm as expected.</summary>
    [Fact]
    public async Task A_proved_job_offers_to_mark_the_lands_that_it_bears_out()
    {
        const string address = "/api/blocks/lathe-loch-core-u";
        async Task<List<JsonElement>> OfferedAsync() =>
            [.. (await _server.GetAsync("/api/jobs/5/proved-lands")).EnumerateArray()];
        // a document that claims nothing of its figures is not asked about
        Assert.Empty(await OfferedAsync());
        var block = await DocumentAsync(address);
        block["plates"]![0]!["lands"]![0]!["evidence"] = "measured";
        var version = (await _server.GetAsync($"{address}/versions")).EnumerateArray().First().GetProperty("version");
        await _server.SendAsync(HttpMethod.Put, address, block.ToJsonString(), $"{version}");
        var offer = Assert.Single(await OfferedAsync());
        var text = offer.GetProperty("document").GetString()!;
        Assert.Equal("proved", JsonNode.Parse(text)!["plates"]![0]!["lands"]![0]!["evidence"]!.GetValue<string>());
        await _server.SendAsync(HttpMethod.Put, address, text, $"{offer.GetProperty("version")}");
        Assert.Empty(await OfferedAsync());
    }
}
