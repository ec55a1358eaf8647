using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Plate heat, settling, resistance, leak and drift over HTTP: answers, limits, and the place of what is wrong.</summary>
public sealed class ProofCallTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<JsonElement> AskAsync(string call, string body)
    {
        var answer = await _server.PostAsync($"/api/compute/{call}", body);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
        return await ServerProcess.JsonAsync(answer);
    }

    private async Task RefusedAsync(string call, string body, string pointer)
    {
        var answer = await _server.PostAsync($"/api/compute/{call}", body);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var errors = (await ServerProcess.JsonAsync(answer)).GetProperty("errors").EnumerateArray();
        Assert.Contains(errors, e => e.GetProperty("pointer").GetString() == pointer);
    }

    private const string Plate =
        """{"outline":[[0,0],[80,0],[80,40],[0,40]],"thicknessMm":3,"kWPerMK":390,"hWPerM2K":9000,"sources":[{"x":40,"y":20,"widthMm":20,"depthMm":20,"watts":150}],"coolantC":30,"probes":[[40,20]]}""";

    [Fact]
    public async Task A_plate_gives_out_what_goes_in()
    {
        var r = await AskAsync("plate-heat", Plate);
        Assert.Equal(150, r.GetProperty("heatOutW").GetDouble(), 1e-4);
        // all of it over the whole plate: 150 W / (9000 · 0.0032 m²)
        Assert.Equal(30 + 150 / (9000 * 0.0032), r.GetProperty("meanC").GetDouble(), 1e-6);
        Assert.Equal(40, r.GetProperty("atMm")[0].GetDouble(), 1.0);
        Assert.Equal(1, r.GetProperty("probesC").GetArrayLength());
        await RefusedAsync("plate-heat", Plate.Replace("\"x\":40", "\"x\":400"), "/sources/0");
        await RefusedAsync("plate-heat", Plate.Replace("\"hWPerM2K\":9000,", ""), "/hWPerM2K");
        await RefusedAsync("plate-heat", Plate[..^1] + ",\"cellMm\":0.02}", "/cellMm");
        await RefusedAsync("plate-heat", Plate[..^1] + ",\"colour\":1}", "/colour");
    }

    [Fact]
    public async Task A_log_settles_and_its_times_have_to_rise()
    {
        var samples = string.Join(
            ',',
            Enumerable
                .Range(0, 200)
                .Select(i =>
                    FormattableString.Invariant($"{{\"tS\":{i * 3},\"c\":{60 - 25 * Math.Exp(-i * 3 / 70.0):0.0000}}}")
                )
        );
        var r = await AskAsync("steady-state", $"{{\"samples\":[{samples}]}}");
        Assert.Equal(60, r.GetProperty("steadyC").GetDouble(), 0.02);
        Assert.Equal(70, r.GetProperty("tauS").GetDouble(), 1);
        Assert.True(r.GetProperty("settled").GetBoolean());
        Assert.Equal(0, r.GetProperty("moreS").GetDouble());
        Assert.Equal(1, r.GetProperty("regimes").GetArrayLength());
        await RefusedAsync(
            "steady-state",
            """{"samples":[{"tS":0,"c":1},{"tS":2,"c":1},{"tS":1,"c":1},{"tS":3,"c":1}]}""",
            "/samples/2/tS"
        );
        await RefusedAsync("steady-state", """{"samples":[{"tS":0,"c":1}]}""", "/samples");
    }

    [Fact]
    public async Task Before_and_after_are_compared_and_one_alone_is_told()
    {
        var r = await AskAsync(
            "resistance",
            """{"before":{"dieC":84,"roomC":22,"powerW":200},"after":{"dieC":52,"roomC":23,"coolantInC":30,"flowLMin":3,"powerW":205,"sigma":{"dieC":0.5}}}"""
        );
        Assert.Equal(0.31, r.GetProperty("before").GetProperty("toRoomKPerW").GetDouble(), 9);
        Assert.True(r.GetProperty("comparable").GetBoolean());
        Assert.Equal(62 - 29.0 * 200 / 205, r.GetProperty("gainK").GetDouble(), 9);
        var alone = await AskAsync("resistance", """{"before":{"dieC":84,"roomC":22,"powerW":200}}""");
        Assert.False(alone.GetProperty("comparable").GetBoolean());
        await RefusedAsync("resistance", "{}", "/before");
        await RefusedAsync("resistance", """{"before":{"dieC":84,"roomC":22,"powerW":0}}""", "/before/powerW");
    }

    [Fact]
    public async Task A_tight_loop_passes_and_a_leak_fails()
    {
        string Hold(double leak) =>
            string.Join(
                ',',
                Enumerable
                    .Range(0, 90)
                    .Select(i =>
                        FormattableString.Invariant(
                            $"{{\"tS\":{i * 10},\"gaugeKPa\":{40 - leak * 101.3 / 500 / 60 * i * 10 + (i % 2 == 0 ? 0.01 : -0.01):0.00000},\"tempC\":22}}"
                        )
                    )
            );
        var tight = await AskAsync("leak", $"{{\"volumeMl\":500,\"ambientKPa\":101.3,\"samples\":[{Hold(0)}]}}");
        Assert.Equal("pass", tight.GetProperty("verdict").GetString());
        Assert.Equal(0, tight.GetProperty("moreS").GetDouble());
        var leaks = await AskAsync("leak", $"{{\"volumeMl\":500,\"ambientKPa\":101.3,\"samples\":[{Hold(0.7)}]}}");
        Assert.Equal("fail", leaks.GetProperty("verdict").GetString());
        Assert.Equal(0.7, leaks.GetProperty("leakMlPerMin").GetDouble(), 0.01);
        await RefusedAsync("leak", """{"volumeMl":500,"ambientKPa":101.3,"samples":[]}""", "/samples");
    }

    [Fact]
    public async Task A_drift_is_due_and_a_single_day_is_none()
    {
        var r = await AskAsync(
            "drift",
            """{"points":[{"day":0,"kPerW":0.1,"sigma":0.001},{"day":100,"kPerW":0.11,"sigma":0.001}],"limitShare":0.2,"capDays":150}"""
        );
        Assert.True(r.GetProperty("capped").GetBoolean());
        Assert.Equal(150, r.GetProperty("dueDay").GetDouble(), 9);
        await RefusedAsync(
            "drift",
            """{"points":[{"day":5,"kPerW":0.1,"sigma":0.001},{"day":5,"kPerW":0.11,"sigma":0.001}]}""",
            "/points"
        );
    }
}
