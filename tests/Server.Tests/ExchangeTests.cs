using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Open formats in and out, over HTTP on a real file.</summary>
public class ExchangeTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly HttpClient http = demo.Server.Http;

    private static ByteArrayContent Zip(byte[] bytes) => new(bytes) { Headers = { ContentType = new MediaTypeHeaderValue("application/zip") } };

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
        Assert.Equal(holes[0].GetProperty("x").GetDouble(), read.GetProperty("holes")[0].GetProperty("x").GetDouble(), 3);
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
        Assert.Contains("hash", (await ServerProcess.JsonAsync(refused)).GetProperty("errors")[0].GetProperty("message").GetString(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await http.PostAsync("/api/library/pack", Zip([1, 2, 3]))).StatusCode);
    }

    [Fact]
    public async Task Blocks_are_compared_and_plan_b_is_found()
    {
        var compared = await ServerProcess.JsonAsync(await http.GetAsync("/api/boards/tern-460-r2/compare?blocks=brineworks-full-460,lathe-loch-core-u"));
        Assert.Equal(2, compared.GetArrayLength());
        Assert.Equal("seats", compared[0].GetProperty("fit").GetProperty("verdict").GetString());
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await http.GetAsync("/api/boards/tern-460-r2/compare?blocks=a,b,c,d")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/api/boards/tern-460-r2/compare?blocks=nobody")).StatusCode);
        var plan = await ServerProcess.JsonAsync(await http.GetAsync("/api/boards/tern-460-r3/plan-b"));
        Assert.NotEqual("", plan.GetProperty("text").GetString());
    }

    [Fact]
    public async Task A_finished_jobs_board_is_kept_as_surveyed_and_an_unfinished_ones_is_not()
    {
        static StringContent Name(string id) => new($$"""{"id":"{{id}}","maker":"Shop","model":"Unlabelled 1","boardCode":"S-1","revision":"R1"}""", Encoding.UTF8, "application/json");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await http.PostAsync("/api/jobs/1/survey", Name("shop-1"))).StatusCode);
        Assert.Equal(HttpStatusCode.Created, (await http.PostAsync("/api/jobs/5/survey", Name("shop-5"))).StatusCode);
        var kept = await ServerProcess.JsonAsync(await http.GetAsync("/api/boards/shop-5"));
        Assert.Equal("B", kept.GetProperty("evidence").GetString());
    }
}
