using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>The calls socket and direct-die, and the same questions over the library's own documents.</summary>
public sealed class SocketTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private static JsonNode Demo(string file) => JsonNode.Parse(ServerProcess.DemoFile(file))!;

    private static JsonObject Ask(string socket, string processor) =>
        new()
        {
            ["socket"] = Demo($"sockets/{socket}.socket.json"),
            ["processor"] = Demo($"boards/{processor}.board.json"),
            ["block"] = Demo("blocks/lathe-loch-jet-p.block.json"),
        };

    private async Task<JsonElement> ComputeAsync(string call, JsonObject body)
    {
        var answer = await _server.PostAsync($"/api/compute/{call}", body.ToJsonString());
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await ServerProcess.JsonAsync(answer);
    }

    [Fact]
    public async Task The_library_and_the_stateless_call_answer_alike()
    {
        var body = Ask("gull", "orrery-p8");
        body["board"] = Demo("boards/levanter-x4-r1.board.json");
        var asked = await ComputeAsync("socket", body);
        var kept = await _server.GetAsync(
            "/api/sockets/gull/match?processor=orrery-p8&block=lathe-loch-jet-p&board=levanter-x4-r1"
        );
        Assert.Equal(asked.GetRawText(), kept.GetRawText());
        Assert.Equal(7.5, asked.GetProperty("contactMm").GetDouble(), 9);
        Assert.Equal(JsonValueKind.Null, asked.GetProperty("kit").ValueKind);
        Assert.Equal("backPlate", asked.GetProperty("posts").GetString());
        Assert.Equal("slit-along-fins", asked.GetProperty("reasons")[0].GetProperty("code").GetString());
        Assert.All(
            asked.GetProperty("orientations").EnumerateArray(),
            o => Assert.False(o.GetProperty("allowed").GetBoolean())
        );
    }

    [Fact]
    public async Task With_the_jet_plate_turned_it_seats_and_the_upgrade_kit_is_named_on_the_other_socket()
    {
        var body = Ask("gull", "orrery-p8");
        body["block"]!["coldPlate"]!["slitDirectionDeg"] = 0;
        var seats = await ComputeAsync("socket", body);
        Assert.Equal("seats", seats.GetProperty("verdict").GetString());
        Assert.Contains(seats.GetProperty("orientations").EnumerateArray(), o => o.GetProperty("allowed").GetBoolean());
        var plover = await ComputeAsync("socket", Ask("plover", "orrery-p8-plover"));
        Assert.Equal("upgrade kit LL-PLV", plover.GetProperty("kit").GetString());
        Assert.Equal("captive", plover.GetProperty("posts").GetString());
        var wrong = await ComputeAsync("socket", Ask("plover", "orrery-p8"));
        Assert.Equal("clashes", wrong.GetProperty("verdict").GetString());
        Assert.Equal("wrong-socket", wrong.GetProperty("reasons")[0].GetProperty("code").GetString());
    }

    [Fact]
    public async Task A_bare_die_tells_its_gain_its_loads_and_what_refuses_the_metal()
    {
        var body = Ask("avocet", "orrery-a12");
        body["powerW"] = 260;
        body["blockKPerW"] = 0.03;
        body["paste"] = new JsonObject { ["id"] = "grey-standard" };
        body["metal"] = new JsonObject { ["bondLineUm"] = 30, ["conductivityWPerMK"] = 30 };
        var r = await ComputeAsync("direct-die", body);
        var gain = r.GetProperty("gainK").GetDouble();
        Assert.InRange(gain, r.GetProperty("gainLowK").GetDouble(), r.GetProperty("gainHighK").GetDouble());
        Assert.Equal(
            260 * (r.GetProperty("liddedKPerW").GetDouble() - r.GetProperty("directKPerW").GetDouble()),
            gain,
            9
        );
        var direct = r.GetProperty("direct");
        Assert.Equal(2.1 + 1.2 + 0.8, direct.GetProperty("contactMm").GetDouble(), 9);
        Assert.Equal(
            direct.GetProperty("loadN").GetDouble(),
            r.GetProperty("dies").EnumerateArray().Sum(d => d.GetProperty("loadN").GetDouble()),
            1e-6
        );
        Assert.Equal("bare-parts", r.GetProperty("refusals")[0].GetProperty("code").GetString());
    }

    [Fact]
    public async Task A_socket_document_is_checked_kept_listed_and_refused_with_its_faults()
    {
        var socket = Demo("sockets/gull.socket.json");
        socket["id"] = "heron";
        socket["name"] = "Heron";
        var check = await ServerProcess.JsonAsync(await _server.PostAsync("/api/library/check", socket.ToJsonString()));
        Assert.Equal("socket", check.GetProperty("kind").GetString());
        Assert.Equal(
            HttpStatusCode.Created,
            (await _server.PostAsync("/api/sockets", socket.ToJsonString())).StatusCode
        );
        var listed = await _server.GetAsync("/api/sockets");
        Assert.Contains(listed.EnumerateArray(), s => s.GetProperty("id").GetString() == "heron");
        socket["posts"] = "glue";
        socket["contactMaxN"] = 1;
        socket["cornerMark"] = new JsonArray(0, 2);
        var refused = await _server.PostAsync("/api/sockets?replace=true", socket.ToJsonString());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        var pointers = (await ServerProcess.JsonAsync(refused))
            .GetProperty("errors")
            .EnumerateArray()
            .Select(e => e.GetProperty("pointer").GetString())
            .ToList();
        Assert.Contains("/posts", pointers);
        Assert.Contains("/contactMaxN", pointers);
        Assert.Contains("/cornerMark", pointers);
    }

    [Fact]
    public async Task One_document_that_no_longer_reads_leaves_the_others_alone()
    {
        using var own = new ServerProcess();
        own.Kill();
        using (
            var c = new Microsoft.Data.Sqlite.SqliteConnection(
                $"Data Source={Path.Combine(own.Data, "shop.db")};Pooling=False"
            )
        )
        {
            c.Open();
            using var spoil = c.CreateCommand();
            spoil.CommandText =
                "update block set document = cast('{\"format\":\"faithful-bracket/block\"}' as blob), "
                + "digest = 'x' where id = 'undertow-slim-250'";
            Assert.Equal(1, spoil.ExecuteNonQuery());
        }
        own.KillAndRestart();
        var unread = await own.GetAsync("/api/library/unread");
        Assert.Equal("undertow-slim-250", Assert.Single(unread.EnumerateArray()).GetProperty("id").GetString());
        Assert.Equal(HttpStatusCode.OK, (await own.Http.GetAsync("/api/boards/tern-460-r2/blocks")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await own.Http.GetAsync("/api/bench")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await own.Http.GetAsync("/api/jobs/1")).StatusCode);
    }
}
