using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Calls for what somebody measured themselves, and how far a shop of its own has come.</summary>
public sealed class MeasuredCallTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<JsonElement> AnswerAsync(string path, string body) =>
        await ServerProcess.JsonAsync(await _server.PostAsync(path, body));

    private async Task RefusedAsync(string path, string body, string place)
    {
        var refused = await _server.PostAsync(path, body);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains(
            $"\"{place}\"",
            await refused.Content.ReadAsStringAsync(TestContext.Current.CancellationToken),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Depths_are_told_by_land_with_where_they_come_from()
    {
        const string Path = "/api/compute/depths";
        var steps = (
            await AnswerAsync(
                Path,
                """
                {"dieHeightMm":2.1,"readings":[
                 {"land":"L-m","kind":"gauge","readingMm":0.3,"dieReadingMm":0.5},
                 {"land":"L-m","kind":"impression","leftMm":0.75,"partHeightMm":1.2},
                 {"land":"L-q","kind":"manual","padMm":1.5,"squashMin":0.1,"squashMax":0.4,"partHeightMm":0.9}]}
                """
            )
        ).GetProperty("steps").EnumerateArray().ToList();
        Assert.Equal(["L-m", "L-q"], steps.Select(s => s.GetProperty("land").GetString()));
        Assert.Equal("""["gauge","impression"]""", steps[0].GetProperty("from").GetRawText());
        Assert.InRange(steps[0].GetProperty("stepMm").GetDouble(), -0.2, -0.18);
        Assert.False(steps[0].TryGetProperty("conflict", out _));
        Assert.Equal(1.5 * 0.75 + 0.9 - 2.1 - 0.03, steps[1].GetProperty("stepMm").GetDouble(), 9);
        await RefusedAsync(Path, """{"dieHeightMm":2.1,"readings":[]}""", "/readings");
        await RefusedAsync(
            Path,
            """{"dieHeightMm":2.1,"readings":[{"land":"L","kind":"manual","padMm":1,"squashMin":0.4,"squashMax":0.1,"partHeightMm":1}]}""",
            "/readings/0/squashMax"
        );
        await RefusedAsync(
            Path,
            """{"dieHeightMm":2.1,"readings":[{"land":"L","kind":"guess"}]}""",
            "/readings/0/kind"
        );
    }

    [Fact]
    public async Task A_series_of_runs_is_one_gain_with_its_interval_and_what_to_run_next()
    {
        const string Path = "/api/compute/trials";
        var told = await AnswerAsync(
            Path,
            """
            {"powerW":250,"wantPlusMinusK":0.5,"runs":[
             {"phase":"before","order":1,"dieC":82,"coolantInC":30,"flowLMin":3,"powerW":250},
             {"phase":"after","order":2,"dieC":61,"coolantInC":30.5,"flowLMin":3,"powerW":248},
             {"phase":"before","order":3,"dieC":82.6,"coolantInC":30.2,"flowLMin":3,"powerW":251},
             {"phase":"after","order":4,"dieC":60.4,"coolantInC":29.9,"flowLMin":3,"powerW":250}]}
            """
        );
        Assert.Equal("coolant-mean", told.GetProperty("reference").GetString());
        var gain = told.GetProperty("gainK").GetDouble();
        Assert.InRange(gain, 20, 23);
        Assert.InRange(gain, told.GetProperty("lowK").GetDouble(), told.GetProperty("highK").GetDouble());
        Assert.Contains(told.GetProperty("next").GetString(), (string[])["before", "after"]);
        Assert.True(told.GetProperty("runsNeeded").GetInt32() > 0);
        await RefusedAsync(
            Path,
            """{"powerW":250,"runs":[{"phase":"after","order":1,"dieC":60,"roomC":22,"powerW":250}]}""",
            "/runs"
        );
    }

    [Fact]
    public async Task A_shop_of_its_own_begins_with_a_signer_a_board_and_a_block()
    {
        static string All(JsonElement e, string list) => e.GetProperty(list).GetRawText();
        var made = await _server.GetAsync("/api/setup");
        Assert.True(made.GetProperty("demo").GetBoolean());
        Assert.Equal("""["signer","board","block"]""", All(made, "done"));
        using var server = new ServerProcess(demo: false);
        var empty = await server.GetAsync("/api/setup");
        Assert.False(empty.GetProperty("demo").GetBoolean());
        Assert.Equal("[]", All(empty, "done"));
        Assert.Equal("""["signer","board","block"]""", All(empty, "open"));
        await server.PostAsync("/api/boards", ServerProcess.DemoFile("boards/tern-460-r2.board.json"));
        Assert.Equal("""["board"]""", All(await server.GetAsync("/api/setup"), "done"));
    }
}
