using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Cutting, what-if and sheets of a job, over HTTP on a real file.</summary>
public sealed class PadsTests : IDisposable
{
    private readonly ServerProcess _server = new();

    private async Task<JsonElement> JobAsync(int id = 1) => await _server.GetAsync($"/api/jobs/{id}");

    private Task<HttpResponseMessage> PutAwayAsync(int sheet) =>
        _server.PostAsync($"/api/jobs/1/cutting/{sheet}/put-away", """{"by":"QA"}""");

    private async Task<List<JsonElement>> PadsAsync() =>
        [.. (await _server.GetAsync("/api/drawer")).GetProperty("drawer").GetProperty("pads").EnumerateArray()];

    private async Task SignAsync(string step, int count) =>
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await _server.PostAsync(
                    $"/api/jobs/1/steps/{step}/sign",
                    JsonSerializer.Serialize(new { by = "QA", count }),
                    "0"
                )
            ).StatusCode
        );

    [Fact]
    public async Task A_begun_cut_plan_stands_and_its_rests_go_to_the_drawer_once()
    {
        var sheets = (await JobAsync())
            .GetProperty("plan")
            .GetProperty("pads")
            .GetProperty("cutting")
            .GetProperty("sheets");
        Assert.True(sheets[0].GetProperty("offcut").GetBoolean());
        Assert.Equal(HttpStatusCode.Conflict, (await PutAwayAsync(2)).StatusCode);
        await SignAsync("pads.cut-2", sheets[1].GetProperty("cuts").GetArrayLength());

        var before = await PadsAsync();
        var offcut = sheets[0].GetProperty("stockId").GetString();
        Assert.Contains(before, p => p.GetProperty("id").GetString() == offcut);
        Assert.Equal(HttpStatusCode.OK, (await PutAwayAsync(1)).StatusCode);
        var second = await ServerProcess.JsonAsync(await PutAwayAsync(2));
        var stored = second.GetProperty("stored")[0];
        var after = await PadsAsync();
        Assert.DoesNotContain(after, p => p.GetProperty("id").GetString() == offcut);
        var there = after.Single(p => p.GetProperty("id").GetString() == stored.GetProperty("id").GetString());
        Assert.True(there.GetProperty("offcut").GetBoolean());
        Assert.Equal(1.0, there.GetProperty("thicknessMm").GetDouble());
        Assert.Equal(HttpStatusCode.Conflict, (await PutAwayAsync(2)).StatusCode);

        // the drawer changed under it; the plan that is being cut did not
        Assert.Equal(
            sheets.GetRawText(),
            (await JobAsync())
                .GetProperty("plan")
                .GetProperty("pads")
                .GetProperty("cutting")
                .GetProperty("sheets")
                .GetRawText()
        );
        _server.KillAndRestart();
        Assert.Equal(
            sheets.GetRawText(),
            (await JobAsync())
                .GetProperty("plan")
                .GetProperty("pads")
                .GetProperty("cutting")
                .GetProperty("sheets")
                .GetRawText()
        );
    }

    [Fact]
    public async Task Ways_are_chosen_against_a_version_and_change_the_plan()
    {
        Task<HttpResponseMessage> Choose(string school, string way, string version) =>
            _server.SendAsync(
                HttpMethod.Put,
                "/api/jobs/1/ways",
                JsonSerializer.Serialize(
                    new
                    {
                        school,
                        way,
                        by = "QA",
                    }
                ),
                version
            );
        Assert.Equal(HttpStatusCode.OK, (await Choose("paste-die", "cross", "0")).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await Choose("paste-die", "line", "0")).StatusCode);
        Assert.Equal(
            "cross",
            (await JobAsync())
                .GetProperty("plan")
                .GetProperty("paste")
                .GetProperty("faces")[0]
                .GetProperty("method")
                .GetString()
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Choose("paste-die", "shovel", "1")).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Choose("colour", "red", "1")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await Choose("paste-die", "spread", "1")).StatusCode);
        Assert.Equal(
            "spread",
            (await JobAsync())
                .GetProperty("plan")
                .GetProperty("paste")
                .GetProperty("faces")[0]
                .GetProperty("method")
                .GetString()
        );
    }

    [Fact]
    public async Task Stock_pads_tighten_a_height_and_swapped_figures_are_refused()
    {
        Task<HttpResponseMessage> Note(double fresh, double pressed, string version) =>
            _server.SendAsync(
                HttpMethod.Put,
                "/api/jobs/2/as-found",
                JsonSerializer.Serialize(
                    new
                    {
                        pads = new[]
                        {
                            new
                            {
                                part = "M1",
                                newMm = fresh,
                                pressedMm = pressed,
                            },
                        },
                        by = "QA",
                    }
                ),
                version
            );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Note(1.0, 1.4, "0")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await Note(1.5, 0.95, "0")).StatusCode);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await _server.SendAsync(HttpMethod.Put, "/api/jobs/2/as-found", """{"by":"QA"}""", "1")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await _server.SendAsync(HttpMethod.Put, "/api/jobs/2/order", """{"by":"QA"}""", "0")).StatusCode
        );
        var evidence = (await JobAsync(2)).GetProperty("plan").GetProperty("evidence")[0].GetProperty("parts")[0];
        Assert.Equal("M1", evidence.GetProperty("part").GetString());
        Assert.NotEqual(evidence.GetProperty("documentMm").GetDouble(), evidence.GetProperty("usedMm").GetDouble());
    }

    [Fact]
    public async Task Sections_and_faults_are_calculated_and_nonsense_is_refused()
    {
        var cut = await _server.GetAsync("/api/jobs/1/section?x1=-60&y1=33&x2=120&y2=33");
        Assert.NotEmpty(cut.GetProperty("gaps").EnumerateArray());
        var fault = await _server.GetAsync("/api/jobs/1/pad-fault?part=M1&fault=doubled");
        Assert.NotEmpty(fault.GetProperty("seen").EnumerateArray());
        foreach (
            var bad in (string[])
                [
                    "section?x1=0&y1=0&x2=0&y2=0",
                    "section?x1=NaN&y1=0&x2=1&y2=0",
                    "pad-fault?part=M1&fault=eaten",
                    "pad-fault?part=U99&fault=missed",
                ]
        )
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await _server.Http.GetAsync($"/api/jobs/1/{bad}")).StatusCode
            );
        Assert.Contains(
            "CUTS",
            await _server.Http.GetStringAsync("/api/jobs/1/cutting/1.dxf"),
            StringComparison.Ordinal
        );
    }

    public void Dispose() => _server.Dispose();
}
