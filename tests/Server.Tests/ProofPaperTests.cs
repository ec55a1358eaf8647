using System.Net;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Logs, leak tests, looks, drift and its calendar over real HTTP against a real file.</summary>
public sealed class ProofPaperTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private static string Csv(
        int seconds,
        string head = "time (s);die (°C);memory (°C);coolant in;room;flow (L/min);power (W)"
    )
    {
        var text = new StringBuilder(head).Append('\n');
        for (var t = 0; t < seconds; t++)
            text.Append(
                    string.Create(
                            System.Globalization.CultureInfo.InvariantCulture,
                            $"{t};{47 - 25 * Math.Exp(-t / 60.0) + 0.05 * (t % 3):0.00};36;30;21.5;3;240"
                        )
                        .Replace('.', ',')
                )
                .Append('\n');
        return text.ToString();
    }

    private Task<HttpResponseMessage> SendAsync(string path, string csv) =>
        _server.Http.PostAsync(path, new StringContent(csv, Encoding.UTF8, "text/csv"));

    [Fact]
    public async Task A_log_is_kept_through_a_kill_drawn_judged_and_taken_as_a_reading()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        var made = await own.Http.PostAsync(
            $"/api/jobs/{job}/logs?by=QA&phase=after&name=first",
            new StringContent(Csv(900), Encoding.UTF8, "text/csv")
        );
        Assert.Equal(HttpStatusCode.Created, made.StatusCode);
        own.KillAndRestart();
        var log = (await own.GetAsync($"/api/jobs/{job}/logs")).EnumerateArray().Single();
        var id = log.GetProperty("id").GetInt64();
        var view = await own.GetAsync($"/api/jobs/{job}/logs/{id}");
        Assert.StartsWith(
            "Steady",
            view.GetProperty("verdict").GetProperty("text").GetString(),
            StringComparison.Ordinal
        );
        Assert.InRange(view.GetProperty("drawn").GetProperty("timesS").GetArrayLength(), 800, 1700);
        var taken = await own.PostAsync(
            $"/api/jobs/{job}/logs/{id}/reading",
            JsonSerializer.Serialize(new { by = "QA", phase = "after" })
        );
        Assert.Equal(HttpStatusCode.Created, taken.StatusCode);
        var reading = (await own.JobAsync(job)).GetProperty("readings").EnumerateArray().Single();
        Assert.Equal(47, reading.GetProperty("dieC").GetDouble(), 0.2);
        Assert.Equal(30, reading.GetProperty("coolantC").GetDouble());
        Assert.Equal(HttpStatusCode.NoContent, (await own.Http.DeleteAsync($"/api/jobs/{job}/logs/{id}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await own.Http.GetAsync($"/api/jobs/{job}/logs/{id}")).StatusCode);
    }

    [Fact]
    public async Task Columns_are_told_once_and_known_by_their_header_afterwards()
    {
        var job = await _server.OpenAsync();
        var csv = Csv(60, "a;b;c;d;e;f;g");
        var look = await ServerProcess.JsonAsync(await SendAsync("/api/logs/look", csv));
        Assert.False(look.GetProperty("known").GetBoolean());
        Assert.Equal(11, look.GetProperty("roles").GetArrayLength());
        // nothing in these names says what they are
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await SendAsync($"/api/jobs/{job}/logs?by=QA&phase=after", csv)).StatusCode
        );
        var told = JsonSerializer.Serialize(
            new object[]
            {
                new { index = 0, unit = "s" },
                new
                {
                    index = 1,
                    channel = "die",
                    unit = "°C",
                },
            }
        );
        var made = await SendAsync($"/api/jobs/{job}/logs?by=QA&phase=after&columns={Uri.EscapeDataString(told)}", csv);
        Assert.Equal(HttpStatusCode.Created, made.StatusCode);
        Assert.True(
            (await ServerProcess.JsonAsync(await SendAsync("/api/logs/look", csv))).GetProperty("known").GetBoolean()
        );
        Assert.Equal(
            HttpStatusCode.Created,
            (await SendAsync($"/api/jobs/{job}/logs?by=QA&phase=after", csv)).StatusCode
        );
        // a unit that the channel has not, and two of a kind
        foreach (
            var bad in new[]
            {
                """[{"index":1,"channel":"die","unit":"W"}]""",
                """[{"index":1,"channel":"die","unit":"°C"},{"index":2,"channel":"die","unit":"°C"}]""",
                """{"index":1}""",
            }
        )
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (
                    await SendAsync($"/api/jobs/{job}/logs?by=QA&phase=after&columns={Uri.EscapeDataString(bad)}", csv)
                ).StatusCode
            );
    }

    [Fact]
    public async Task A_log_that_still_rises_is_no_reading()
    {
        var job = await _server.OpenAsync();
        var made = await ServerProcess.JsonAsync(await SendAsync($"/api/jobs/{job}/logs?by=QA&phase=after", Csv(40)));
        var id = made.GetProperty("log").GetProperty("id").GetInt64();
        var taken = await _server.PostAsync(
            $"/api/jobs/{job}/logs/{id}/reading",
            JsonSerializer.Serialize(new { by = "QA", phase = "after" })
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, taken.StatusCode);
        Assert.Contains("not steady", await taken.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    private static object[] Hold(double lostKPaAMinute, int minutes) =>
        [
            .. Enumerable
                .Range(0, minutes * 6)
                .Select(i =>
                    (object)
                        new
                        {
                            tS = i * 10.0,
                            gaugeKPa = 50 - lostKPaAMinute * i / 6 + 0.01 * (i % 3 - 1),
                            tempC = 22.0,
                        }
                ),
        ];

    [Fact]
    public async Task A_leak_test_is_written_down_with_its_verdict_and_place_once_it_is_told()
    {
        var job = await _server.OpenAsync();
        Task<HttpResponseMessage> Write(object[] samples, string? place = null) =>
            _server.PostAsync(
                $"/api/jobs/{job}/leak-tests",
                JsonSerializer.Serialize(
                    place is null
                        ? new
                        {
                            by = "QA",
                            volumeMl = 250,
                            samples,
                        }
                        : (object)
                            new
                            {
                                by = "QA",
                                volumeMl = 250,
                                samples,
                                place,
                            }
                )
            );
        Assert.Equal(HttpStatusCode.Created, (await Write(Hold(0, 20))).StatusCode);
        // 0.4 kPa a minute of 250 mL at 101 kPa is 1 mL a minute
        Assert.Equal(HttpStatusCode.Created, (await Write(Hold(0.4, 20), "fitting at port B")).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Write(Hold(0, 20), "fitting at port B")).StatusCode);
        var kept = await _server.GetAsync($"/api/jobs/{job}/leak-tests");
        var tests = kept.GetProperty("tests").EnumerateArray().ToList();
        Assert.Equal(["pass", "fail"], tests.Select(t => t.GetProperty("verdict").GetString()));
        Assert.Equal(1, tests[1].GetProperty("leakMlMin").GetDouble(), 0.05);
        Assert.Equal("fitting at port B", tests[1].GetProperty("place").GetString());
        // tested dry, all that the loop holds is air
        var loop = (await _server.JobAsync(job)).GetProperty("plan").GetProperty("prove").GetProperty("volume");
        Assert.Equal(loop.GetProperty("totalMl").GetDouble(), kept.GetProperty("volumeMl").GetDouble());
        var record = await _server.Http.GetStringAsync($"/api/jobs/{job}/record.html");
        Assert.Contains("<h2>Leak tests</h2>", record, StringComparison.Ordinal);
        Assert.Contains("at fitting at port B.", record, StringComparison.Ordinal);
        Assert.Contains("<h2>What to do, and when</h2>", record, StringComparison.Ordinal);
    }

    /// <summary>What an event stream says, up to and with the event that is waited for.</summary>
    /// <param name="opened">Called once it is open.</param>
    private static async Task<List<(string Name, JsonElement Data)>> ListenAsync(
        ServerProcess server,
        string path,
        Func<string, JsonElement, bool> until,
        Action? opened = null
    )
    {
        using var cancel = new CancellationTokenSource(TimeSpan.FromSeconds(60));
        using var answer = await server.Http.GetAsync(path, HttpCompletionOption.ResponseHeadersRead, cancel.Token);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        using var lines = new StreamReader(await answer.Content.ReadAsStreamAsync(cancel.Token));
        var events = new List<(string, JsonElement)>();
        var name = "";
        while (await lines.ReadLineAsync(cancel.Token) is { } line)
            if (line.StartsWith("event: ", StringComparison.Ordinal))
            {
                name = line[7..];
                if (name == "listening")
                    opened?.Invoke();
            }
            else if (line.StartsWith("data: ", StringComparison.Ordinal) && line.Length > 6)
            {
                events.Add((name, JsonDocument.Parse(line[6..]).RootElement));
                if (until(name, events[^1].Item2))
                    break;
            }
        return events;
    }

    [Fact]
    public async Task Live_a_bench_sends_rows_and_what_they_say_and_a_loop_its_pressure()
    {
        var run = await ListenAsync(
            _server,
            "/api/jobs/1/bench-run?fault=7&speed=200",
            (n, d) =>
                n == "verdict" && d.TryGetProperty("steadyFromS", out var s) && s.ValueKind == JsonValueKind.Number
        );
        var logger = run.First(e => e.Name == "logger").Data;
        Assert.Equal(200, logger.GetProperty("simulated").GetDouble());
        var row = run.Last(e => e.Name == "rows").Data.GetProperty("rows")[0];
        Assert.Equal(logger.GetProperty("channels").GetArrayLength(), row.GetProperty("values").GetArrayLength());
        var hold = await ListenAsync(
            _server,
            "/api/jobs/1/leak-run?practise=true&speed=200",
            (n, d) =>
                n == "sample" && d.TryGetProperty("result", out var r) && r.GetProperty("verdict").GetString() == "fail"
        );
        Assert.True(hold[^1].Data.GetProperty("gaugeKPa").GetDouble() < 50);
    }

    [Fact]
    public async Task What_was_seen_changes_what_is_suspected_and_is_kept_with_a_version()
    {
        var bench = await _server.CalculatedAsync();
        var job = bench
            .Single(j => j.GetProperty("title").GetString() == "Tern 460, memory runs warm")
            .GetProperty("id")
            .GetInt64();
        var before = (await _server.GetAsync($"/api/jobs/{job}/faults")).GetProperty("hypotheses")[0];
        Assert.Equal(6, before.GetProperty("parts").GetArrayLength());
        Assert.False(
            (await _server.GetAsync($"/api/jobs/{job}/faults")).GetProperty("lift").GetProperty("lift").GetBoolean()
        );
        Task<HttpResponseMessage> Put(object looks, int version) =>
            _server.SendAsync(
                HttpMethod.Put,
                $"/api/jobs/{job}/imprint",
                JsonSerializer.Serialize(new { by = "QA", looks }),
                version.ToString(System.Globalization.CultureInfo.InvariantCulture)
            );
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await Put(new[] { new { part = "M4", mark = "pumped-out" } }, 0)).StatusCode
        );
        Assert.Equal(HttpStatusCode.OK, (await Put(new[] { new { part = "M4", mark = "film" } }, 0)).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await Put(Array.Empty<object>(), 0)).StatusCode);
        var after = (await _server.GetAsync($"/api/jobs/{job}/faults")).GetProperty("hypotheses")[0];
        Assert.Equal("film-left", after.GetProperty("kind").GetString());
        Assert.Equal("M4", Assert.Single(after.GetProperty("parts").EnumerateArray()).GetString());
        Assert.True(after.GetProperty("probability").GetDouble() > 0.9);
        Assert.Equal(HttpStatusCode.OK, (await Put(Array.Empty<object>(), 1)).StatusCode);
    }

    [Fact]
    public async Task A_year_of_proofs_is_due_by_its_drift_and_its_calendar_names_the_same_day()
    {
        var job = (await _server.CalculatedAsync())
            .Single(j => j.GetProperty("title").GetString() == "Tern 460, a year on")
            .GetProperty("id")
            .GetInt64();
        var care = await _server.GetAsync($"/api/jobs/{job}/care");
        Assert.Equal(5, care.GetProperty("drift").GetProperty("marks").GetArrayLength());
        var due = care.GetProperty("repaste").GetString()!;
        var ics = await _server.Http.GetAsync($"/api/jobs/{job}/care.ics");
        Assert.Equal("text/calendar", ics.Content.Headers.ContentType!.MediaType);
        var text = await ics.Content.ReadAsStringAsync();
        Assert.Contains(
            $"DTSTART;VALUE=DATE:{due.Replace("-", "", StringComparison.Ordinal)}",
            text,
            StringComparison.Ordinal
        );
        Assert.Contains("Repaste: Tern 460\\, a year on\\, Harbour office", text, StringComparison.Ordinal);
        // a reading of another day is taken with its day, and never one of tomorrow
        var own = await _server.OpenAsync();
        Task<HttpResponseMessage> Add(string takenAt) =>
            _server.PostAsync(
                $"/api/jobs/{own}/readings",
                JsonSerializer.Serialize(
                    new
                    {
                        by = "QA",
                        phase = "after",
                        roomC = 21,
                        coolantC = 30,
                        dieC = 46,
                        powerW = 240,
                        takenAt,
                    }
                )
            );
        Assert.Equal(HttpStatusCode.Created, (await Add("2025-03-01T10:00:00Z")).StatusCode);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await Add("2999-03-01T10:00:00Z")).StatusCode);
        Assert.StartsWith(
            "2025-03-01",
            (await _server.JobAsync(own)).GetProperty("readings")[0].GetProperty("at").GetString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task The_trainer_hides_tells_and_counts()
    {
        var path = "/api/jobs/1/trainer";
        async Task<JsonElement> Ask(object body)
        {
            var answer = await _server.PostAsync(path, JsonSerializer.Serialize(body));
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            return await ServerProcess.JsonAsync(answer);
        }
        var open = await Ask(new { seed = 11, checks = Array.Empty<object>() });
        Assert.False(open.TryGetProperty("truth", out var hidden) && hidden.ValueKind == JsonValueKind.String);
        var told = await Ask(
            new
            {
                seed = 11,
                checks = Array.Empty<object>(),
                giveUp = true,
            }
        );
        Assert.False(string.IsNullOrEmpty(told.GetProperty("truth").GetString()));
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (
                await _server.PostAsync(
                    path,
                    JsonSerializer.Serialize(
                        new { seed = 11, checks = new[] { new { kind = "film-left", part = "Z9" } } }
                    )
                )
            ).StatusCode
        );
    }

    [Fact]
    public async Task Heat_is_told_as_measured_or_as_tried_and_a_better_pad_cools_its_parts()
    {
        var plain = await _server.GetAsync("/api/jobs/1/expect?map=true");
        var map = plain.GetProperty("map");
        Assert.Equal(
            map.GetProperty("columns").GetInt32() * map.GetProperty("rows").GetInt32(),
            map.GetProperty("c").GetArrayLength()
        );
        double C(JsonElement e, string part) =>
            e.GetProperty("result")
                .GetProperty("parts")
                .EnumerateArray()
                .Single(p => p.GetProperty("part").GetString() == part)
                .GetProperty("c")
                .GetDouble();
        var better = await _server.GetAsync("/api/jobs/1/expect?padWPerMK=12");
        Assert.True(C(better, "Q1") < C(plain, "Q1") - 5);
        Assert.Equal(C(plain, "U1"), C(better, "U1"), 9);
        var more = await _server.GetAsync("/api/jobs/1/expect?powerW=604");
        Assert.True(C(more, "U1") > C(plain, "U1") + 10);
        foreach (var bad in new[] { "flowLMin=0", "coolantInC=95", "powerW=0", "padWPerMK=0", "pasteWPerMK=500" })
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await _server.Http.GetAsync($"/api/jobs/1/expect?{bad}")).StatusCode
            );
        var pastes = (await _server.GetAsync("/api/jobs/1/pastes")).EnumerateArray().ToList();
        Assert.Single(pastes, p => p.GetProperty("chosen").GetBoolean());
        Assert.True(pastes.Count >= 2);
        // as it was measured: the coolant of the after reading, not the shop's usual one
        var measured = await _server.GetAsync("/api/jobs/22/expect");
        Assert.Equal(27, measured.GetProperty("conditions").GetProperty("coolantInC").GetDouble());
    }

    [Fact]
    public async Task A_pass_is_signed_when_all_its_screws_are_ticked_and_never_before_they_are_started()
    {
        using var own = new ServerProcess();
        var job = await own.OpenAsync();
        var steps = (await own.JobAsync(job))
            .GetProperty("stations")
            .EnumerateArray()
            .Single(s => s.GetProperty("station").GetString() == "mount")
            .GetProperty("steps")
            .EnumerateArray()
            .ToList();
        var pass = steps.First(s => s.GetProperty("turns").GetArrayLength() > 0);
        var (id, screws) = (pass.GetProperty("id").GetString()!, pass.GetProperty("turns").GetArrayLength());
        var start = steps.Single(s => s.GetProperty("id").GetString() == "mount.start");
        await own.SignAllAsync(job, until: "mount.start");
        Assert.Equal(HttpStatusCode.Conflict, (await own.SignAsync(job, id, count: screws)).StatusCode);
        var started = await own.SignAsync(job, "mount.start", count: start.GetProperty("count").GetInt32());
        Assert.Equal(HttpStatusCode.OK, started.StatusCode);
        Assert.Equal(HttpStatusCode.Conflict, (await own.SignAsync(job, id, count: screws - 1)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await own.SignAsync(job, id, count: screws)).StatusCode);
        // the driver watches one screw of a pass
        var nobody = await own.Http.GetAsync(
            $"/api/jobs/{job}/driver?stepId={id}&hole=none",
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, nobody.StatusCode);
        var elsewhere = await own.Http.GetAsync(
            $"/api/jobs/{job}/driver?stepId=mount.start&hole=S1",
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, elsewhere.StatusCode);
        await TurnAsync(own, job, pass);
    }

    /// <summary>What a driver turns is kept with its source for whoever turned it, once however many watch.</summary>
    private static async Task TurnAsync(ServerProcess own, long job, JsonElement pass)
    {
        var (id, turn) = (pass.GetProperty("id").GetString(), pass.GetProperty("turns")[0]);
        var hole = turn.GetProperty("hole").GetString();
        var before = pass.GetProperty("turns")[1].GetProperty("hole").GetString();
        async Task Watched(string manner, string state, params string[] watches)
        {
            var open = new SemaphoreSlim(0);
            var watching = new List<Task>();
            foreach (var watch in watches)
            {
                watching.Add(
                    ListenAsync(
                        own,
                        $"/api/jobs/{job}/driver?stepId={id}&hole={watch}",
                        (n, d) => n == "turn" && d.GetProperty("state").GetString() == state,
                        () => open.Release()
                    )
                );
                await open.WaitAsync();
            }
            using var turned = await own.Http.PostAsync(
                "/api/instruments/driver/turn",
                new StringContent(
                    $$"""{"target":{{turn.GetProperty("target").GetRawText()}},"manner":"{{manner}}"}""",
                    System.Text.Encoding.UTF8,
                    "application/json"
                )
            );
            Assert.Equal(HttpStatusCode.NoContent, turned.StatusCode);
            await Task.WhenAll(watching);
        }
        await Watched("right", "met", $"{hole}");
        Assert.Empty((await own.JobAsync(job)).GetProperty("driverTurns").EnumerateArray());
        await Watched("right", "met", $"{hole}&by=QA", $"{hole}&by=QA");
        // the page has moved on from the screw before, and that watch has not ended yet
        await Watched("skipped", "skipped", $"{before}&by=QA", $"{hole}&by=QA");
        // the page moves on while the screw is still turned: the turn is heard to its end
        await Watched("overshoot", "turning", $"{hole}&by=QA");
        List<JsonElement> kept;
        do kept = [.. (await own.JobAsync(job)).GetProperty("driverTurns").EnumerateArray()];
        while (kept.Count < 3);
        Assert.Equal(["met", "skipped", "overshoot"], kept.Select(t => t.GetProperty("state").GetString()));
        Assert.All(kept, t => Assert.Equal(hole, t.GetProperty("hole").GetString()));
        Assert.All(kept, t => Assert.Equal("simulated", t.GetProperty("source").GetProperty("kind").GetString()));
        Assert.Equal(
            turn.GetProperty("target").GetProperty("angleDeg").GetDouble(),
            kept[0].GetProperty("angleDeg").GetDouble(),
            6
        );
        var record = await own.Http.GetStringAsync($"/api/jobs/{job}/record.html");
        Assert.Contains("Turned with a torque driver", record, StringComparison.Ordinal);
        Assert.Contains("<td>met; simulated, nobody measured it", record, StringComparison.Ordinal);
    }
}
