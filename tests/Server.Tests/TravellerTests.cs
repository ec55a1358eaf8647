using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Steps as acts, over HTTP: a job's traveller, what it leaves open, plans and walks for documents that nobody keeps.</summary>
public sealed class TravellerTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    [Fact]
    public async Task A_job_tells_every_step_whole_and_what_it_opens()
    {
        var job = await _server.GetAsync("/api/jobs/1");
        var steps = (await _server.GetAsync("/api/jobs/1/steps")).EnumerateArray().ToList();
        Assert.Equal(
            job.GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("stepId").GetString()),
            steps.Select(s => s.GetProperty("stepId").GetString())
        );
        var flip = steps.First(s =>
            s.GetProperty("acts").EnumerateArray().Any(a => a.GetProperty("do").GetString() == "turn-over")
        );
        Assert.StartsWith("Turn the board over (back side up). ", flip.GetProperty("title").GetString());
        Assert.Equal("back", flip.GetProperty("up").GetProperty("A").GetString());
        var pass = steps.First(s => s.TryGetProperty("pass", out _));
        var act = pass.GetProperty("acts")[0];
        Assert.Equal(("turn", "screws:P/main/ring1"), (Text(act, "do"), Text(act, "thing")));
        Assert.Equal("back", Text(act, "from"));
        Assert.Equal(act.GetProperty("count").GetInt32(), act.GetProperty("at").GetArrayLength());
        var own = job.GetProperty("steps").EnumerateArray().First(s => Text(s, "stepId") == Text(pass, "stepId"));
        Assert.Equal(pass.GetProperty("acts").ToString(), own.GetProperty("acts").ToString());
        var ends = (await _server.GetAsync("/api/jobs/1/loose-ends")).EnumerateArray().ToList();
        Assert.All(ends, e => Assert.NotNull(Text(e, "fate")));
        Assert.Contains(ends, e => (Text(e, "thing"), Text(e, "fate")) == ("screws:A/F1", "kept"));
        // the ribbon between two boards is plugged in again
        var twin = (await _server.GetAsync("/api/jobs/7/loose-ends")).EnumerateArray();
        Assert.Equal("back", Text(twin.Single(e => Text(e, "thing") == "ribbon:R1"), "fate"));
    }

    [Fact]
    public async Task The_bench_is_told_as_it_lies_right_before_a_step()
    {
        var moment = await _server.GetAsync("/api/jobs/15/bench?step=mount.lower");
        Assert.Equal("back", Text(moment.GetProperty("turn"), "up"));
        Assert.Equal(
            ["done", "done", "here", "done"],
            moment.GetProperty("closes").GetProperty("items").EnumerateArray().Select(i => Text(i, "state"))
        );
        var paste = moment.GetProperty("open").EnumerateArray().First(e => Text(e, "text") == "paste is spread");
        var spread = (await _server.GetAsync("/api/jobs/15/steps"))
            .EnumerateArray()
            .First(s => Text(s, "stepId") == "paste.U1");
        Assert.Equal(Text(spread, "at"), Text(paste, "since"));
        // nothing is about to be done to what is finished, and a step that is not there has no bench
        var finished = await _server.GetAsync("/api/jobs/5/bench?step=mount.lower");
        Assert.Equal(0, finished.GetProperty("boards").GetArrayLength());
        var unknown = await _server.Http.GetAsync("/api/jobs/15/bench?step=mount.nothing", Cancel);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, unknown.StatusCode);
    }

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static string? Text(JsonElement e, string name) => e.GetProperty(name).GetString();

    private async Task<JsonObject> PlainAsync() =>
        new()
        {
            ["boards"] = new JsonArray(
                new JsonObject
                {
                    ["key"] = "A",
                    ["board"] = JsonNode.Parse((await _server.GetAsync("/api/boards/tern-460-r2")).GetRawText()),
                }
            ),
            ["pairs"] = new JsonArray(
                new JsonObject
                {
                    ["key"] = "P",
                    ["block"] = JsonNode.Parse(
                        (await _server.GetAsync("/api/blocks/brineworks-full-460")).GetRawText()
                    ),
                }
            ),
        };

    [Fact]
    public async Task A_traveller_walks_and_one_that_lacks_an_act_names_the_need()
    {
        var body = await PlainAsync();
        var answer = await _server.PostAsync("/api/compute/traveller", body.ToJsonString());
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var traveller = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        JsonArray Steps() =>
            [
                .. traveller["steps"]!
                    .AsArray()
                    .Select(s =>
                    {
                        var step = new JsonObject { ["acts"] = s!["acts"]!.DeepClone() };
                        if (s["up"] is { } up)
                            step["up"] = up.DeepClone();
                        return step;
                    }),
            ];
        async Task<JsonElement> Walk(JsonArray steps)
        {
            var sent = body.DeepClone().AsObject();
            sent["steps"] = steps;
            return await ServerProcess.JsonAsync(await _server.PostAsync("/api/compute/walk", sent.ToJsonString()));
        }
        Assert.Equal("""{"ok":true}""", (await Walk(Steps())).GetRawText());
        var open = Steps();
        var lift = open.ToList()
            .FindIndex(s => s!["acts"]!.ToJsonString().Contains("\"unscrew\"", StringComparison.Ordinal));
        open[lift]!["acts"] = new JsonArray();
        var held = await Walk(open);
        Assert.Equal((false, "held"), (held.GetProperty("ok").GetBoolean(), Text(held, "needs")));
        Assert.True(held.GetProperty("step").GetInt32() > lift);
        Assert.StartsWith("screws:A/", held.GetProperty("things")[0].GetString());
        // a thing that is not here is told; a text that is no id, and a verb that is none, are refused with their place
        var strange = await Walk([Step("lift", "piece:A/none")]);
        Assert.Equal(
            (0, 0, "not-there"),
            (strange.GetProperty("step").GetInt32(), strange.GetProperty("act").GetInt32(), Text(strange, "needs"))
        );
        body["steps"] = new JsonArray(Step("fly", "piece A"));
        var refused = await _server.PostAsync("/api/compute/walk", body.ToJsonString());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        var said = await refused.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.Contains("/steps/0/acts/0/do", said, StringComparison.Ordinal);
        Assert.Contains("/steps/0/acts/0/thing", said, StringComparison.Ordinal);
    }

    private async Task<JsonNode> DocumentAsync(string path) =>
        JsonNode.Parse((await _server.GetAsync(path)).GetRawText())!;

    private async Task<JsonObject> OnSocketAsync() =>
        new()
        {
            ["boards"] = new JsonArray(
                new JsonObject { ["key"] = "A", ["board"] = await DocumentAsync("/api/boards/meltemi-m6-r1") }
            ),
            ["pairs"] = new JsonArray(
                new JsonObject { ["key"] = "P", ["block"] = await DocumentAsync("/api/blocks/lathe-loch-jet-p") }
            ),
            ["seat"] = new JsonObject
            {
                ["processor"] = await DocumentAsync("/api/boards/orrery-a12"),
                ["socket"] = await DocumentAsync("/api/sockets/avocet"),
                ["bare"] = true,
            },
        };

    private async Task<(JsonNode Traveller, JsonElement Walk)> PlannedAsync(JsonObject body)
    {
        var answer = await _server.PostAsync("/api/compute/traveller", body.ToJsonString());
        var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.True(answer.StatusCode == HttpStatusCode.OK, text);
        var traveller = JsonNode.Parse(text)!;
        var sent = body.DeepClone().AsObject();
        sent["steps"] = new JsonArray([
            .. traveller["steps"]!
                .AsArray()
                .Select(s => new JsonObject { ["acts"] = s!["acts"]!.DeepClone(), ["up"] = s["up"]?.DeepClone() }),
        ]);
        return (
            traveller,
            await ServerProcess.JsonAsync(await _server.PostAsync("/api/compute/walk", sent.ToJsonString()))
        );
    }

    [Fact]
    public async Task What_does_not_go_together_in_a_socket_is_told_where_it_stands()
    {
        foreach (
            var (field, document) in ((string, string)[])
                [("processor", "boards/tern-460-r2"), ("socket", "sockets/gull")]
        )
        {
            var body = await OnSocketAsync();
            body["seat"]![field] = await DocumentAsync($"/api/{document}");
            var refused = await _server.PostAsync("/api/compute/traveller", body.ToJsonString());
            Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
            Assert.Contains(
                $"\"/seat/{field}\"",
                await refused.Content.ReadAsStringAsync(TestContext.Current.CancellationToken),
                StringComparison.Ordinal
            );
        }
    }

    [Fact]
    public async Task A_processor_that_loses_its_lid_is_planned_and_so_is_its_way_back()
    {
        var body = await OnSocketAsync();
        var (there, walk) = await PlannedAsync(body);
        Assert.Equal("""{"ok":true}""", walk.GetRawText());
        var acts = there["steps"]!.AsArray().SelectMany(s => s!["acts"]!.AsArray()).ToList();
        Assert.Contains(acts, a => (string?)a!["do"] == "shear" && (string?)a["thing"] == "lid:A");
        Assert.Null(there["cannot"]);
        body["back"] = true;
        var (back, home) = await PlannedAsync(body);
        Assert.Equal("""{"ok":true}""", home.GetRawText());
        var cannot = back["cannot"]!.AsArray();
        Assert.Contains(
            cannot,
            c => ((string?)c!["thing"], (string?)c["code"], (string?)c["instead"]) == ("lid:A", "destroyed", "frame:A")
        );
        Assert.DoesNotContain("frame:A", back["steps"]!.ToJsonString(), StringComparison.Ordinal);
        // from before the lid came off everything goes back
        var before = there["steps"]!.AsArray().First(s => (string?)s!["kind"] == "lift")!;
        body["back"] = new JsonObject { ["after"] = (string?)before["stepId"] };
        var (early, whole) = await PlannedAsync(body);
        Assert.Equal("""{"ok":true}""", whole.GetRawText());
        Assert.DoesNotContain("destroyed", early["cannot"]?.ToJsonString() ?? "", StringComparison.Ordinal);
        Assert.Contains("\"bring-back\",\"thing\":\"piece:A/cooler\"", early["steps"]!.ToJsonString());
    }

    [Fact]
    public async Task A_machine_stands_its_cards_and_joins_them_and_pads_come_out_of_the_stated_drawer()
    {
        var body = new JsonObject
        {
            ["machine"] = "two-tern-460",
            ["drawer"] = new JsonObject
            {
                ["materials"] = (await DocumentAsync("/api/drawer"))["drawer"]!["materials"]!.DeepClone(),
            },
        };
        var (traveller, walk) = await PlannedAsync(body);
        Assert.Equal("""{"ok":true}""", walk.GetRawText());
        var text = traveller["steps"]!.ToJsonString();
        Assert.Contains("\"insert\",\"thing\":\"board:B\"", text, StringComparison.Ordinal);
        Assert.Contains("\"join\",\"thing\":\"link:L1\"", text, StringComparison.Ordinal);
        // nothing lies in this drawer to spread
        Assert.DoesNotContain("\"spread\"", text, StringComparison.Ordinal);
        body["back"] = true;
        Assert.Equal("""{"ok":true}""", (await PlannedAsync(body)).Walk.GetRawText());
    }

    [Theory]
    [InlineData("/back/after", "{\"after\":\"mount.nothing\"}")]
    [InlineData("/back/keep/0", "{\"keep\":[\"frame:Z\"]}")]
    [InlineData("/back/keep/0", "{\"keep\":[\"the frame\"]}")]
    [InlineData("/back/sides", "{\"sides\":2}")]
    public async Task A_way_back_from_nowhere_is_refused_with_its_place(string pointer, string back)
    {
        var body = await PlainAsync();
        body["back"] = JsonNode.Parse(back);
        var answer = await _server.PostAsync("/api/compute/traveller", body.ToJsonString());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains(
            $"\"{pointer}\"",
            await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken),
            StringComparison.Ordinal
        );
    }

    private static JsonObject Step(string verb, string thing) =>
        new() { ["acts"] = new JsonArray(new JsonObject { ["do"] = verb, ["thing"] = thing }) };
}
