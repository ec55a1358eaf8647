using System.Net;
using System.Net.Http.Headers;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Photos to trace from: taken in, kept, changed with versions, calculated.</summary>
public class TraceTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess server = demo.Server;

    private static readonly byte[] Photo = File.ReadAllBytes(
        Path.Combine(ServerProcess.Root, "demo/photos/dunlin-bench.jpg")
    );

    private async Task<JsonElement> UploadAsync()
    {
        using var body = new ByteArrayContent(Photo)
        {
            Headers = { ContentType = new MediaTypeHeaderValue("image/jpeg") },
        };
        var made = await server.Http.PostAsync("/api/traces?by=QA", body);
        Assert.Equal(HttpStatusCode.Created, made.StatusCode);
        return await ServerProcess.JsonAsync(made);
    }

    private static JsonObject StateOf(JsonElement trace) =>
        JsonNode.Parse(trace.GetProperty("state").GetRawText())!.AsObject();

    private static JsonArray TrueHoles()
    {
        var truth = JsonNode.Parse(ServerProcess.DemoFile("photos/dunlin-bench.truth.json"))!;
        return
        [
            .. truth["holes"]!
                .AsArray()
                .Select(h =>
                    (JsonNode)
                        new JsonObject
                        {
                            ["id"] = h!["id"]!.GetValue<string>(),
                            ["isHole"] = true,
                            ["uPx"] = h["px"]![0]!.GetValue<double>(),
                            ["vPx"] = h["px"]![1]!.GetValue<double>(),
                            ["role"] = "retention",
                            ["diameterMm"] = 2.8,
                            ["heightMm"] = 0,
                            ["heightTolMm"] = 0,
                        }
                ),
        ];
    }

    [Fact]
    public async Task A_photo_comes_back_with_its_marks_and_safe_headers()
    {
        var trace = await UploadAsync();
        Assert.Equal(12, trace.GetProperty("state").GetProperty("marks").GetArrayLength());
        Assert.Equal((2000, 1500), (trace.GetProperty("widthPx").GetInt32(), trace.GetProperty("heightPx").GetInt32()));
        var photo = await server.Http.GetAsync($"/api/traces/{trace.GetProperty("id").GetInt64()}/photo");
        Assert.Equal("image/jpeg", photo.Content.Headers.ContentType!.MediaType);
        Assert.Equal("nosniff", photo.Headers.GetValues("X-Content-Type-Options").Single());
        Assert.Contains(
            "sandbox",
            photo.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("no picture at all", HttpStatusCode.UnprocessableEntity)]
    [InlineData("GIF89a", HttpStatusCode.UnprocessableEntity)]
    public async Task What_is_no_picture_is_refused(string content, HttpStatusCode expected)
    {
        var before = (await server.GetAsync("/api/traces")).GetArrayLength();
        using var body = new ByteArrayContent(System.Text.Encoding.ASCII.GetBytes(content))
        {
            Headers = { ContentType = new MediaTypeHeaderValue("image/png") },
        };
        Assert.Equal(expected, (await server.Http.PostAsync("/api/traces?by=QA", body)).StatusCode);
        Assert.Equal(before, (await server.GetAsync("/api/traces")).GetArrayLength());
    }

    [Fact]
    public async Task True_clicks_give_true_distances_and_a_verdict_with_what_to_measure()
    {
        var trace = await UploadAsync();
        var id = trace.GetProperty("id").GetInt64();
        var state = StateOf(trace);
        state["features"] = TrueHoles();
        Assert.Equal(
            HttpStatusCode.OK,
            (await server.SendAsync(HttpMethod.Put, $"/api/traces/{id}", state.ToJsonString(), "1")).StatusCode
        );
        var calculated = await server.GetAsync($"/api/traces/{id}/calculate");
        var holes = calculated
            .GetProperty("board")
            .GetProperty("holes")
            .EnumerateArray()
            .ToDictionary(
                h => h.GetProperty("id").GetString()!,
                h => (X: h.GetProperty("x").GetDouble(), Y: h.GetProperty("y").GetDouble())
            );
        var truth = JsonNode.Parse(ServerProcess.DemoFile("photos/dunlin-bench.truth.json"))!["holes"]!
            .AsArray()
            .ToDictionary(
                h => h!["id"]!.GetValue<string>(),
                h => (X: h!["xMm"]!.GetValue<double>(), Y: h["yMm"]!.GetValue<double>())
            );
        foreach (var a in truth.Keys)
        foreach (var b in truth.Keys)
            Assert.Equal(
                Math.Sqrt(Math.Pow(truth[a].X - truth[b].X, 2) + Math.Pow(truth[a].Y - truth[b].Y, 2)),
                Math.Sqrt(Math.Pow(holes[a].X - holes[b].X, 2) + Math.Pow(holes[a].Y - holes[b].Y, 2)),
                0.1
            );
        Assert.NotEmpty(calculated.GetProperty("matches").EnumerateArray());
        Assert.True(calculated.GetProperty("sigmaMm").GetDouble() < 0.2);
    }

    [Fact]
    public async Task A_lost_race_is_a_412_and_a_faulty_state_changes_nothing()
    {
        var trace = await UploadAsync();
        var address = $"/api/traces/{trace.GetProperty("id").GetInt64()}";
        var state = StateOf(trace);
        state["model"] = "First";
        Assert.Equal(
            HttpStatusCode.OK,
            (await server.SendAsync(HttpMethod.Put, address, state.ToJsonString(), "1")).StatusCode
        );
        state["model"] = "Second";
        Assert.Equal(
            HttpStatusCode.PreconditionFailed,
            (await server.SendAsync(HttpMethod.Put, address, state.ToJsonString(), "1")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.PreconditionRequired,
            (await server.SendAsync(HttpMethod.Put, address, state.ToJsonString())).StatusCode
        );
        state["features"] = new JsonArray(
            new JsonObject
            {
                ["id"] = "P1",
                ["isHole"] = false,
                ["uPx"] = 1,
                ["vPx"] = 2,
                ["heightMm"] = 900,
                ["heightTolMm"] = 0,
            }
        );
        var refused = await server.SendAsync(HttpMethod.Put, address, state.ToJsonString(), "2");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Equal(2, (await ServerProcess.JsonAsync(refused)).GetProperty("errors").GetArrayLength());
        Assert.Equal("First", (await server.GetAsync(address)).GetProperty("state").GetProperty("model").GetString());
    }

    [Fact]
    public async Task A_trace_outlives_a_power_cut()
    {
        using var own = new ServerProcess();
        using var body = new ByteArrayContent(Photo)
        {
            Headers = { ContentType = new MediaTypeHeaderValue("image/jpeg") },
        };
        var id = (await ServerProcess.JsonAsync(await own.Http.PostAsync("/api/traces?by=QA", body)))
            .GetProperty("id")
            .GetInt64();
        own.KillAndRestart();
        Assert.Equal(
            12,
            (await own.GetAsync($"/api/traces/{id}")).GetProperty("state").GetProperty("marks").GetArrayLength()
        );
        Assert.Equal(HttpStatusCode.OK, (await own.Http.GetAsync($"/api/traces/{id}/photo")).StatusCode);
    }

    [Fact]
    public async Task A_click_snaps_to_the_hole_and_one_hole_gives_its_mirrored_three()
    {
        var trace = await UploadAsync();
        var id = trace.GetProperty("id").GetInt64();
        var h1 = TrueHoles()[0]!;
        double u = h1["uPx"]!.GetValue<double>(),
            v = h1["vPx"]!.GetValue<double>();
        var snap = await ServerProcess.JsonAsync(
            await server.PostAsync(
                $"/api/traces/{id}/snap",
                FormattableString.Invariant($$"""{"uPx":{{u + 3}},"vPx":{{v - 3}},"reachPx":14}""")
            )
        );
        Assert.True(snap.GetProperty("snapped").GetBoolean());
        Assert.Equal(2.8, snap.GetProperty("diameterMm").GetDouble(), 0.25);
        Assert.Equal(u, snap.GetProperty("uPx").GetDouble(), 0.7);
        Assert.Equal(v, snap.GetProperty("vPx").GetDouble(), 0.7);

        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.PostAsync($"/api/traces/{id}/mirror", """{"featureId":"H1"}""")).StatusCode
        );
        var state = StateOf(trace);
        var die = JsonNode.Parse(ServerProcess.DemoFile("photos/dunlin-bench.truth.json"))!["parts"]!
            .AsArray()
            .First(p => p!["kind"]!.GetValue<string>() == "Die")!;
        double Corner(int k, int axis) => die["corners"]![k]![axis]!.GetValue<double>();
        state["features"] = new JsonArray(
            h1.DeepClone(),
            TrueHoles()[4]!.DeepClone(),
            new JsonObject
            {
                ["id"] = "U1",
                ["isHole"] = false,
                ["kind"] = "die",
                ["uPx"] = Corner(0, 0),
                ["vPx"] = Corner(0, 1),
                ["oppositeUPx"] = Corner(2, 0),
                ["oppositeVPx"] = Corner(2, 1),
                ["heightMm"] = die["heightMm"]!.GetValue<double>(),
                ["heightTolMm"] = 0.1,
            }
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (await server.SendAsync(HttpMethod.Put, $"/api/traces/{id}", state.ToJsonString(), "1")).StatusCode
        );
        var more = await ServerProcess.JsonAsync(
            await server.PostAsync($"/api/traces/{id}/mirror", """{"featureId":"H1"}""")
        );
        Assert.Equal(3, more.GetArrayLength());
    }

    [Theory]
    [InlineData("PUT", "/api/traces/1")]
    [InlineData("POST", "/api/traces/1/snap")]
    [InlineData("POST", "/api/traces/1/mirror")]
    [InlineData("POST", "/api/jobs/1/practice")]
    [InlineData("POST", "/api/jobs/5/survey")]
    [InlineData("PUT", "/api/jobs/1")]
    [InlineData("POST", "/api/paste/simulate")]
    [InlineData("POST", "/api/compute/trace")]
    [InlineData("POST", "/api/compute/identify")]
    [InlineData("POST", "/api/compute/bow")]
    public async Task Junk_is_refused_with_a_sentence_and_breaks_nothing(string method, string path)
    {
        string[] junk =
        [
            "",
            "{}",
            "[]",
            "null",
            "not json",
            """{"moves":[null],"marks":[null],"features":[null],"padChoices":[null],"title":"t","bench":"b"}""",
            """{"marks":[{}],"features":[{"isHole":false}],"moves":[{}]}""",
            """{"uPx":1e308,"vPx":{},"reachPx":"x","featureId":7,"id":null}""",
        ];
        foreach (var body in junk)
        {
            var answer = await server.SendAsync(new(method), path, body, "1");
            Assert.True((int)answer.StatusCode is 400 or 412 or 422, $"{body}: {answer.StatusCode}");
            Assert.NotEqual("", (await ServerProcess.JsonAsync(answer)).GetProperty("detail").GetString());
        }
        Assert.Equal(HttpStatusCode.OK, (await server.Http.GetAsync("/api/traces/1/calculate")).StatusCode);
    }

    [Fact]
    public async Task Without_a_caliper_there_are_places_but_no_verdict()
    {
        var trace = await UploadAsync();
        var id = trace.GetProperty("id").GetInt64();
        var state = StateOf(trace);
        var holes = TrueHoles();
        holes[2]!.AsObject().Remove("diameterMm");
        state["features"] = holes;
        Assert.Equal(
            HttpStatusCode.OK,
            (await server.SendAsync(HttpMethod.Put, $"/api/traces/{id}", state.ToJsonString(), "1")).StatusCode
        );
        var calculated = await server.GetAsync($"/api/traces/{id}/calculate");
        Assert.Contains("the diameter of H3", calculated.GetProperty("trouble").GetString(), StringComparison.Ordinal);
        Assert.Equal(0, calculated.GetProperty("matches").GetArrayLength());
        Assert.Equal(8, calculated.GetProperty("trace").GetProperty("points").GetArrayLength());
    }
}
