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

    private async Task<JsonElement> ComputeAsync(string call, JsonNode body, HttpStatusCode expected = HttpStatusCode.OK)
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
        var a = await ComputeAsync("fit", new JsonObject { ["board"] = Doc("boards/tern-460-r3.board.json"), ["block"] = Full });
        Assert.Equal("clashes", a.GetProperty("verdict").GetString());
        var clash = a.GetProperty("clashes").EnumerateArray().Single();
        Assert.Equal("C12", clash.GetProperty("part").GetString());
        Assert.Equal(2.13 + 0.9 - 3.4, clash.GetProperty("marginMm").GetDouble(), 9);
    }

    [Fact]
    public async Task Gaps_take_materials_inline()
    {
        var own = JsonNode.Parse("""[{"id":"soft-3","curve":[[0.5,0.5]],"squashMin":0.2,"squashMax":0.4,"thicknessTolMm":0}]""")!;
        var a = await ComputeAsync("gaps", new JsonObject { ["board"] = Tern, ["block"] = Full, ["materials"] = own });
        var m1 = a.GetProperty("pairs").EnumerateArray().Single(p => p.GetProperty("part").GetString() == "M1");
        Assert.Equal(0.72, m1.GetProperty("nominalMm").GetDouble(), 9);
        Assert.Equal("starved", m1.GetProperty("pad").GetProperty("state").GetString());
    }

    [Fact]
    public async Task Unknown_materials_are_named()
    {
        var block = Full;
        block["kit"]!["pads"]![0]!["material"] = "nobody-knows";
        var a = await ComputeAsync("gaps", new JsonObject { ["board"] = Tern, ["block"] = block }, HttpStatusCode.UnprocessableEntity);
        Assert.Contains("nobody-knows", a.GetProperty("errors")[0].GetProperty("message").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Seating_and_tightening_answer_for_the_demo_pair()
    {
        var pads = new JsonArray([.. Enumerable.Range(1, 6).Select(i => (JsonNode)new JsonObject { ["part"] = $"M{i}", ["thicknessMm"] = 1.0, ["material"] = "soft-3" })]);
        JsonObject Body() => new() { ["board"] = Tern, ["block"] = Full, ["pads"] = pads.DeepClone(), ["paste"] = new JsonObject { ["id"] = "grey-standard" } };
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
        var p = await ComputeAsync("paste", JsonNode.Parse("""{"surface":{"kind":"die","widthMm":24,"depthMm":22},"paste":{"yieldPa":110,"viscosityPaS":180,"densityGPerMl":2.6,"cUm":131,"m":0.166,"conductivityWPerMK":4},"clampN":264,"margin":0.5}""")!);
        Assert.Equal(131 * Math.Pow(110e-6 / 0.5, 0.166), p.GetProperty("bondLineUm").GetDouble(), 6);
        var c = await ComputeAsync("cut-plan", JsonNode.Parse("""{"pieces":[{"id":"A","widthMm":14,"depthMm":12,"thicknessMm":1,"count":6}],"stock":[{"id":"s","widthMm":120,"depthMm":20,"thicknessMm":1,"count":1,"offcut":false}]}""")!);
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
            if (call == "cut-plan" && body.Length > 2) continue;
            var response = await server.PostAsync($"/api/compute/{call}", body);
            Assert.True((int)response.StatusCode is 400 or 422, $"{call}: {response.StatusCode}");
            Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
            if (call == "fit") Assert.Equal(status, response.StatusCode);
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
        var a = await ComputeAsync("teardown", new JsonObject { ["board"] = board }, HttpStatusCode.UnprocessableEntity);
        var pointers = a.GetProperty("errors").EnumerateArray().Select(e => e.GetProperty("pointer").GetString()).ToHashSet();
        Assert.All((string[])["/board/thicknessMm", "/board/parts/2/kind", "/board/colour"], p => Assert.Contains(p, pointers));
    }

    [Fact]
    public async Task The_published_description_is_the_one_in_the_house()
    {
        var served = JsonNode.Parse(await server.Http.GetStringAsync("/openapi/v1.json"))!.AsObject();
        var kept = JsonNode.Parse(File.ReadAllText(Path.Combine(ServerProcess.Root, "docs/formats/openapi-v1.json")))!.AsObject();
        served.Remove("servers");
        kept.Remove("servers");
        Assert.Equal("3.1", served["openapi"]!.GetValue<string>()[..3]);
        Assert.True(JsonNode.DeepEquals(served, kept), "docs/formats/openapi-v1.json is stale: ./run types");
    }
}
