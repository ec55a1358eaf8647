using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>A signature says what it was given on, and stands only while that is so.</summary>
public class SignatureTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task ChangeAsync(long job, object change)
    {
        var version = (await _server.JobAsync(job)).GetProperty("version").GetInt64().ToString();
        var answer = await _server.SendAsync(
            HttpMethod.Put,
            $"/api/jobs/{job}",
            JsonSerializer.Serialize(change),
            version
        );
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
    }

    private static object With(string block) =>
        new
        {
            title = "A card",
            bench = "Bench A",
            blockId = block,
            padChoices = Array.Empty<object>(),
        };

    private static IReadOnlyList<string> LookAgain(JsonElement job) =>
        [
            .. job.GetProperty("steps")
                .EnumerateArray()
                .Where(s => s.GetProperty("lookAgain").GetBoolean())
                .Select(s => s.GetProperty("stepId").GetString()!),
        ];

    [Fact]
    public async Task Another_block_leaves_what_rests_on_it_to_be_looked_at_again_and_says_so()
    {
        var job = await _server.OpenAsync();
        Assert.True((await _server.SignAsync(job, "match.label")).IsSuccessStatusCode);
        Assert.True((await _server.SignAsync(job, "mount.lower", reason: "dry run")).IsSuccessStatusCode);
        Assert.Empty(LookAgain(await _server.JobAsync(job)));

        await ChangeAsync(job, With("undertow-slim-250"));
        var after = await _server.JobAsync(job);
        Assert.Contains("mount.lower", LookAgain(after));
        var changed = after.Step("mount.lower").GetProperty("changed").EnumerateArray().Select(c => c.GetString()!);
        Assert.Contains(changed, c => c.Contains("block", StringComparison.OrdinalIgnoreCase));
        // it is not signed any more until someone has looked
        var again = await _server.SignAsync(
            job,
            "mount.lower",
            after.Step("mount.lower").GetProperty("version").GetInt32(),
            reason: "looked again"
        );
        Assert.True(again.IsSuccessStatusCode, await again.Content.ReadAsStringAsync());
        Assert.DoesNotContain("mount.lower", LookAgain(await _server.JobAsync(job)));
    }

    [Fact]
    public async Task The_same_block_in_new_words_or_back_again_changes_nothing_that_was_signed()
    {
        var job = await _server.OpenAsync();
        Assert.True((await _server.SignAsync(job, "mount.lower", reason: "dry run")).IsSuccessStatusCode);
        await ChangeAsync(job, With("undertow-slim-250"));
        await ChangeAsync(job, With("brineworks-full-460"));
        Assert.Empty(LookAgain(await _server.JobAsync(job)));
    }

    [Fact]
    public async Task A_history_entry_names_the_documents_it_was_signed_on()
    {
        var job = await _server.OpenAsync();
        await _server.SignAsync(job, "match.label");
        var signed = (await _server.JobAsync(job)).GetProperty("history")[0].GetProperty("signed");
        var documents = signed.GetProperty("documents").EnumerateArray().ToList();
        Assert.Contains(documents, d => d.GetProperty("id").GetString() == "tern-460-r2");
        Assert.All(documents, d => Assert.Equal(64, d.GetProperty("digest").GetString()!.Length));
    }

    [Fact]
    public async Task A_taken_back_screw_that_a_lift_rests_on_asks_first_and_takes_the_lift_with_it()
    {
        var job = await _server.OpenAsync();
        foreach (var (step, count) in ((string, int?)[])[("teardown.F1", 6), ("teardown.F2", 6), ("teardown.F3", 4)])
            Assert.True((await _server.SignAsync(job, step, count: count)).IsSuccessStatusCode);
        Assert.True((await _server.SignAsync(job, "teardown.cooler")).IsSuccessStatusCode);

        var asks = await _server.UndoAsync(job, "teardown.F2", 1);
        Assert.Equal(HttpStatusCode.Conflict, asks.StatusCode);
        var rests = (await ServerProcess.JsonAsync(asks)).GetProperty("restsOn").EnumerateArray();
        Assert.Equal(["teardown.cooler"], rests.Select(r => r.GetString()));
        var still = await _server.JobAsync(job);
        Assert.True(still.Step("teardown.F2").GetProperty("signed").GetBoolean());

        Assert.True((await _server.UndoAsync(job, "teardown.F2", 1, ["teardown.cooler"])).IsSuccessStatusCode);
        var after = await _server.JobAsync(job);
        Assert.False(after.Step("teardown.F2").GetProperty("signed").GetBoolean());
        Assert.False(after.Step("teardown.cooler").GetProperty("signed").GetBoolean());
    }

    [Fact]
    public async Task Whatever_two_people_do_at_once_no_lift_stands_over_a_screw_that_is_in()
    {
        var job = await _server.OpenAsync();
        foreach (var (step, count) in ((string, int?)[])[("teardown.F1", 6), ("teardown.F2", 6), ("teardown.F3", 4)])
            Assert.True((await _server.SignAsync(job, step, count: count)).IsSuccessStatusCode);
        for (var round = 0; round < 12; round++)
        {
            var before = await _server.JobAsync(job);
            int Version(string step) => before.Step(step).GetProperty("version").GetInt32();
            await Task.WhenAll(
                _server.SignAsync(job, "teardown.cooler", Version("teardown.cooler")),
                _server.UndoAsync(job, "teardown.F2", Version("teardown.F2"))
            );
            var after = await _server.JobAsync(job);
            var lifted = after.Step("teardown.cooler").GetProperty("signed").GetBoolean();
            var screws = after.Step("teardown.F2").GetProperty("signed").GetBoolean();
            Assert.True(screws || !lifted, $"round {round}: lifted with screws in");
            Assert.True(lifted || !screws, $"round {round}: neither of them was answered");
            int Now(string step) => after.Step(step).GetProperty("version").GetInt32();
            var set = lifted
                ? await _server.UndoAsync(job, "teardown.cooler", Now("teardown.cooler"))
                : await _server.SignAsync(job, "teardown.F2", Now("teardown.F2"), 6);
            Assert.True(set.IsSuccessStatusCode, await set.Content.ReadAsStringAsync());
        }
    }

    [Fact]
    public async Task A_press_sent_twice_counts_once_and_its_key_is_good_for_nothing_else()
    {
        var job = await _server.OpenAsync();
        var key = Guid.NewGuid().ToString();
        Assert.True((await _server.SignAsync(job, "kit.count", key: key)).IsSuccessStatusCode);
        Assert.True((await _server.SignAsync(job, "kit.count", key: key)).IsSuccessStatusCode);
        Assert.Single((await _server.JobAsync(job)).GetProperty("history").EnumerateArray());
        var other = await _server.SignAsync(job, "kit.manual", key: key);
        Assert.Equal(HttpStatusCode.Conflict, other.StatusCode);
        Assert.Single((await _server.JobAsync(job)).GetProperty("history").EnumerateArray());
    }

    // its own shop: it changes the library and empties the drawer
    [Fact]
    public async Task A_finished_job_reads_as_it_was_signed_whatever_the_drawer_and_library_hold_now()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        await own.SignAllAsync(job);
        var plan = (await own.JobAsync(job)).GetProperty("plan").GetRawText();
        var record = await own.Http.GetStringAsync($"/api/jobs/{job}/record.html");

        var block = JsonNode.Parse(ServerProcess.DemoFile("blocks/brineworks-full-460.block.json"))!;
        block["model"] = "Full 460, another make";
        foreach (var land in block["plates"]![0]!["lands"]!.AsArray())
            land!["stepMm"] = -2.5;
        var kept = await own.PostAsync("/api/blocks?replace=true", block.ToJsonString());
        Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync());
        foreach (var item in (await own.GetAsync("/api/drawer")).GetProperty("versions").EnumerateArray())
        {
            var (kind, id) = (item.GetProperty("kind").GetString(), item.GetProperty("id").GetString());
            var version = item.GetProperty("version").GetInt64().ToString();
            if (kind == "pad")
                await own.SendAsync(HttpMethod.Delete, $"/api/drawer/{kind}/{id}", null, version);
        }

        Assert.Equal(plan, (await own.JobAsync(job)).GetProperty("plan").GetRawText());
        Assert.Equal(record, await own.Http.GetStringAsync($"/api/jobs/{job}/record.html"));
        // an open job on the same block sees the new one
        var open = await own.JobAsync(await own.OpenAsync());
        Assert.NotEqual(plan, open.GetProperty("plan").GetRawText());
    }
}
