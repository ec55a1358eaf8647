using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>The fault finder and the day's plan as calls: shapes, and refusals with their places.</summary>
public sealed class FaultAndDayCallTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private static JsonObject Ask(params JsonNode[] readings) =>
        new()
        {
            ["board"] = JsonNode.Parse(ServerProcess.DemoFile("boards/tern-460-r2.board.json")),
            ["block"] = JsonNode.Parse(ServerProcess.DemoFile("blocks/brineworks-full-460.block.json")),
            ["paste"] = new JsonObject { ["id"] = "grey-standard" },
            ["conditions"] = new JsonObject { ["coolantInC"] = 30, ["flowLMin"] = 3 },
            ["readings"] = new JsonArray(readings),
        };

    private static JsonObject Reading(double c, params string[] parts) =>
        new()
        {
            ["parts"] = new JsonArray([.. parts.Select(p => (JsonNode)p)]),
            ["kind"] = "max",
            ["c"] = c,
            ["sigmaK"] = 0.5,
        };

    [Fact]
    public async Task A_chip_left_bare_is_found_and_what_is_expected_is_what_expect_says()
    {
        var plain = Ask();
        plain.Remove("readings");
        var expected = await ServerProcess.JsonAsync(
            await _server.PostAsync("/api/compute/expect", plain.ToJsonString())
        );
        double Of(string id) =>
            expected
                .GetProperty("parts")
                .EnumerateArray()
                .Single(p => p.GetProperty("part").GetString() == id)
                .GetProperty("c")
                .GetDouble();
        string[] parts = ["U1", "M1", "M2", "M3", "M4", "M5", "M6"];
        var answer = await _server.PostAsync(
            "/api/compute/faults",
            Ask([.. parts.Select(p => Reading(Of(p) + (p == "M4" ? 80 : 0), p))]).ToJsonString()
        );
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var told = await ServerProcess.JsonAsync(answer);
        foreach (var (e, p) in told.GetProperty("expected").EnumerateArray().Zip(parts))
            Assert.Equal(Of(p), e.GetProperty("c").GetDouble(), 6);
        var first = told.GetProperty("hypotheses")[0];
        Assert.Contains(first.GetProperty("kind").GetString(), (string?[])["pad-missing", "pad-thin"]);
        Assert.Equal("M4", first.GetProperty("parts")[0].GetString());
        Assert.NotEmpty(first.GetProperty("check").GetString()!);
        Assert.NotEmpty(told.GetProperty("bestCheck").GetString()!);
    }

    [Fact]
    public async Task A_reading_of_nothing_covered_and_no_reading_at_all_are_refused_with_their_places()
    {
        foreach (var (body, pointer) in new[] { (Ask(Reading(40, "C21")), "/readings/0/parts"), (Ask(), "/readings") })
        {
            var answer = await _server.PostAsync("/api/compute/faults", body.ToJsonString());
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
            var error = (await ServerProcess.JsonAsync(answer)).GetProperty("errors")[0];
            Assert.Equal(pointer, error.GetProperty("pointer").GetString());
        }
    }

    [Fact]
    public async Task A_day_is_planned_with_its_waits_filled_and_a_bad_one_refused()
    {
        const string day = """
            {"hands":1,"tools":[{"id":"jig","count":1}],"jobs":[
              {"id":"A","operations":[{"id":"on","minutes":5,"hands":1},{"id":"soak","minutes":20,"hands":0},{"id":"off","minutes":5,"hands":1}]},
              {"id":"B","dueMin":30,"operations":[{"id":"shear","minutes":15,"hands":1,"tool":"jig","after":["A/on"]}]}]}
            """;
        var plan = await ServerProcess.JsonAsync(await _server.PostAsync("/api/compute/schedule", day));
        Assert.Equal(30, plan.GetProperty("finishMin").GetDouble());
        Assert.True(plan.GetProperty("proven").GetBoolean());
        var meanwhile = Assert.Single(plan.GetProperty("meanwhile").EnumerateArray());
        Assert.Equal("A/soak", meanwhile.GetProperty("during").GetString());
        var refused = await _server.PostAsync(
            "/api/compute/schedule",
            day.Replace("\"jig\",\"after\"", "\"lathe\",\"after\"", StringComparison.Ordinal)
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Equal(
            "/jobs/1/operations/0/tool",
            (await ServerProcess.JsonAsync(refused)).GetProperty("errors")[0].GetProperty("pointer").GetString()
        );
    }
}
