using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Working defaults over real HTTP: bounds, consequences, history, and signed steps that a change touches.</summary>
public sealed class SettingTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private static Task<HttpResponseMessage> PutAsync(
        ServerProcess server,
        object values,
        string? reason = "a trial"
    ) =>
        server.SendAsync(
            HttpMethod.Put,
            "/api/settings",
            JsonSerializer.Serialize(
                new
                {
                    values,
                    reason,
                    by = "QA",
                }
            )
        );

    /// <summary>What a change does to every open job, portion by portion.</summary>
    private static async Task<List<JsonElement>> TriedAsync(ServerProcess server, object values)
    {
        List<JsonElement> jobs = [];
        var (looked, before) = (new HashSet<int>(), "");
        while (true)
        {
            var answer = await server.PostAsync(
                $"/api/settings/try{before}",
                JsonSerializer.Serialize(new { values, by = "QA" })
            );
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            var portion = await ServerProcess.JsonAsync(answer);
            jobs.AddRange(portion.GetProperty("jobs").EnumerateArray());
            var more = portion.GetProperty("more").GetInt32();
            if (more == 0)
                return jobs;
            Assert.True(portion.GetProperty("looked").GetInt32() > 0);
            Assert.True(looked.Add(more), "each portion leaves fewer");
            before = $"?before={portion.GetProperty("last").GetInt64()}";
        }
    }

    private static JsonElement One(JsonElement view, string key) =>
        view.GetProperty("settings").EnumerateArray().Single(s => s.GetProperty("key").GetString() == key);

    [Fact]
    public async Task A_change_is_tried_on_open_jobs_kept_with_its_reason_and_survives_a_kill()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        Assert.Equal(HttpStatusCode.OK, (await own.SignAsync(job, "match.label")).StatusCode);
        var before = (await own.JobAsync(job)).GetRawText();
        Assert.Contains("repaste in 24 months", before, StringComparison.Ordinal);
        var consequence = (await TriedAsync(own, new { repasteCapMonths = 12 })).Single(j =>
            j.GetProperty("jobId").GetInt64() == job
        );
        Assert.Contains(
            "repaste in 12 months",
            consequence.GetProperty("changes").GetRawText(),
            StringComparison.Ordinal
        );
        // tried is not kept
        Assert.Equal(24, One(await own.GetAsync("/api/settings"), "repasteCapMonths").GetProperty("value").GetDouble());

        Assert.Equal(HttpStatusCode.OK, (await PutAsync(own, new { repasteCapMonths = 12 })).StatusCode);
        own.KillAndRestart();
        var view = await own.GetAsync("/api/settings");
        Assert.Equal(12, One(view, "repasteCapMonths").GetProperty("value").GetDouble());
        Assert.Equal(24, One(view, "repasteCapMonths").GetProperty("default").GetDouble());
        Assert.Equal("a trial", view.GetProperty("history")[0].GetProperty("reason").GetString());
        Assert.Contains("repaste in 12 months", (await own.JobAsync(job)).GetRawText(), StringComparison.Ordinal);
        // what was signed and is not touched by it still stands
        Assert.True((await own.JobAsync(job)).Step("match.label").GetProperty("signed").GetBoolean());
        Assert.False((await own.JobAsync(job)).Step("match.label").GetProperty("lookAgain").GetBoolean());
        // the default again is a change as well
        var back = await own.SendAsync(
            HttpMethod.Put,
            "/api/settings",
            """{"values":{},"defaults":["repasteCapMonths"],"reason":"as it was","by":"QA"}"""
        );
        Assert.Equal(HttpStatusCode.OK, back.StatusCode);
        view = await own.GetAsync("/api/settings");
        Assert.Equal(24, One(view, "repasteCapMonths").GetProperty("value").GetDouble());
        Assert.Equal(2, view.GetProperty("history").GetArrayLength());
    }

    [Fact]
    public async Task What_the_logger_costs_is_taken_off_the_power_that_was_read()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        await own.PostAsync(
            $"/api/jobs/{job}/readings",
            JsonSerializer.Serialize(
                new
                {
                    by = "QA",
                    phase = "after",
                    roomC = 20,
                    coolantC = 30,
                    dieC = 50,
                    powerW = 250,
                    flowLMin = 3,
                }
            )
        );
        async Task<double> ToRoom() =>
            (await own.JobAsync(job))
                .GetProperty("plan")
                .GetProperty("prove")
                .GetProperty("pairs")[0]
                .GetProperty("comparison")
                .GetProperty("afterToRoom")
                .GetProperty("kPerW")
                .GetDouble();
        Assert.Equal(30.0 / 250, await ToRoom(), 9);
        Assert.Equal(HttpStatusCode.OK, (await PutAsync(own, new { loggerW = 10 })).StatusCode);
        Assert.Equal(30.0 / 240, await ToRoom(), 9);
        // the reading itself stays as it was read
        Assert.Equal(250, (await own.JobAsync(job)).GetProperty("readings")[0].GetProperty("powerW").GetDouble());
    }

    [Fact]
    public async Task What_can_not_be_is_refused_with_its_place_and_nothing_of_it_is_kept()
    {
        async Task Refused(object values, string pointer, string? reason = "a trial")
        {
            var answer = await PutAsync(_server, values, reason);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
            Assert.Contains($"\"{pointer}\"", await answer.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        }
        await Refused(new { coolantInC = 30, flowLPerMin = 200 }, "/values/flowLPerMin");
        await Refused(new { removerWaitS = 12.5 }, "/values/removerWaitS");
        await Refused(new { warpFactor = 9 }, "/values/warpFactor");
        await Refused(new { }, "/values");
        await Refused(new { coolantInC = 28 }, "/reason", " ");
        Assert.Equal(0, (await _server.GetAsync("/api/settings")).GetProperty("history").GetArrayLength());
    }

    [Fact]
    public async Task The_file_holds_every_setting()
    {
        var file = await _server.GetAsync("/api/settings/file");
        Assert.Equal("faithful-bracket/settings", file.GetProperty("format").GetString());
        var keys = (await _server.GetAsync("/api/settings"))
            .GetProperty("settings")
            .EnumerateArray()
            .Select(s => s.GetProperty("key").GetString()!)
            .ToList();
        Assert.Equal(keys.Order(), file.GetProperty("values").EnumerateObject().Select(p => p.Name).Order());
        Assert.All(keys, k => Assert.False(string.IsNullOrEmpty(k)));
    }

    [Fact]
    public async Task Figures_are_written_as_the_shop_has_them_on_the_screen_and_in_the_record_never_in_documents()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        var document = await own.Http.GetStringAsync("/api/boards/tern-460-r2");
        Assert.Contains("0.43 mm clear", (await own.JobAsync(job)).GetRawText(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await PutAsync(own, new { decimalMark = 1, inches = 1 })).StatusCode);
        var told = (await own.JobAsync(job)).GetRawText();
        Assert.Contains("0,43 mm (0,017 in) clear", told, StringComparison.Ordinal);
        Assert.DoesNotContain("0.43 mm", told, StringComparison.Ordinal);
        // ids are signed by, they stay
        Assert.Contains("pads.lay-memory-front-1.0-soft-3", told, StringComparison.Ordinal);
        Assert.Equal(document, await own.Http.GetStringAsync("/api/boards/tern-460-r2"));
        var record = await own.Http.GetStringAsync($"/api/jobs/{job}/record.html");
        Assert.Contains("pads (1,0 mm, 0,039 in) on the memory", record, StringComparison.Ordinal);
        using var form = new StringContent(record, System.Text.Encoding.UTF8, "text/html");
        var check = await own.Http.PostAsync("/api/records/check", form);
        Assert.Contains("whole", await check.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        // a refusal reads the same way
        var refused = await PutAsync(own, new { springBack = 7 });
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("0,6", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        var figures = await own.GetAsync("/api/settings/figures");
        Assert.True(figures.GetProperty("comma").GetBoolean() && figures.GetProperty("inches").GetBoolean());
    }

    [Fact]
    public async Task Own_words_go_out_and_come_back_as_somebody_wrote_them()
    {
        using var own = new ServerProcess();
        var asked = new
        {
            title = "Card with 1.5 mm pads",
            client = "Shop 2.5 mm",
            bench = "Bench 0.5 mm",
            boardId = "tern-460-r2",
            blockId = "brineworks-full-460",
            by = "QA",
        };
        var opened = await own.PostAsync("/api/jobs", JsonSerializer.Serialize(asked));
        var job = (await ServerProcess.JsonAsync(opened)).GetProperty("id").GetInt64();
        var drawer = (await own.GetAsync("/api/drawer")).GetRawText();
        Assert.Equal(HttpStatusCode.OK, (await PutAsync(own, new { decimalMark = 1, inches = 1 })).StatusCode);

        var view = await own.JobAsync(job);
        Assert.Equal(asked.title, view.GetProperty("title").GetString());
        Assert.Equal(asked.client, view.GetProperty("client").GetString());
        Assert.Equal(asked.bench, view.GetProperty("bench").GetString());
        Assert.Equal(drawer, (await own.GetAsync("/api/drawer")).GetRawText());
        var onBench = (await own.GetAsync("/api/bench"))
            .GetProperty("jobs")
            .EnumerateArray()
            .Single(j => j.GetProperty("id").GetInt64() == job);
        Assert.Equal(asked.title, onBench.GetProperty("title").GetString());
    }

    [Fact]
    public async Task A_shop_that_squashes_less_plans_and_answers_by_it()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        Assert.DoesNotContain("too much", (await own.JobAsync(job)).GetRawText(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await PutAsync(own, new { squashMost = 0.35 })).StatusCode);
        Assert.Contains(
            "squashes 12 to 43 %, too much",
            (await own.JobAsync(job)).GetRawText(),
            StringComparison.Ordinal
        );
        // what the drawer states is shown as stated
        var soft = (await own.GetAsync("/api/drawer"))
            .GetProperty("drawer")
            .GetProperty("materials")
            .EnumerateArray()
            .Single(m => m.GetProperty("id").GetString() == "soft-3");
        Assert.True(soft.GetProperty("squashMax").GetDouble() > 0.35);
    }
}
