using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>The fixed computing calls over HTTP, with the fields the documents promise.</summary>
public class ComputeTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess server = demo.Server;

    private static JsonNode Doc(string name) => JsonNode.Parse(ServerProcess.DemoFile(name))!;

    private static JsonNode Tern => Doc("boards/tern-460-r2.board.json");

    private static JsonNode Full => Doc("blocks/brineworks-full-460.block.json");

    private async Task<JsonElement> ComputeAsync(
        string call,
        JsonNode body,
        HttpStatusCode expected = HttpStatusCode.OK
    )
    {
        var response = await server.PostAsync($"/api/compute/{call}", body.ToJsonString());
        Assert.Equal(expected, response.StatusCode);
        return await ServerProcess.JsonAsync(response);
    }

    [Fact]
    public async Task Fit_answers_with_the_fixed_fields()
    {
        var a = await ComputeAsync("fit", new JsonObject { ["board"] = Tern, ["block"] = Full });
        Assert.Equal("seats", a.GetProperty("verdict").GetString());
        Assert.Equal("A", a.GetProperty("grade").GetString());
        Assert.Equal(2.13, a.GetProperty("planeMm").GetDouble(), 9);
        Assert.Equal(0, a.GetProperty("placement").GetProperty("rotationDeg").GetDouble());
        Assert.Equal(10, a.GetProperty("screws").GetArrayLength());
        Assert.Equal(1, a.GetProperty("chanceOfSeating").GetDouble());
        Assert.NotEqual("", a.GetProperty("reasons")[0].GetProperty("text").GetString());
    }

    [Fact]
    public async Task A_taller_capacitor_clashes_by_its_measure()
    {
        var a = await ComputeAsync(
            "fit",
            new JsonObject { ["board"] = Doc("boards/tern-460-r3.board.json"), ["block"] = Full }
        );
        Assert.Equal("clashes", a.GetProperty("verdict").GetString());
        var clash = a.GetProperty("clashes").EnumerateArray().Single();
        Assert.Equal("C12", clash.GetProperty("part").GetString());
        Assert.Equal(2.13 + 0.9 - 3.4, clash.GetProperty("marginMm").GetDouble(), 9);
    }

    [Fact]
    public async Task Gaps_take_materials_inline()
    {
        var own = JsonNode.Parse(
            """[{"id":"soft-3","curve":[[0.5,0.5]],"squashMin":0.2,"squashMax":0.4,"thicknessTolMm":0}]"""
        )!;
        var a = await ComputeAsync(
            "gaps",
            new JsonObject
            {
                ["board"] = Tern,
                ["block"] = Full,
                ["materials"] = own,
            }
        );
        var m1 = a.GetProperty("pairs").EnumerateArray().Single(p => p.GetProperty("part").GetString() == "M1");
        Assert.Equal(0.72, m1.GetProperty("nominalMm").GetDouble(), 9);
        Assert.Equal("starved", m1.GetProperty("pad").GetProperty("state").GetString());
    }

    [Fact]
    public async Task Unknown_materials_are_named()
    {
        var block = Full;
        block["kit"]!["pads"]![0]!["material"] = "nobody-knows";
        var a = await ComputeAsync(
            "gaps",
            new JsonObject { ["board"] = Tern, ["block"] = block },
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Contains(
            "nobody-knows",
            a.GetProperty("errors")[0].GetProperty("message").GetString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Seating_and_tightening_answer_for_the_demo_pair()
    {
        var pads = new JsonArray([
            .. Enumerable
                .Range(1, 6)
                .Select(i =>
                    (JsonNode)
                        new JsonObject
                        {
                            ["part"] = $"M{i}",
                            ["thicknessMm"] = 1.0,
                            ["material"] = "soft-3",
                        }
                ),
        ]);
        JsonObject Body() =>
            new()
            {
                ["board"] = Tern,
                ["block"] = Full,
                ["pads"] = pads.DeepClone(),
                ["paste"] = new JsonObject { ["id"] = "grey-standard" },
            };
        var seated = await ComputeAsync("seating", Body());
        Assert.Equal(4, seated.GetProperty("dies")[0].GetProperty("bondLinesUm").GetArrayLength());
        Assert.False(seated.GetProperty("floats").GetBoolean());
        var tightened = await ComputeAsync("tightening", Body());
        Assert.Equal(10, tightened.GetProperty("order").GetArrayLength());
        Assert.True(tightened.GetProperty("recommendedTurns").GetDouble() > 0);
    }

    [Fact]
    public async Task Teardown_paste_and_cuts_answer()
    {
        var t = await ComputeAsync("teardown", new JsonObject { ["board"] = Tern });
        Assert.Equal(10, t.GetProperty("steps").GetArrayLength());
        var p = await ComputeAsync(
            "paste",
            JsonNode.Parse(
                """{"surface":{"kind":"die","widthMm":24,"depthMm":22},"paste":{"yieldPa":110,"viscosityPaS":180,"densityGPerMl":2.6,"cUm":131,"m":0.166,"conductivityWPerMK":4},"clampN":264,"margin":0.5}"""
            )!
        );
        Assert.Equal(131 * Math.Pow(110e-6 / 0.5, 0.166), p.GetProperty("bondLineUm").GetDouble(), 6);
        var c = await ComputeAsync(
            "cut-plan",
            JsonNode.Parse(
                """{"pieces":[{"id":"A","widthMm":14,"depthMm":12,"thicknessMm":1,"count":6}],"stock":[{"id":"s","widthMm":120,"depthMm":20,"thicknessMm":1,"count":1,"offcut":false}]}"""
            )!
        );
        Assert.Equal(1, c.GetProperty("newSheets").GetInt32());
        Assert.Equal(6, c.GetProperty("sheets")[0].GetProperty("placements").GetArrayLength());
    }

    [Theory]
    [InlineData("{", HttpStatusCode.BadRequest)]
    [InlineData("[]", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"board\":{},\"block\":{}}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"board\":5,\"block\":null}", HttpStatusCode.UnprocessableEntity)]
    public async Task Bad_bodies_get_problem_details_with_pointers(string body, HttpStatusCode status)
    {
        foreach (var call in (string[])["fit", "gaps", "seating", "cut-plan", "paste", "teardown", "tightening"])
        {
            if (call == "cut-plan" && body.Length > 2)
                continue;
            var response = await server.PostAsync($"/api/compute/{call}", body);
            Assert.True((int)response.StatusCode is 400 or 422, $"{call}: {response.StatusCode}");
            Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
            if (call == "fit")
                Assert.Equal(status, response.StatusCode);
            Assert.True((await ServerProcess.JsonAsync(response)).GetProperty("errors").GetArrayLength() > 0);
        }
    }

    [Fact]
    public async Task Every_fault_of_a_document_is_named_at_once()
    {
        var board = Tern;
        board["thicknessMm"] = "thin";
        board["parts"]![2]!["kind"] = "kettle";
        board["colour"] = "blue";
        var a = await ComputeAsync(
            "teardown",
            new JsonObject { ["board"] = board },
            HttpStatusCode.UnprocessableEntity
        );
        var pointers = a.GetProperty("errors")
            .EnumerateArray()
            .Select(e => e.GetProperty("pointer").GetString())
            .ToHashSet();
        Assert.All(
            (string[])["/board/thicknessMm", "/board/parts/2/kind", "/board/colour"],
            p => Assert.Contains(p, pointers)
        );
    }

    [Fact]
    public async Task The_published_description_is_the_one_in_the_house()
    {
        var served = JsonNode.Parse(await server.Http.GetStringAsync("/openapi/v1.json"))!.AsObject();
        var kept = JsonNode
            .Parse(File.ReadAllText(Path.Combine(ServerProcess.Root, "docs/formats/openapi-v1.json")))!
            .AsObject();
        served.Remove("servers");
        kept.Remove("servers");
        Assert.Equal("3.1", served["openapi"]!.GetValue<string>()[..3]);
        Assert.True(JsonNode.DeepEquals(served, kept), "docs/formats/openapi-v1.json is stale: ./run types");
    }

    [Fact]
    public async Task Bow_of_a_simply_supported_square_is_the_tables()
    {
        // D = E·t³/12(1 − ν²); w = 0.004062·q·a⁴/D (Timoshenko)
        var a = await ComputeAsync(
            "bow",
            JsonNode.Parse(
                """{"outline":[[0,0],[100,0],[100,100],[0,100]],"thicknessMm":1.6,"material":{"eMPa":22000,"nu":0.3},"edges":"simply-supported","loads":[],"pressureMPa":0.001,"probes":[[50,50]],"elements":900}"""
            )!
        );
        var d = 22000 * Math.Pow(1.6, 3) / (12 * (1 - 0.09));
        var expected = 0.004062 * 0.001 * 1e8 / d;
        Assert.Equal(expected, a.GetProperty("peakMm").GetDouble(), 0.01 * expected);
        Assert.Equal(expected, a.GetProperty("probesMm")[0].GetDouble(), 0.01 * expected);
        Assert.Equal(50, a.GetProperty("atMm")[0].GetDouble(), 6);
        Assert.True(a.GetProperty("strainMicro").GetDouble() > 0);
        Assert.Equal(900, a.GetProperty("elementsUsed").GetInt32());
    }

    [Fact]
    public async Task A_pattern_gets_coverage_bare_spots_and_spill()
    {
        var body = JsonNode.Parse(
            """{"surface":{"kind":"die","widthMm":24,"depthMm":22},"paste":{"yieldPa":110,"viscosityPaS":180,"densityGPerMl":2.6},"pattern":{"kind":"strokes","strokes":[[[-8,0],[8,0]]]},"clampN":300,"margin":0.2,"cells":64}"""
        )!;
        var a = await ComputeAsync("paste", body);
        var coverage = a.GetProperty("coverage").GetDouble();
        Assert.InRange(coverage, 0.3, 0.999);
        Assert.NotEmpty(a.GetProperty("bare").EnumerateArray());
        Assert.True(a.GetProperty("spill").GetProperty("ml").GetDouble() >= 0);
        Assert.True(a.GetProperty("volumeErrorShare").GetDouble() < 1e-3);
        body.AsObject().Remove("pattern");
        Assert.False((await ComputeAsync("paste", body)).TryGetProperty("coverage", out _));
    }

    [Fact]
    public async Task A_thread_is_no_face_to_squeeze_paste_on()
    {
        var response = await server.PostAsync(
            "/api/compute/paste",
            """
            {
              "surface": {"kind": "outline", "outline": [[0, 0], [1000, 0], [1000, 0.001], [0, 0.001]]},
              "paste": {"yieldPa": 110, "viscosityPaS": 180},
              "pattern": {"kind": "strokes", "strokes": [[[0, 0], [1000, 0]]]},
              "clampN": 300,
              "margin": 0.2
            }
            """
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, response.StatusCode);
        var error = (await ServerProcess.JsonAsync(response)).GetProperty("errors")[0];
        Assert.Equal("/surface", error.GetProperty("pointer").GetString());
        Assert.Contains("1000 × 0.001 mm", error.GetProperty("message").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_bare_board_turned_and_shifted_finds_its_twin_and_the_taller_capacitor()
    {
        JsonArray holes = [],
            parts = [];
        foreach (var h in Tern["holes"]!.AsArray())
            holes.Add(
                new JsonObject
                {
                    ["x"] = 40 - h!["y"]!.GetValue<double>(),
                    ["y"] = 7 + h["x"]!.GetValue<double>(),
                    ["diameterMm"] = h["diameterMm"]!.GetValue<double>(),
                }
            );
        foreach (var p in Tern["parts"]!.AsArray())
            parts.Add(
                new JsonObject
                {
                    ["id"] = p!["id"]!.GetValue<string>(),
                    ["kind"] = p["kind"]!.GetValue<string>(),
                    ["face"] = p["face"]?.GetValue<string>() ?? "front",
                    ["x"] = 40 - p["y"]!.GetValue<double>(),
                    ["y"] = 7 + p["x"]!.GetValue<double>(),
                    ["heightMm"] = p["heightMm"]!.GetValue<double>() + (p["id"]!.GetValue<string>() == "C12" ? 0.5 : 0),
                }
            );
        var a = await ComputeAsync(
            "identify",
            new JsonObject
            {
                ["holes"] = holes,
                ["parts"] = parts,
                ["sigmaMm"] = 0.05,
            }
        );
        var first = a.GetProperty("candidates")[0];
        Assert.StartsWith("tern-460-r", first.GetProperty("boardId").GetString(), StringComparison.Ordinal);
        Assert.True(first.GetProperty("chance").GetDouble() > 0.5);
        Assert.Equal(-90, first.GetProperty("placement").GetProperty("rotationDeg").GetDouble(), 0.01);
        Assert.True(
            first.TryGetProperty("differencesUnderBlock", out _) && first.TryGetProperty("otherDifferences", out _)
        );
    }

    [Fact]
    public async Task Trace_recovers_a_plain_view_from_above()
    {
        // 10 px a mm, v down
        var body = JsonNode.Parse(
            """{"target":[{"xMm":0,"yMm":0,"uPx":100,"vPx":900},{"xMm":80,"yMm":0,"uPx":900,"vPx":900},{"xMm":80,"yMm":80,"uPx":900,"vPx":100},{"xMm":0,"yMm":80,"uPx":100,"vPx":100}],"points":[{"id":"H1","uPx":300,"vPx":600}],"imageSize":[1000,1000],"sigmaPx":0.5}"""
        )!;
        var p = (await ComputeAsync("trace", body)).GetProperty("points")[0];
        Assert.Equal(20, p.GetProperty("xMm").GetDouble(), 6);
        Assert.Equal(30, p.GetProperty("yMm").GetDouble(), 6);
        Assert.InRange(p.GetProperty("covMm2")[0].GetDouble(), 0.05 * 0.05, 0.1 * 0.1);
    }

    [Fact]
    public async Task Layout_files_are_read_from_a_form_and_refused_by_line()
    {
        using var form = new MultipartFormDataContent
        {
            { new StringContent("M48\nMETRIC\nT1C2.8\n%\nT1\nX10.0Y20.0\nM30\n"), "files", "a.drl" },
            { new StringContent("Ref,X,Y,Rot,Side\nC1,5,6,90,top\n"), "files", "b.csv" },
        };
        var good = await server.Http.PostAsync("/api/compute/read-layout", form);
        var a = await ServerProcess.JsonAsync(good);
        Assert.Equal(2.8, a.GetProperty("holes")[0].GetProperty("diameterMm").GetDouble());
        Assert.Equal("C1", a.GetProperty("parts")[0].GetProperty("id").GetString());
        Assert.Equal("mm", a.GetProperty("units").GetString());
        using var bad = new MultipartFormDataContent
        {
            { new StringContent("Ref,X,Y\nC1,5,here\n"), "files", "b.csv" },
        };
        var refused = await server.Http.PostAsync("/api/compute/read-layout", bad);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains(
            "line 2",
            (await ServerProcess.JsonAsync(refused)).GetProperty("errors")[0].GetProperty("message").GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal(
            HttpStatusCode.UnsupportedMediaType,
            (await server.PostAsync("/api/compute/read-layout", "{}")).StatusCode
        );
    }

    [Fact]
    public async Task A_bending_board_is_an_option_of_seating()
    {
        var pads = new JsonArray();
        foreach (
            var p in (await ComputeAsync("gaps", new JsonObject { ["board"] = Tern, ["block"] = Full }))
                .GetProperty("pairs")
                .EnumerateArray()
                .Where(p => p.TryGetProperty("pad", out var pad) && pad.ValueKind == JsonValueKind.Object)
        )
            pads.Add(
                new JsonObject
                {
                    ["part"] = p.GetProperty("part").GetString(),
                    ["thicknessMm"] = p.GetProperty("pad").GetProperty("thicknessMm").GetDouble(),
                    ["material"] = p.GetProperty("pad").GetProperty("material").GetString(),
                }
            );
        JsonObject Body(JsonNode? elastic) =>
            new()
            {
                ["board"] = Tern,
                ["block"] = Full,
                ["pads"] = pads.DeepClone(),
                ["paste"] = JsonNode.Parse("""{"yieldPa":110,"viscosityPaS":180}"""),
                ["elasticBoard"] = elastic,
            };
        double Load(JsonElement e) => e.GetProperty("dies")[0].GetProperty("loadN").GetDouble();
        var (rigid, bent) = (await ComputeAsync("seating", Body(false)), await ComputeAsync("seating", Body(true)));
        Assert.NotEqual(Load(rigid), Load(bent), 1);
        Assert.True(Load(bent) > 0);
    }
}
