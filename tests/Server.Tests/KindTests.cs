using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Every kind of work over real HTTP: kinds named, machines kept and judged, one block on several modules, whole boards.</summary>
public sealed class KindTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<JsonElement> OpenAsync(object job)
    {
        var answer = await _server.PostAsync("/api/jobs", JsonSerializer.Serialize(job));
        Assert.Equal(HttpStatusCode.Created, answer.StatusCode);
        return await _server.JobAsync((await ServerProcess.JsonAsync(answer)).GetProperty("id").GetInt64());
    }

    [Fact]
    public async Task Every_kind_lies_on_a_bench_planned_through_nine_stations_and_both_pages_name_it_alike()
    {
        string[] kinds =
        [
            .. "full-cover core-only twin-board two-dies workstation plug-in-module unknown-make machine back-plate".Split(
                ' '
            ),
            .. "mainboard-one-piece mainboard-split mainboard-bridged socket socket-upgrade direct-die".Split(' '),
            .. "direct-die-several memory console".Split(' '),
        ];
        var bench = await _server.CalculatedAsync();
        Assert.Empty(kinds.Except(bench.Select(j => j.GetProperty("kind").GetString()!)));
        foreach (var entry in bench)
        {
            var job = await _server.JobAsync(entry.GetProperty("id").GetInt64());
            Assert.Equal(entry.GetProperty("kind").GetString(), job.GetProperty("kind").GetString());
            Assert.Equal(9, job.GetProperty("stations").GetArrayLength());
            Assert.Equal(0, job.GetProperty("plan").GetProperty("troubles").GetArrayLength());
            // ids are one of a kind: what is signed is signed once
            var ids = job.GetProperty("stations")
                .EnumerateArray()
                .SelectMany(s => s.GetProperty("steps").EnumerateArray())
                .Select(s => s.GetProperty("id").GetString())
                .ToList();
            Assert.Equal(ids.Count, ids.Distinct().Count());
        }
    }

    private static JsonObject Machine(string id, int slot = 4, string card = "B") =>
        new()
        {
            ["format"] = "faithful-bracket/machine",
            ["version"] = 1,
            ["id"] = id,
            ["name"] = "Two cards",
            ["cards"] = new JsonArray(
                new JsonObject
                {
                    ["board"] = "tern-460-r2",
                    ["block"] = "brineworks-full-460",
                    ["slot"] = 1,
                },
                new JsonObject { ["job"] = 1, ["slot"] = slot }
            ),
            ["links"] = new JsonArray(
                new JsonObject
                {
                    ["from"] = new JsonObject { ["card"] = "A", ["port"] = "A" },
                    ["to"] = new JsonObject { ["card"] = card, ["port"] = "A" },
                    ["minMm"] = 56,
                    ["maxMm"] = 66,
                    ["offsetMm"] = 1,
                }
            ),
        };

    [Fact]
    public async Task A_machine_brings_its_cards_and_a_card_that_is_a_job_brings_the_jobs()
    {
        var kept = await _server.PostAsync("/api/machines", Machine("pair").ToJsonString());
        Assert.Equal(HttpStatusCode.Created, kept.StatusCode);
        var stand = await _server.GetAsync("/api/machines/pair/stand");
        Assert.Equal("seats", stand.GetProperty("verdict").GetString());
        // three slots of 20.32 mm from port to port: both cards are alike
        var link = stand.GetProperty("stand").GetProperty("links")[0];
        Assert.Equal(3 * 20.32, link.GetProperty("distanceMm").GetDouble(), 9);
        Assert.True(link.GetProperty("fits").GetBoolean());
        // one link leads on: in by one card, out by the other, so two ports of each four stay open
        Assert.Equal(4, stand.GetProperty("stand").GetProperty("plugs").GetInt32());
        Assert.False(stand.GetProperty("loop").GetProperty("parallel").GetBoolean());

        var job = await OpenAsync(
            new
            {
                title = "pair",
                bench = "Bench A",
                by = "QA",
                machineId = "pair",
            }
        );
        Assert.Equal("machine", job.GetProperty("kind").GetString());
        Assert.Equal(2, job.GetProperty("order").GetProperty("pieces").GetArrayLength());
        var mount = job.Steps("mount");
        Assert.Contains("mount.link-1", mount);
        Assert.Contains("mount@B.slot", mount);
        Assert.Equal(2, job.Steps("prove").Count(s => s.EndsWith("after", StringComparison.Ordinal)));
        Assert.Single(job.Steps("prove"), s => s.EndsWith(".leak", StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_link_that_does_not_reach_and_cards_in_each_others_slot_are_told()
    {
        await _server.PostAsync("/api/machines", Machine("far", slot: 6).ToJsonString());
        var far = (await _server.GetAsync("/api/machines/far/stand")).GetProperty("between")[0];
        Assert.Equal("link-miss", far.GetProperty("code").GetString());
        Assert.Equal(5 * 20.32 - 66, far.GetProperty("missMm").GetDouble(), 9);
        await _server.PostAsync("/api/machines", Machine("near", slot: 2).ToJsonString());
        var near = (await _server.GetAsync("/api/machines/near/stand")).GetProperty("between");
        Assert.Contains(near.EnumerateArray(), b => b.GetProperty("code").GetString() == "slot");
    }

    [Fact]
    public async Task A_machine_with_an_unknown_card_or_link_is_refused_with_its_place()
    {
        var answer = await _server.PostAsync("/api/machines", Machine("wrong", card: "Z").ToJsonString());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var error = (await ServerProcess.JsonAsync(answer)).GetProperty("errors")[0];
        Assert.Equal("/links/0/to/card", error.GetProperty("pointer").GetString());

        var missing = Machine("missing");
        missing["cards"]![1]!["job"] = 9999;
        await _server.PostAsync("/api/machines", missing.ToJsonString());
        var opened = await _server.PostAsync(
            "/api/jobs",
            JsonSerializer.Serialize(
                new
                {
                    title = "x",
                    bench = "A",
                    by = "QA",
                    machineId = "missing",
                }
            )
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, opened.StatusCode);
        Assert.Contains("job 9999", await opened.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        // and its page still answers
        Assert.NotEqual(
            0,
            (await _server.GetAsync("/api/machines/missing/stand")).GetProperty("missing").GetArrayLength()
        );
    }

    [Fact]
    public async Task A_block_with_carriers_goes_on_every_module_out_of_one_box()
    {
        var job = await OpenAsync(
            new
            {
                title = "three modules",
                bench = "Bench A",
                by = "QA",
                blockId = "lathe-loch-row-m",
                pieces = new[] { "A", "B", "C" }.Select(key => new { key, boardId = "shingle-16" }),
            }
        );
        Assert.Equal("memory", job.GetProperty("kind").GetString());
        Assert.Equal(3, job.GetProperty("order").GetProperty("pairs").GetArrayLength());
        var kit = job.GetProperty("plan").GetProperty("kit").GetProperty("lines").EnumerateArray().ToList();
        var bolts = kit.Single(l => l.GetProperty("name").GetString() == "screws M2");
        Assert.Equal(9, bolts.GetProperty("need").GetDouble());
        Assert.Equal(12, bolts.GetProperty("fromKit").GetDouble());
        // two passes over 3 bolts a module
        Assert.Equal(2, job.Steps("mount").Count(s => s.Contains("bolt-", StringComparison.Ordinal)));
    }

    [Fact]
    public async Task A_whole_board_is_told_in_sets_and_the_set_taken_is_judged_the_same()
    {
        var job = await OpenAsync(
            new
            {
                title = "whole",
                bench = "Bench A",
                by = "QA",
                boardId = "sirocco-s2-r1",
            }
        );
        var id = job.GetProperty("id").GetInt64();
        var best = (await _server.GetAsync($"/api/jobs/{id}/together"))[0];
        Assert.Equal(0, best.GetProperty("uncovered").GetArrayLength());
        var ids = best.GetProperty("blocks")
            .EnumerateArray()
            .SelectMany(b =>
                Enumerable.Repeat(b.GetProperty("blockId").GetString()!, b.GetProperty("count").GetInt32())
            )
            .ToList();
        Assert.Equal(["copperwell-chip-45", "copperwell-row-64", "copperwell-row-64"], ids);
        var taken = await _server.SendAsync(
            HttpMethod.Put,
            $"/api/jobs/{id}",
            JsonSerializer.Serialize(
                new
                {
                    title = "whole",
                    bench = "Bench A",
                    padChoices = Array.Empty<object>(),
                    pairs = ids.Select((blockId, i) => new { key = $"{(char)('P' + i)}", blockId }),
                }
            ),
            job.GetProperty("version").GetInt64().ToString()
        );
        Assert.Equal(HttpStatusCode.OK, taken.StatusCode);
        var order = (await _server.JobAsync(id)).GetProperty("plan").GetProperty("match").GetProperty("order");
        Assert.Equal(best.GetProperty("verdict").GetString(), order.GetProperty("verdict").GetString());
        Assert.Equal(0, order.GetProperty("uncovered").GetArrayLength());
    }

    [Fact]
    public async Task A_pack_carries_machines()
    {
        var pack = await _server.Http.GetByteArrayAsync("/api/library/pack", TestContext.Current.CancellationToken);
        using var zip = new System.IO.Compression.ZipArchive(new MemoryStream(pack));
        Assert.Contains(zip.Entries, e => e.FullName == "machines/two-tern-460.machine.json");
    }
}

internal static class KindCalls
{
    /// <summary>Ids of a station's steps.</summary>
    public static IReadOnlyList<string> Steps(this JsonElement job, string station) =>
        [
            .. job.GetProperty("stations")
                .EnumerateArray()
                .Single(s => s.GetProperty("station").GetString() == station)
                .GetProperty("steps")
                .EnumerateArray()
                .Select(s => s.GetProperty("id").GetString()!),
        ];
}
