using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Open formats in and out, over HTTP on a real file.</summary>
public class ExchangeTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly HttpClient http = demo.Server.Http;

    private static ByteArrayContent Zip(byte[] bytes) =>
        new(bytes) { Headers = { ContentType = new MediaTypeHeaderValue("application/zip") } };

    [Theory]
    [InlineData("csv")]
    [InlineData("emn")]
    [InlineData("dxf")]
    public async Task An_exported_board_is_read_back_with_every_hole(string form)
    {
        var text = await http.GetStringAsync($"/api/boards/tern-460-r2/export?form={form}");
        using var upload = new MultipartFormDataContent { { new StringContent(text), "files", $"b.{form}" } };
        var read = await ServerProcess.JsonAsync(await http.PostAsync("/api/compute/read-layout", upload));
        var board = JsonDocument.Parse(await http.GetStringAsync("/api/boards/tern-460-r2")).RootElement;
        var holes = board.GetProperty("holes");
        Assert.Equal(holes.GetArrayLength(), read.GetProperty("holes").GetArrayLength());
        Assert.Equal(
            holes[0].GetProperty("x").GetDouble(),
            read.GetProperty("holes")[0].GetProperty("x").GetDouble(),
            3
        );
    }

    [Fact]
    public async Task A_pack_of_the_library_is_all_known_and_a_damaged_one_changes_nothing()
    {
        var pack = await http.GetByteArrayAsync("/api/library/pack");
        var preview = await ServerProcess.JsonAsync(await http.PostAsync("/api/library/pack/check", Zip(pack)));
        Assert.Equal(0, preview.GetProperty("new").GetInt32());
        Assert.Equal(0, preview.GetProperty("changed").GetInt32());
        Assert.True(preview.GetProperty("same").GetInt32() >= 10);

        using var memory = new MemoryStream();
        memory.Write(pack);
        using (var zip = new ZipArchive(memory, ZipArchiveMode.Update, leaveOpen: true))
        {
            var entry = zip.Entries.First(e => e.FullName.StartsWith("boards/", StringComparison.Ordinal));
            using var s = entry.Open();
            s.Seek(0, SeekOrigin.End);
            s.Write(Encoding.UTF8.GetBytes(" "));
        }
        var refused = await http.PostAsync("/api/library/pack", Zip(memory.ToArray()));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains(
            "hash",
            (await ServerProcess.JsonAsync(refused)).GetProperty("errors")[0].GetProperty("message").GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await http.PostAsync("/api/library/pack", Zip([1, 2, 3]))).StatusCode
        );
    }

    [Fact]
    public async Task Blocks_are_compared_and_plan_b_is_found()
    {
        var compared = await ServerProcess.JsonAsync(
            await http.GetAsync("/api/boards/tern-460-r2/compare?blocks=brineworks-full-460,lathe-loch-core-u")
        );
        Assert.Equal(2, compared.GetArrayLength());
        Assert.Equal("seats", compared[0].GetProperty("fit").GetProperty("verdict").GetString());
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await http.GetAsync("/api/boards/tern-460-r2/compare?blocks=a,b,c,d")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await http.GetAsync("/api/boards/tern-460-r2/compare?blocks=nobody")).StatusCode
        );
        var plan = await ServerProcess.JsonAsync(await http.GetAsync("/api/boards/tern-460-r3/plan-b"));
        Assert.NotEqual("", plan.GetProperty("text").GetString());
    }

    [Fact]
    public async Task A_finished_jobs_board_is_kept_as_surveyed_and_an_unfinished_ones_is_not()
    {
        static StringContent Name(string id) =>
            new(
                $$"""{"id":"{{id}}","maker":"Shop","model":"Unlabelled 1","boardCode":"S-1","revision":"R1"}""",
                Encoding.UTF8,
                "application/json"
            );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await http.PostAsync("/api/jobs/1/survey", Name("shop-1"))).StatusCode
        );
        Assert.Equal(HttpStatusCode.Created, (await http.PostAsync("/api/jobs/5/survey", Name("shop-5"))).StatusCode);
        var kept = await ServerProcess.JsonAsync(await http.GetAsync("/api/boards/shop-5"));
        Assert.Equal("B", kept.GetProperty("evidence").GetString());
    }

    [Fact]
    public async Task A_packs_pictures_arrive_with_their_blocks_and_strays_are_refused()
    {
        var png = File.ReadAllBytes(Path.Combine(ServerProcess.Root, "docs/screenshots/benches.png"));
        var block = ServerProcess
            .DemoFile("blocks/brineworks-full-460.block.json")
            .Replace("\"brineworks-full-460\"", "\"brineworks-full-461\"", StringComparison.Ordinal);
        byte[] Pack(string of)
        {
            using var memory = new MemoryStream();
            using (var zip = new ZipArchive(memory, ZipArchiveMode.Create, leaveOpen: true))
            {
                void Put(string path, byte[] content)
                {
                    using var s = zip.CreateEntry(path).Open();
                    s.Write(content);
                }
                static string Sha(byte[] b) =>
                    Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(b));
                var document = Encoding.UTF8.GetBytes(block);
                Put("blocks/b.json", document);
                Put("pictures/front.png", png);
                Put(
                    "manifest.json",
                    Encoding.UTF8.GetBytes(
                        $$"""{"format":"faithful-bracket/pack","version":1,"files":[{"path":"blocks/b.json","kind":"block","sha256":"{{Sha(document)}}"},{"path":"pictures/front.png","kind":"picture","sha256":"{{Sha(png)}}","of":"{{of}}"}]}"""
                    )
                );
            }
            return memory.ToArray();
        }
        var stray = await http.PostAsync("/api/library/pack", Zip(Pack("block/nobody")));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, stray.StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/blocks/brineworks-full-461")).StatusCode);

        Assert.Equal(
            HttpStatusCode.OK,
            (await http.PostAsync("/api/library/pack", Zip(Pack("block/brineworks-full-461")))).StatusCode
        );
        var pictures = await ServerProcess.JsonAsync(await http.GetAsync("/api/blocks/brineworks-full-461/pictures"));
        var shown = await http.GetAsync(pictures[0].GetProperty("address").GetString());
        Assert.Equal("image/png", shown.Content.Headers.ContentType!.MediaType);
        Assert.Contains(
            "sandbox",
            shown.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task A_block_has_so_many_pictures_and_the_next_is_refused_until_one_is_taken_away()
    {
        const string at = "/api/blocks/brineworks-full-460/pictures";
        var png = File.ReadAllBytes(Path.Combine(ServerProcess.Root, "docs/screenshots/benches.png"));
        Task<HttpResponseMessage> AddAsync()
        {
            // the same picture twice is one: each says another width
            png[19]++;
            var content = new ByteArrayContent([.. png]);
            content.Headers.ContentType = new("image/png");
            return http.PostAsync(at, content);
        }
        async Task<JsonElement> PicturesAsync() => await ServerProcess.JsonAsync(await http.GetAsync(at));
        for (var had = (await PicturesAsync()).GetArrayLength(); had < 24; had++)
            Assert.Equal(HttpStatusCode.OK, (await AddAsync()).StatusCode);
        var refused = await AddAsync();
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("take one away", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        var first = (await PicturesAsync())[0].GetProperty("address").GetString();
        Assert.Equal(HttpStatusCode.NoContent, (await http.DeleteAsync(first)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await AddAsync()).StatusCode);
        Assert.Equal(24, (await PicturesAsync()).GetArrayLength());
    }

    [Fact]
    public async Task Columns_told_once_read_the_next_table_with_the_same_header()
    {
        const string table = "Ort;Ost;Nord\nA1;1,5;2\nA2;3;4\n";
        MultipartFormDataContent Upload() => new() { { new StringContent(table), "files", "orte.csv" } };
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await http.PostAsync("/api/library/layout", Upload())).StatusCode
        );
        var look = (await ServerProcess.JsonAsync(await http.PostAsync("/api/library/columns/look", Upload())))[0];
        Assert.Equal(3, look.GetProperty("headers").GetArrayLength());
        Task<HttpResponseMessage> Tell(string columns) =>
            demo.Server.SendAsync(
                HttpMethod.Put,
                "/api/library/columns",
                $$"""{"signature":"{{look.GetProperty("signature").GetString()}}","columns":{{columns}},"units":"inch"}"""
            );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Tell("""{"x":1,"y":1}""")).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await Tell("""{"id":0,"x":1,"y":2}""")).StatusCode);
        var read = await ServerProcess.JsonAsync(await http.PostAsync("/api/library/layout", Upload()));
        Assert.Equal(38.1, read.GetProperty("layout").GetProperty("parts")[0].GetProperty("x").GetDouble(), 6);
    }

    [Fact]
    public async Task A_board_judges_its_blocks_as_they_are_typed()
    {
        var all = await ServerProcess.JsonAsync(await http.GetAsync("/api/boards/tern-460-r2/blocks"));
        var some = await ServerProcess.JsonAsync(
            await http.GetAsync("/api/boards/tern-460-r2/blocks?text=brineworks%20full&clearanceMm=0.2&most=5")
        );
        Assert.True(all.GetProperty("judged").GetInt32() > some.GetProperty("judged").GetInt32());
        Assert.Equal("seats", some.GetProperty("entries")[0].GetProperty("verdict").GetString());
        foreach (var bad in (string[])["clearanceMm=-1", "clearanceMm=NaN", "bondLineUm=9999", "most=0"])
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await http.GetAsync($"/api/boards/tern-460-r2/blocks?{bad}")).StatusCode
            );
    }

    [Fact]
    public async Task What_a_job_used_is_taken_out_whole_and_an_archived_line_is_planned_with_no_more()
    {
        using var own = new ServerProcess();
        async Task<HttpResponseMessage> BookAsync(string lines) =>
            await own.PostAsync("/api/jobs/12/used", $$"""{"lines":[{{lines}}],"by":"QA"}""");
        async Task<double> LiesAsync(string id) =>
            (await own.GetAsync("/api/jobs/12/used"))
                .GetProperty("lines")
                .EnumerateArray()
                .Single(l => l.GetProperty("id").GetString() == id)
                .GetProperty("lies")
                .GetDouble();
        // a frame and a tenth of a gram: what the boxes do not hold
        var wanted = (await own.GetAsync("/api/jobs/12/used"))
            .GetProperty("lines")
            .EnumerateArray()
            .Where(l => l.GetProperty("amount").GetDouble() > 0)
            .ToDictionary(l => l.GetProperty("id").GetString()!, l => l.GetProperty("amount").GetDouble());
        Assert.Equal(["frame-g", "syringe-73"], wanted.Keys.Order());
        var grams = await LiesAsync("syringe-73");
        const string frame = """{"kind":"consumable","id":"frame-g","amount":1}""";
        foreach (
            var bad in (string[])
                [
                    $$"""{{frame}},{"kind":"paste","id":"syringe-73","amount":999}""",
                    $$"""{{frame}},{{frame}}""",
                    """{"kind":"consumable","id":"frame-g","amount":0.5}""",
                    """{"kind":"tool","id":"T6","amount":1}""",
                ]
        )
            Assert.Equal(HttpStatusCode.UnprocessableEntity, (await BookAsync(bad)).StatusCode);
        Assert.Equal(grams, await LiesAsync("syringe-73"));
        Assert.Equal(
            HttpStatusCode.OK,
            (await BookAsync($$"""{{frame}},{"kind":"paste","id":"syringe-73","amount":0.1}""")).StatusCode
        );
        own.KillAndRestart();
        var after = await own.GetAsync("/api/jobs/12/used");
        Assert.Equal(2, after.GetProperty("used").GetArrayLength());
        Assert.DoesNotContain(
            after.GetProperty("lines").EnumerateArray(),
            l => l.GetProperty("amount").GetDouble() > 0
        );
        Assert.Equal(Math.Round(grams - 0.1, 3), await LiesAsync("syringe-73"));
        var past = (await own.GetAsync("/api/drawer/paste/syringe-73/history")).EnumerateArray().ToList();
        Assert.Equal(("used", 12), (past[0].GetProperty("what").GetString()!, past[0].GetProperty("jobId").GetInt32()));
        Assert.Equal("added", past[^1].GetProperty("what").GetString());

        async Task<HttpStatusCode> ArchiveAsync(bool archived, int version) =>
            (
                await own.SendAsync(
                    HttpMethod.Put,
                    "/api/drawer/paste/syringe-73/archived?by=QA",
                    $$"""{"archived":{{(archived ? "true" : "false")}}}""",
                    $"{version}"
                )
            ).StatusCode;
        Assert.Equal(HttpStatusCode.PreconditionFailed, await ArchiveAsync(true, 1));
        Assert.Equal(HttpStatusCode.OK, await ArchiveAsync(true, 2));
        Assert.DoesNotContain("syringe-73", (await own.GetAsync("/api/drawer")).GetRawText(), StringComparison.Ordinal);
        Assert.Single((await own.GetAsync("/api/drawer/archived")).EnumerateArray());
        var taken = await own.SendAsync(
            HttpMethod.Put,
            "/api/drawer/tool/syringe-73",
            """{"id":"syringe-73","name":"T6"}""",
            "0"
        );
        Assert.Equal(HttpStatusCode.OK, taken.StatusCode);
        Assert.Equal(HttpStatusCode.OK, await ArchiveAsync(false, 3));
        Assert.Contains("syringe-73", (await own.GetAsync("/api/drawer")).GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_drawer_is_counted_as_a_table_and_a_bad_one_changes_nothing()
    {
        async Task<HttpResponseMessage> SendAsync(string text, string query = "") =>
            await http.PostAsync(
                $"/api/drawer/table{query}",
                new StringContent(text, System.Text.Encoding.UTF8, "text/csv")
            );
        var table = await http.GetStringAsync("/api/drawer/table");
        var same = (await (await SendAsync(table, "?keep=true")).Content.ReadFromJsonAsync<JsonElement>());
        Assert.Equal((0, 0), (same.GetProperty("new").GetInt32(), same.GetProperty("changed").GetInt32()));
        var pad = table.Split("\r\n").First(l => l.StartsWith("pad,soft-3", StringComparison.Ordinal)).Split(',')[1];

        // one bad row of three: nothing is kept of the good ones
        var bad = await SendAsync($"id;count\n{pad};77\nno-such-thing;1\n", "?keep=true");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, bad.StatusCode);
        Assert.Contains("Line 3", await bad.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal(table, await http.GetStringAsync("/api/drawer/table"));

        const string counted = ";material;thicknessMm;widthMm;depthMm;thread;lengthMm\n";
        var rows = $"id;count{counted}{pad};77;;;;;;\n;12;;;;;M2;4\n;2;firm-6;0,5;50;50;;\n";
        var looked = (await (await SendAsync(rows)).Content.ReadFromJsonAsync<JsonElement>());
        Assert.Equal(
            ["changed", "new", "new"],
            looked.GetProperty("lines").EnumerateArray().Select(l => l.GetProperty("state").GetString())
        );
        Assert.Equal(table, await http.GetStringAsync("/api/drawer/table"));
        await SendAsync(rows, "?keep=true&by=QA");
        var after = await http.GetStringAsync("/api/drawer/table");
        // rows without an id are the same items the next time
        await SendAsync(rows, "?keep=true&by=QA");
        Assert.Equal(after, await http.GetStringAsync("/api/drawer/table"));
        Assert.Contains("screw,m2-4,,,M2,4", after, StringComparison.Ordinal);
        Assert.Contains("pad,firm-6-0.5-50-50,,firm-6", after, StringComparison.Ordinal);

        var found = await demo.Server.GetAsync("/api/labels/find?code=" + Uri.EscapeDataString($"fb:drawer:pad/{pad}"));
        Assert.StartsWith("/drawer?item=", found.GetProperty("to").GetString(), StringComparison.Ordinal);
        Assert.Equal(
            "/job/2/teardown",
            (await demo.Server.GetAsync("/api/labels/find?code=FB:tray:2/A1")).GetProperty("to").GetString()
        );
        foreach (var code in (string[])["https%3A%2F%2Felsewhere", "FB:tray:7", "FB:job:x"])
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await http.GetAsync($"/api/labels/find?code={code}")).StatusCode
            );
        var svg = await http.GetStringAsync("/api/labels/job.svg?id=2");
        Assert.Contains("Job 2, bag A1", svg, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_document_is_edited_without_being_kept_and_a_block_begun_from_a_board()
    {
        var board = await http.GetStringAsync("/api/boards/tern-460-r2");
        var edited = await demo.Server.PostAsync(
            "/api/library/edit",
            $$"""
            {"document":{{board}},"edits":[
              {"do":"row","at":"/parts/1","count":2,"x":0,"y":20},
              {"do":"add","to":"/holes","x":3,"y":4}]}
            """
        );
        var answer = await edited.Content.ReadFromJsonAsync<JsonElement>();
        Assert.Equal(3, answer.GetProperty("made").GetArrayLength());
        Assert.True(answer.GetProperty("checked").GetProperty("known").GetBoolean());
        Assert.Equal(board, await http.GetStringAsync("/api/boards/tern-460-r2"));
        var refused = await demo.Server.PostAsync(
            "/api/library/edit",
            $$"""{"document":{{board}},"edits":[{"do":"set","at":"/parts/1/widthMm","value":900}]}"""
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("/parts/1/widthMm", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);

        var begun = await demo.Server.PostAsync(
            "/api/boards/tern-460-r2/assumed-block",
            """{"maker":"Quayside","model":"Weir 460"}"""
        );
        var draft = await begun.Content.ReadFromJsonAsync<JsonElement>();
        Assert.Equal("quayside-weir-460", draft.GetProperty("id").GetString());
        var fit = await demo.Server.PostAsync(
            "/api/compute/fit",
            $$"""{"board":{{board}},"block":{{draft.GetProperty("document").GetString()}}}"""
        );
        Assert.Equal(
            "unproven",
            (await fit.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("verdict").GetString()
        );
    }

    /// <summary>The sheet asks the one question that decides, and stands on its own.</summary>
    [Theory]
    [InlineData("skua-pro-r2", "brineworks-full-460", "hole pattern")]
    [InlineData("tern-460-r3", "brineworks-full-460", "How deep")]
    [InlineData("dunlin-250-traced", "undertow-slim-250", "measured, not drawn")]
    public async Task A_fit_that_stays_open_is_one_question_to_its_maker(string board, string block, string says)
    {
        var asked = await demo.Server.GetAsync($"/api/match/{board}/{block}/question");
        var question = asked.GetProperty("question").GetString()!;
        Assert.Contains('?', question);
        Assert.Contains(says, question, StringComparison.Ordinal);
        if (asked.TryGetProperty("twin", out var twin))
            Assert.NotEqual(board, twin.GetProperty("boardId").GetString());
        var sheet = await http.GetStringAsync($"/api/match/{board}/{block}/question.html");
        Assert.Contains(System.Net.WebUtility.HtmlEncode(question), sheet, StringComparison.Ordinal);
        Assert.Contains("<svg", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain("src=", sheet, StringComparison.Ordinal);
    }
}
