using System.Net;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Every figure says where it comes from; what nobody measured is marked, and never kept in a shop of one's own.</summary>
public sealed class SourceTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private Task<HttpResponseMessage> ReadAsync(long job, string phase, string more = "", double die = 48) =>
        _server.PostAsync(
            $"/api/jobs/{job}/readings",
            $$"""{"by":"QA","phase":"{{phase}}","roomC":22,"coolantC":30,"dieC":{{die}},"powerW":300,"flowLMin":3{{more}}}"""
        );

    private static async Task<string[]> PointersAsync(HttpResponseMessage answer)
    {
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        return
        [
            .. (await ServerProcess.JsonAsync(answer))
                .GetProperty("errors")
                .EnumerateArray()
                .Select(e => e.GetProperty("pointer").GetString()!),
        ];
    }

    [Fact]
    public async Task A_reading_keeps_its_source_and_conditions_through_the_record()
    {
        var job = await _server.OpenAsync();
        Assert.Equal(
            HttpStatusCode.Created,
            (
                await ReadAsync(
                    job,
                    "before",
                    ""","source":{"kind":"by-hand","instrument":"probe 4","checkedOn":"2026-01-31"},"conditions":{"clockMHz":2500,"load":"loop A"}""",
                    90
                )
            ).StatusCode
        );
        Assert.Equal(HttpStatusCode.Created, (await ReadAsync(job, "after")).StatusCode);
        var readings = (await _server.JobAsync(job)).GetProperty("readings").EnumerateArray().ToList();
        Assert.Equal("probe 4", readings[0].GetProperty("source").GetProperty("instrument").GetString());
        Assert.Equal(2500, readings[0].GetProperty("conditions").GetProperty("clockMHz").GetDouble());
        // nothing said is read by hand
        Assert.Equal("by-hand", readings[1].GetProperty("source").GetProperty("kind").GetString());
        foreach (var whom in new[] { "client", "shop" })
        {
            var record = await _server.Http.GetStringAsync($"/api/jobs/{job}/record.html?for={whom}");
            Assert.Contains("by hand with probe 4, checked 2026-01-31", record, StringComparison.Ordinal);
            Assert.Contains("clock 2500 MHz, load loop A", record, StringComparison.Ordinal);
        }
        Assert.Equal(
            ["/source/checkedOn", "/source/digest", "/conditions/fanPercent"],
            await PointersAsync(
                await ReadAsync(
                    job,
                    "after",
                    ""","source":{"kind":"file","checkedOn":"2999-01-01","digest":"x"},"conditions":{"fanPercent":130}"""
                )
            )
        );
    }

    [Theory]
    [InlineData(""","source":{}""", "/source")]
    [InlineData(""","source":{"kind":"guessed"}""", "/source/kind")]
    [InlineData(""","source":{"kind":"file","path":"x"}""", "/source/path")]
    [InlineData(""","conditions":{"clock":2500}""", "/conditions/clock")]
    [InlineData(""","conditions":{"clockMHz":"fast"}""", "/conditions/clockMHz")]
    public async Task What_is_said_of_a_reading_is_taken_or_refused_with_its_place(string more, string place)
    {
        var answer = await ReadAsync(1, "after", more);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var said = await answer.Content.ReadAsStringAsync();
        Assert.Contains($"\"{place}", said, StringComparison.Ordinal);
        // in words, not in types
        Assert.DoesNotContain("FaithfulBracket", said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Runs_under_unlike_conditions_are_not_compared_and_the_condition_is_named()
    {
        var job = await _server.OpenAsync();
        await ReadAsync(job, "before", ""","conditions":{"clockMHz":2500,"powerLimitW":320}""", 90);
        await ReadAsync(job, "after", ""","conditions":{"clockMHz":2100,"powerLimitW":320}""");
        async Task<JsonElement> ComparedAsync() =>
            (await _server.JobAsync(job))
                .GetProperty("plan")
                .GetProperty("prove")
                .GetProperty("pairs")[0]
                .GetProperty("comparison");
        var unlike = await ComparedAsync();
        Assert.False(unlike.TryGetProperty("gainK", out var gain) && gain.ValueKind == JsonValueKind.Number);
        Assert.Contains("not comparable", unlike.GetProperty("verdict").GetString(), StringComparison.Ordinal);
        Assert.Contains(
            unlike.GetProperty("why").EnumerateArray(),
            w =>
                w.GetString()!
                    .StartsWith("The clock differs: 2500 MHz before, 2100 MHz after.", StringComparison.Ordinal)
        );
        // at the same clock, another fan says nothing against it
        await ReadAsync(job, "after", ""","conditions":{"clockMHz":2510,"fanPercent":40}""");
        Assert.Equal(42, (await ComparedAsync()).GetProperty("gainK").GetDouble(), 0.1);
    }

    private Task<HttpResponseMessage> LeakAsync(long job, string body) =>
        _server.PostAsync($"/api/jobs/{job}/leak-tests", $$"""{"by":"QA",{{body}}}""");

    [Theory]
    // 250 mL, 60 min, 0.3 kPa lost at the same temperature: 0.012 ± 0.06 mL a minute
    [InlineData("""  "method":"air","startKPa":40,"endKPa":39.7,"minutes":60,"tempStartC":21,"tempEndC":21 """, "pass")]
    // 8 kPa in 20 minutes are 1 mL a minute
    [InlineData("""  "method":"air","startKPa":40,"endKPa":32,"minutes":20,"place":"pump" """, "fail")]
    // air that comes in: a vacuum that rises leaks, one that is warmed does not
    [InlineData("""  "method":"vacuum","startKPa":-60,"endKPa":-52,"minutes":20 """, "fail")]
    [InlineData(
        """  "method":"vacuum","startKPa":-60,"endKPa":-59.3,"minutes":90,"tempStartC":20,"tempEndC":25 """,
        "pass"
    )]
    [InlineData("""  "method":"water","minutes":120,"result":"tight" """, "pass")]
    [InlineData("""  "method":"water","result":"leaks","place":"fitting B" """, "fail")]
    // ten minutes of air tell nothing: whoever watched says so
    [InlineData("""  "startKPa":40,"endKPa":39.9,"minutes":10,"result":"pass" """, "pass")]
    public async Task A_leak_test_by_hand_is_judged_by_its_figures_or_by_who_watched_it(string body, string verdict)
    {
        var job = await _server.OpenAsync();
        var answer = await LeakAsync(job, $$"""{{body}},"source":{"kind":"by-hand","instrument":"gauge 2"}""");
        Assert.True(answer.StatusCode == HttpStatusCode.Created, await answer.Content.ReadAsStringAsync());
        var test = Assert.Single((await _server.JobAsync(job)).GetProperty("leakTests").EnumerateArray());
        Assert.Equal(verdict, test.GetProperty("verdict").GetString());
        Assert.Equal("gauge 2", test.GetProperty("source").GetProperty("instrument").GetString());
        var record = await _server.Http.GetStringAsync($"/api/jobs/{job}/record.html");
        Assert.Contains("By hand with gauge 2.", record, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_leak_test_that_says_nothing_or_two_things_is_refused_with_its_place()
    {
        var job = await _server.OpenAsync();
        Assert.Equal(["/result"], await PointersAsync(await LeakAsync(job, """ "method":"water" """)));
        Assert.Equal(
            ["/result"],
            await PointersAsync(await LeakAsync(job, """ "startKPa":40,"endKPa":39.9,"minutes":10 """))
        );
        Assert.Equal(["/endKPa"], await PointersAsync(await LeakAsync(job, """ "startKPa":40 """)));
        Assert.Equal(
            ["/startKPa"],
            await PointersAsync(await LeakAsync(job, """ "method":"vacuum","startKPa":40,"endKPa":39,"minutes":60 """))
        );
        Assert.Equal(
            ["/result"],
            await PointersAsync(await LeakAsync(job, """ "startKPa":40,"endKPa":32,"minutes":20,"result":"tight" """))
        );
    }

    [Fact]
    public async Task What_a_stand_in_told_is_marked_in_the_demo_and_refused_in_a_shop_of_ones_own()
    {
        const string simulated = ""","source":{"kind":"simulated"}""";
        var job = await _server.OpenAsync();
        Assert.Equal(HttpStatusCode.Created, (await ReadAsync(job, "after", simulated)).StatusCode);
        Assert.Equal(
            HttpStatusCode.Created,
            (await LeakAsync(job, """ "method":"water","result":"tight","source":{"kind":"simulated"} """)).StatusCode
        );
        var record = await _server.Http.GetStringAsync($"/api/jobs/{job}/record.html");
        // the reading and the leak test, on the first page and in their tables, and the contact that the reading speaks of
        Assert.Equal(5, record.Split("imulated, nobody measured it").Length - 1);
        Assert.False((await _server.GetAsync($"/api/jobs/{job}/leak-tests")).GetProperty("practiceOnly").GetBoolean());

        using var own = new ServerProcess(demo: false);
        await own.PostAsync("/api/boards", ServerProcess.DemoFile("boards/tern-460-r2.board.json"));
        var opened = await own.PostAsync(
            "/api/jobs",
            """{"title":"Mine","bench":"A","boardId":"tern-460-r2","by":"QA"}"""
        );
        var id = (await ServerProcess.JsonAsync(opened)).GetProperty("id").GetInt64();
        async Task RefusedAsync(string path, string body) =>
            Assert.Equal(["/source/kind"], await PointersAsync(await own.PostAsync($"/api/jobs/{id}/{path}", body)));
        await RefusedAsync(
            "readings",
            $$"""{"by":"QA","phase":"after","roomC":22,"dieC":60,"powerW":300{{simulated}}}"""
        );
        await RefusedAsync("leak-tests", $$"""{"by":"QA","method":"water","result":"tight"{{simulated}}}""");
        using var csv = new StringContent("t,die\n1,50\n", Encoding.UTF8, "text/csv");
        Assert.Equal(
            ["/source/kind"],
            await PointersAsync(
                await own.Http.PostAsync($"/api/jobs/{id}/logs?by=QA&phase=after&source=simulated", csv)
            )
        );
        // nor does a stand-in measure or turn anything there
        var pressed = await own.PostAsync("/api/instruments/caliper/press", """{"widthMm":12}""");
        Assert.Contains("No caliper is connected", await pressed.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.True((await own.GetAsync($"/api/jobs/{id}/leak-tests")).GetProperty("practiceOnly").GetBoolean());
    }

    [Fact]
    public async Task The_contact_passport_tells_each_forecast_and_what_confirms_or_doubts_it()
    {
        // a proved job: its edges were looked along, its die was read
        var contact = Assert.Single((await _server.GetAsync("/api/jobs/5/passport")).EnumerateArray());
        Assert.Equal("U1", contact.GetProperty("contact").GetString());
        var forecast = contact.GetProperty("forecast");
        Assert.InRange(forecast.GetProperty("gapMm").GetDouble(), 0.01, 0.1);
        Assert.InRange(forecast.GetProperty("loadN").GetDouble(), 100, 200);
        // the plate rests on the film 1.95 mm up, its base 1.2 mm further
        Assert.Equal(1.95 + 1.2, forecast.GetProperty("edgeGapMm").GetDouble(), 0.05);
        Assert.Equal(
            [true, true],
            contact.GetProperty("seen").EnumerateArray().Select(s => s.GetProperty("agrees").GetBoolean())
        );
        var record = await _server.Http.GetStringAsync("/api/jobs/5/record.html");
        Assert.Contains("<h2>Contacts</h2>", record, StringComparison.Ordinal);

        // a die 20 K over what is expected doubts its contact, and an imprint with a bare corner does
        var job = await _server.OpenAsync();
        await ReadAsync(job, "after", die: 95);
        var sheet = await _server.SendAsync(
            HttpMethod.Put,
            $"/api/jobs/{job}/imprint",
            """{"by":"QA","looks":[{"part":"U1","mark":"bare-corner"}]}""",
            "0"
        );
        Assert.True(sheet.IsSuccessStatusCode, await sheet.Content.ReadAsStringAsync());
        var all = (await _server.GetAsync($"/api/jobs/{job}/passport")).EnumerateArray().ToList();
        Assert.True(all.Count > 10);
        var die = all.Single(c => c.GetProperty("contact").GetString() == "U1");
        Assert.Equal(
            [("imprint: bare corner", false), ("die", false)],
            die.GetProperty("seen")
                .EnumerateArray()
                .Select(s => (s.GetProperty("what").GetString()!.Split(" 95")[0], s.GetProperty("agrees").GetBoolean()))
        );
    }

    [Fact]
    public async Task A_complaint_is_proved_at_its_own_sensor_and_known_offsets_are_taken_off()
    {
        var job = await _server.OpenAsync();
        Task<HttpResponseMessage> Put(string body, string version) =>
            _server.SendAsync(HttpMethod.Put, $"/api/jobs/{job}/proof", body, version);
        async Task<JsonElement> Proof() =>
            (await _server.JobAsync(job))
                .GetProperty("plan")
                .GetProperty("prove")
                .GetProperty("pairs")[0]
                .GetProperty("comparison");
        await ReadAsync(job, "before", "", 90);
        await ReadAsync(job, "after");
        var before = await Proof();
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await Put("""{"by":"QA","complaint":"memory","offsets":[{"sensor":"die","readsHighK":5}]}""", "0")
            ).StatusCode
        );
        var told = await Proof();
        Assert.Equal("memory not read: complained of", told.GetProperty("verdict").GetString());
        // 5 K less at the die, at 300 W
        double Room(JsonElement c) => c.GetProperty("afterToRoom").GetProperty("kPerW").GetDouble();
        Assert.Equal(5.0 / 300, Room(before) - Room(told), 3e-4);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await Put("""{"by":"QA","offsets":[]}""", "0")).StatusCode);
        Assert.Equal(
            ["/complaint", "/offsets/0/readsHighK"],
            (
                await PointersAsync(
                    await Put(
                        """{"by":"QA","complaint":"inductor","offsets":[{"sensor":"die","readsHighK":50}]}""",
                        "1"
                    )
                )
            ).Order()
        );
        Assert.Equal(["/offsets"], await PointersAsync(await Put("""{"by":"QA"}""", "1")));
        Assert.Equal(
            ["/offsets/0/sensor"],
            await PointersAsync(await Put("""{"by":"QA","offsets":[{"readsHighK":1}]}""", "1"))
        );
        Assert.Equal(
            ["/offsets"],
            await PointersAsync(
                await Put(
                    """{"by":"QA","offsets":[{"sensor":"die","readsHighK":1},{"sensor":"die","readsHighK":2}]}""",
                    "1"
                )
            )
        );
        Assert.Equal(HttpStatusCode.OK, (await Put("""{"by":"QA","offsets":[]}""", "1")).StatusCode);
        Assert.Equal(before.GetProperty("verdict").GetString(), (await Proof()).GetProperty("verdict").GetString());
    }
}
