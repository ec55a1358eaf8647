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

    private static JsonObject Step(string verb, string thing) =>
        new() { ["acts"] = new JsonArray(new JsonObject { ["do"] = verb, ["thing"] = thing }) };
}
