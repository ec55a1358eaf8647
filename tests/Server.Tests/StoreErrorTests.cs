using System.Net;
using System.Text;
using FaithfulBracket.Store;
using Microsoft.Data.Sqlite;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>A shop's file that cannot be worked with says so, on the screen and at every call, and is left as it is.</summary>
public sealed class StoreErrorTests : IDisposable
{
    private readonly string _data = Directory.CreateTempSubdirectory("fb-trouble-").FullName;

    private string Shop => Path.Combine(_data, "shop.db");

    public void Dispose() => Directory.Delete(_data, recursive: true);

    private async Task<string> SaidAsync(string code)
    {
        var before = File.ReadAllBytes(Shop);
        using var server = new ServerProcess(_data);
        var page = await server.Http.GetAsync("/");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, page.StatusCode);
        var call = await server.PostAsync("/api/jobs", "{}");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, call.StatusCode);
        var problem = await ServerProcess.JsonAsync(call);
        Assert.Equal(code, problem.GetProperty("trouble").GetString());
        var sentence = problem.GetProperty("detail").GetString()!;
        Assert.Contains(
            WebUtility.HtmlEncode(sentence),
            await page.Content.ReadAsStringAsync(),
            StringComparison.Ordinal
        );
        server.Kill();
        Assert.Equal(before, File.ReadAllBytes(Shop));
        return sentence;
    }

    [Fact]
    public async Task An_empty_file_is_not_quietly_a_new_demo_shop()
    {
        File.WriteAllBytes(Shop, []);
        Assert.Contains("backup", await SaidAsync("empty"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_damaged_file_is_named()
    {
        File.WriteAllText(Shop, new string('x', 9000));
        Assert.Contains("damaged", await SaidAsync("damaged"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_file_of_a_newer_version_is_left_alone()
    {
        new ShopDatabase(Shop).Migrate();
        using (var c = new SqliteConnection($"Data Source={Shop};Pooling=False"))
        {
            c.Open();
            using var later = c.CreateCommand();
            later.CommandText =
                "insert into SchemaVersions (ScriptName, Applied) values "
                + "('FaithfulBracket.Store.Migrations.9999_later.sql', '2040-01-01'); pragma "
                + "wal_checkpoint(truncate)";
            later.ExecuteNonQuery();
        }
        Assert.Contains("newer version", await SaidAsync("newer"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_full_disk_refuses_the_write_and_goes_on_reading()
    {
        // the file may grow to 2 MB: what a full disk answers comes from the same place
        using var server = new ServerProcess(_data, mostMb: 2);
        var refused = HttpStatusCode.OK;
        var body = "";
        var board = System.Text.Json.Nodes.JsonNode.Parse(ServerProcess.DemoFile("boards/tern-460-r2.board.json"))!;
        board["x-filler"] = new string('n', 500_000);
        for (var k = 0; k < 10 && refused != HttpStatusCode.InsufficientStorage; k++)
        {
            board["id"] = $"filler-{k}";
            var answer = await server.PostAsync("/api/boards", board.ToJsonString());
            (refused, body) = (answer.StatusCode, await answer.Content.ReadAsStringAsync());
        }
        Assert.Equal(HttpStatusCode.InsufficientStorage, refused);
        Assert.Contains("disk is full", body, StringComparison.Ordinal);
        Assert.Equal(1, (await server.JobAsync(1)).GetProperty("id").GetInt64());
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task A_start_on_a_full_disk_reads_what_it_can_and_changes_nothing(bool old)
    {
        if (old)
            await MigrationTests.UnpackAsync("shop-0011", _data);
        else
            using (var before = new ServerProcess(_data))
                await before.PostAsync("/api/jobs/1/notes", """{"by":"QA","text":"the last words"}""");
        using (var c = new SqliteConnection($"Data Source={Shop};Pooling=False"))
        {
            // past what the file may grow to: every page more is one too many
            c.Open();
            using var fill = c.CreateCommand();
            fill.CommandText =
                "pragma journal_mode = wal; create table filler as select zeroblob(1500000) x; pragma wal_checkpoint(truncate)";
            fill.ExecuteNonQuery();
        }
        var file = File.ReadAllBytes(Shop);
        using var server = new ServerProcess(_data, demo: false, mostMb: 1);
        if (old)
        {
            // an older file cannot be read by this version's rules: the reason stands on the page
            var page = await server.Http.GetAsync("/");
            Assert.Equal(HttpStatusCode.ServiceUnavailable, page.StatusCode);
            Assert.Contains("disk is full", await page.Content.ReadAsStringAsync(), StringComparison.Ordinal);
            server.Kill();
            Assert.Equal(file, File.ReadAllBytes(Shop));
            return;
        }
        Assert.Contains("the last words", (await server.JobAsync(1)).GetRawText(), StringComparison.Ordinal);
        var board = System.Text.Json.Nodes.JsonNode.Parse(ServerProcess.DemoFile("boards/tern-460-r2.board.json"))!;
        (board["id"], board["x-filler"]) = ("filler", new string('n', 500_000));
        Assert.Equal(
            HttpStatusCode.InsufficientStorage,
            (await server.PostAsync("/api/boards", board.ToJsonString())).StatusCode
        );
        Assert.Contains("the last words", (await server.JobAsync(1)).GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_start_looks_at_its_first_pages_and_goes_on_past_a_job_that_does_not_read()
    {
        long broken;
        using (var before = new ServerProcess(_data))
            broken = await before.OpenAsync();
        using (var c = new SqliteConnection($"Data Source={Shop};Pooling=False"))
        {
            c.Open();
            using var spoil = c.CreateCommand();
            spoil.CommandText = $"update job set pad_choices = '[' where id = {broken}";
            spoil.ExecuteNonQuery();
        }
        using var server = new ServerProcess(_data, firstLook: true);
        Assert.Equal("well", (await server.GetAsync("/health")).GetProperty("status").GetString());
        Assert.Equal(1, (await server.JobAsync(1)).GetProperty("id").GetInt64());
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public async Task A_shop_that_can_only_be_read_is_read_and_refuses_writing_in_words(bool killed)
    {
        // killed, what was signed last still stands in the log beside the file
        using (var before = new ServerProcess(_data))
        {
            await before.PostAsync("/api/jobs/1/notes", """{"by":"QA","text":"the last words"}""");
            if (!killed)
                using (var c = new SqliteConnection($"Data Source={Shop};Pooling=False"))
                {
                    c.Open();
                    using var fold = c.CreateCommand();
                    fold.CommandText = "pragma wal_checkpoint(truncate)";
                    fold.ExecuteNonQuery();
                }
        }
        using var server = new ServerProcess(_data, readOnly: true);
        var file = File.ReadAllBytes(Shop);
        Assert.Contains("the last words", (await server.JobAsync(1)).GetRawText(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await server.Http.GetAsync("/api/bench")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await server.Http.GetAsync("/api/boards")).StatusCode);
        var refused = await server.PostAsync("/api/jobs/1/notes", """{"by":"QA","text":"x"}""");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, refused.StatusCode);
        Assert.Contains("reading goes on", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal(file, File.ReadAllBytes(Shop));
    }

    [Fact]
    public void Failures_of_the_store_are_told_apart()
    {
        string? Code(Exception e) => DatabaseError.From(e, "/shop/shop.db")?.Code;
        Assert.Equal("full", Code(new SqliteException("", 13)));
        Assert.Equal("full", Code(new IOException("", 28)));
        Assert.Equal("read-only", Code(new SqliteException("", 8)));
        Assert.Equal("read-only", Code(new UnauthorizedAccessException()));
        Assert.Equal("damaged", Code(new SqliteException("", 11)));
        Assert.Null(Code(new InvalidOperationException()));
    }
}

/// <summary>Pictures whose files are gone, and pictures that come again.</summary>
public sealed class MissingPictureTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    /// <summary>The smallest PNG there is: one black dot.</summary>
    private static readonly byte[] Dot = Convert.FromBase64String(
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABSK+kcQAAAABJRU5ErkJggg=="
    );

    private async Task<long> PutAsync()
    {
        using var content = new ByteArrayContent(Dot);
        content.Headers.ContentType = new("image/png");
        var answer = await _server.Http.PostAsync("/api/jobs/1/photos?by=QA", content);
        Assert.Equal(HttpStatusCode.Created, answer.StatusCode);
        return (await ServerProcess.JsonAsync(answer)).GetProperty("id").GetInt64();
    }

    [Fact]
    public async Task A_picture_that_is_gone_stops_neither_the_job_nor_its_record()
    {
        var id = await PutAsync();
        var again = await PutAsync();
        var folder = Path.Combine(_server.Data, "photos");
        Assert.Equal(Dot, await _server.Http.GetByteArrayAsync($"/api/photos/{again}"));
        // nothing is left beside the pictures by writing them
        Assert.All(Directory.GetFiles(folder), f => Assert.Contains(Path.GetExtension(f), (string[])[".png", ".jpg"]));
        Directory.Delete(folder, recursive: true);
        var gone = await _server.Http.GetAsync($"/api/photos/{id}");
        Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
        Assert.Contains("backup", await gone.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        var record = await _server.Http.GetStringAsync("/api/jobs/1/record.html");
        Assert.Contains("is missing", record, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await _server.Http.GetAsync("/api/library/pack")).StatusCode);
    }
}

/// <summary>Input that once broke the server or held it for long.</summary>
public sealed class BrokenInputTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    [Fact]
    public async Task A_body_over_the_limit_is_answered_not_cut_off()
    {
        using var large = new ByteArrayContent(new byte[48 * 1024 * 1024]);
        large.Headers.ContentType = new("application/json");
        var answer = await _server.Http.PostAsync("/api/boards", large);
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, answer.StatusCode);
        // under the server's limit, over the document's
        using var middling = new ByteArrayContent(new byte[6 * 1024 * 1024]);
        middling.Headers.ContentType = new("application/json");
        Assert.Equal(
            HttpStatusCode.RequestEntityTooLarge,
            (await _server.Http.PostAsync("/api/boards", middling)).StatusCode
        );
    }

    [Fact]
    public async Task One_endless_line_of_a_batch_is_refused_with_its_number()
    {
        var board = ServerProcess.DemoFile("boards/tern-460-r2.board.json").ReplaceLineEndings("");
        using var lines = new StringContent(
            $"{board}\n{new string(' ', 5_000_000)}x",
            Encoding.UTF8,
            "application/x-ndjson"
        );
        var answer = await _server.Http.PostAsync("/api/boards/batch", lines);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains("Line 2 is longer", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("application/json; charset=klingon")]
    [InlineData("application/json; charset=utf-16")]
    public async Task Other_charsets_than_utf8_are_refused(string type)
    {
        using var content = new ByteArrayContent("{}"u8.ToArray());
        content.Headers.TryAddWithoutValidation("Content-Type", type);
        Assert.Equal(
            HttpStatusCode.UnsupportedMediaType,
            (await _server.Http.PostAsync("/api/jobs", content)).StatusCode
        );
    }

    [Theory]
    [InlineData("section?x1=NaN&y1=0&x2=10&y2=0")]
    [InlineData("section?x1=0&y1=0&x2=1e999&y2=0")]
    [InlineData("tray.svg?scale=NaN")]
    public async Task Endless_numbers_in_an_address_are_refused(string query) =>
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await _server.Http.GetAsync($"/api/jobs/1/{query}")).StatusCode
        );

    [Fact]
    public async Task A_board_without_any_hole_is_told_so_and_taken_nowhere()
    {
        var board = System.Text.Json.Nodes.JsonNode.Parse(ServerProcess.DemoFile("boards/tern-460-r2.board.json"))!;
        board["holes"] = new System.Text.Json.Nodes.JsonArray();
        var block = System.Text.Json.Nodes.JsonNode.Parse(
            ServerProcess.DemoFile("blocks/brineworks-full-460.block.json")
        );
        var body = new System.Text.Json.Nodes.JsonObject { ["board"] = board, ["block"] = block }.ToJsonString();
        foreach (var call in (string[])["fit", "gaps", "tightening"])
            Assert.InRange((int)(await _server.PostAsync($"/api/compute/{call}", body)).StatusCode, 200, 422);
    }

    [Fact]
    public async Task Ids_that_are_paths_are_no_documents()
    {
        var board = System.Text.Json.Nodes.JsonNode.Parse(ServerProcess.DemoFile("boards/tern-460-r2.board.json"))!;
        foreach (var id in (string[])["..", ".", "a/b", ""])
        {
            board["id"] = id;
            var answer = await _server.PostAsync("/api/boards", board.ToJsonString());
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        }
    }

    [Fact]
    public async Task A_pack_with_a_damaged_file_is_refused_naming_it()
    {
        var pack = await _server.Http.GetByteArrayAsync("/api/library/pack");
        // the first file's own bytes, behind its local head
        for (var k = 80; k < 110; k++)
            pack[k] ^= 0x5a;
        using var content = new ByteArrayContent(pack);
        content.Headers.ContentType = new("application/zip");
        var answer = await _server.Http.PostAsync("/api/library/pack/check", content);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains("/boards/", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_drawer_material_under_another_id_than_its_address_is_refused()
    {
        var drawer = await _server.GetAsync("/api/drawer");
        var material = drawer.GetProperty("drawer").GetProperty("materials")[0];
        var answer = await _server.SendAsync(HttpMethod.Put, "/api/drawer/material/other", material.GetRawText(), "0");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await _server.Http.GetAsync("/api/bench")).StatusCode);
    }

    [Fact]
    public async Task A_land_that_crosses_itself_is_refused_however_many_corners_it_has()
    {
        var block = System.Text.Json.Nodes.JsonNode.Parse(
            ServerProcess.DemoFile("blocks/brineworks-full-460.block.json")
        )!;
        var star = new System.Text.Json.Nodes.JsonArray();
        for (var k = 0; k < 601; k++)
        {
            var turn = k * 2 * Math.PI * 300 / 601;
            star.Add(new System.Text.Json.Nodes.JsonArray(5 * Math.Cos(turn), 5 * Math.Sin(turn)));
        }
        block["plates"]![0]!["lands"]![0]!["outline"] = star;
        var answer = await _server.PostAsync("/api/blocks?replace=true", block.ToJsonString());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains("cross", await answer.Content.ReadAsStringAsync(), StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task Many_at_once_wait_in_line_and_the_line_has_an_end()
    {
        const string plate = """
            {"outline":[[0,0],[200,0],[200,150],[0,150]],"thicknessMm":1.6,"material":{"eMPa":22000,"nu":0.15},"edges":"clamped","pressureMPa":0.001,"elements":4000}
            """;
        var answers = await Task.WhenAll(
            Enumerable.Range(0, 44).Select(_ => _server.PostAsync("/api/compute/bow", plate))
        );
        Assert.All(
            answers,
            a => Assert.Contains(a.StatusCode, (HttpStatusCode[])[HttpStatusCode.OK, HttpStatusCode.ServiceUnavailable])
        );
        Assert.Contains(answers, a => a.Headers.Contains("Queued-Behind"));
        Assert.All(
            answers.Where(a => a.StatusCode == HttpStatusCode.ServiceUnavailable),
            a => Assert.True(a.Headers.Contains("Retry-After"))
        );
    }
}
