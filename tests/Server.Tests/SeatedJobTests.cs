using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>A processor in its socket, as a job: opened, turned, bared, signed, over real HTTP.</summary>
public sealed class SeatedJobTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    private async Task<HttpResponseMessage> OpenAsync(object? seat, string board = "levanter-x4-r1") =>
        await _server.PostAsync(
            "/api/jobs",
            JsonSerializer.Serialize(
                new
                {
                    title = "P8",
                    bench = "Bench A",
                    boardId = board,
                    blockId = "lathe-loch-jet-p",
                    by = "QA",
                    seat,
                }
            )
        );

    private async Task<long> OpenedAsync(object? seat, string board = "levanter-x4-r1")
    {
        var answer = await OpenAsync(seat, board);
        Assert.Equal(HttpStatusCode.Created, answer.StatusCode);
        return (await ServerProcess.JsonAsync(answer)).GetProperty("id").GetInt64();
    }

    private async Task<HttpResponseMessage> ChangeAsync(long job, object seat, string? paste = null)
    {
        var version = (await _server.JobAsync(job)).GetProperty("version").GetInt64().ToString();
        return await _server.SendAsync(
            HttpMethod.Put,
            $"/api/jobs/{job}",
            JsonSerializer.Serialize(
                new
                {
                    title = "P8",
                    bench = "Bench A",
                    blockId = "lathe-loch-jet-p",
                    pasteId = paste,
                    padChoices = Array.Empty<object>(),
                    seat,
                }
            ),
            version
        );
    }

    private static JsonElement Seat(JsonElement job) => job.GetProperty("plan").GetProperty("seats")[0];

    [Fact]
    public async Task The_job_and_the_library_give_the_same_heights_loads_and_turns()
    {
        var job = await _server.JobAsync(await OpenedAsync(new { processorId = "orrery-p8" }));
        var match = Seat(job).GetProperty("match");
        var asked = await _server.GetAsync(
            "/api/sockets/gull/match?processor=orrery-p8&block=lathe-loch-jet-p&board=levanter-x4-r1"
        );
        foreach (var name in new[] { "contactMm", "homeMm", "loadN", "socketLoadN", "peakMPa", "shimMm", "verdict" })
            Assert.Equal(asked.GetProperty(name).GetRawText(), match.GetProperty(name).GetRawText());
        Assert.Equal(
            asked.GetProperty("orientations").GetArrayLength(),
            match.GetProperty("orientations").GetArrayLength()
        );
        var kept = await _server.GetAsync($"/api/jobs/{job.GetProperty("id").GetInt64()}/seat-blocks");
        Assert.Equal(
            job.GetProperty("plan").GetProperty("match").GetProperty("order").GetProperty("verdict").GetString(),
            kept.EnumerateArray()
                .Single(b => b.GetProperty("blockId").GetString() == "lathe-loch-jet-p")
                .GetProperty("verdict")
                .GetString()
        );
    }

    [Fact]
    public async Task Another_turn_is_planned_anew_and_what_was_signed_on_the_old_one_is_looked_at_again()
    {
        var job = await OpenedAsync(new { processorId = "orrery-p8" });
        var before = await _server.JobAsync(job);
        Assert.Equal(90, Seat(before).GetProperty("turnDeg").GetDouble());
        Assert.True((await _server.SignAsync(job, "match.turn")).IsSuccessStatusCode);
        Assert.True((await ChangeAsync(job, new { processorId = "orrery-p8", turnDeg = 180 })).IsSuccessStatusCode);
        var after = await _server.JobAsync(job);
        Assert.Equal(180, Seat(after).GetProperty("turnDeg").GetDouble());
        Assert.True(after.Step("match.turn").GetProperty("lookAgain").GetBoolean());
        Assert.Equal(
            180,
            after
                .GetProperty("plan")
                .GetProperty("match")
                .GetProperty("order")
                .GetProperty("pairs")[0]
                .GetProperty("on")[0]
                .GetProperty("fit")
                .GetProperty("placement")
                .GetProperty("rotationDeg")
                .GetDouble(),
            6
        );
    }

    [Fact]
    public async Task A_signature_says_on_which_processor_and_socket_it_was_given()
    {
        var job = await OpenedAsync(new { processorId = "orrery-p8" });
        await _server.SignAllAsync(job, until: "prep.clean-lid");
        Assert.True((await _server.SignAsync(job, "prep.clean-lid")).IsSuccessStatusCode);
        var signed = (await _server.JobAsync(job))
            .GetProperty("history")
            .EnumerateArray()
            .First(h => h.GetProperty("stepId").GetString() == "prep.clean-lid")
            .GetProperty("signed")
            .GetProperty("documents");
        var roles = signed.EnumerateArray().ToDictionary(d => d.GetProperty("role").GetString()!);
        Assert.Equal("orrery-p8", roles["processor"].GetProperty("id").GetString());
        Assert.Equal("gull", roles["socket"].GetProperty("id").GetString());
        Assert.All(roles.Values, d => Assert.NotEmpty(d.GetProperty("digest").GetString()!));
        // the processor's document changes: what rests on it is shown
        var document = await _server.GetAsync("/api/boards/orrery-p8");
        var changed = System.Text.Json.Nodes.JsonNode.Parse(document.GetRawText())!;
        changed["revision"] = "B1";
        Assert.True((await _server.PostAsync("/api/boards?replace=true", changed.ToJsonString())).IsSuccessStatusCode);
        var again = (await _server.JobAsync(job)).Step("prep.clean-lid");
        Assert.True(again.GetProperty("lookAgain").GetBoolean());
        Assert.Contains(
            again.GetProperty("changed").EnumerateArray(),
            c => c.GetString()!.Contains("processor orrery-p8", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task Metal_stays_locked_until_the_coat_is_signed()
    {
        var job = await OpenedAsync(new { processorId = "orrery-a12", bare = true }, "meltemi-m6-r1");
        Assert.True(
            (await ChangeAsync(job, new { processorId = "orrery-a12", bare = true }, "quick-73")).IsSuccessStatusCode
        );
        await _server.SignAllAsync(job, until: "paste.CCD1", but: "prep.coat");
        var early = await _server.SignAsync(job, "paste.CCD1");
        Assert.Equal(HttpStatusCode.Conflict, early.StatusCode);
        Assert.Contains("coat", (await early.Content.ReadAsStringAsync()).ToLowerInvariant());
        Assert.True((await _server.SignAsync(job, "prep.coat")).IsSuccessStatusCode);
        var now = await _server.SignAsync(job, "paste.CCD1");
        Assert.True(now.IsSuccessStatusCode, await now.Content.ReadAsStringAsync());
        // the coat taken back names the metal that rests on it
        var undo = await _server.UndoAsync(job, "prep.coat", 1);
        Assert.Equal(HttpStatusCode.Conflict, undo.StatusCode);
        Assert.Contains("paste.CCD1", await undo.Content.ReadAsStringAsync());
    }

    [Fact]
    public async Task A_bare_job_can_be_signed_from_match_to_care_and_reads_from_its_record()
    {
        var job = await OpenedAsync(new { processorId = "orrery-p8", bare = true });
        await _server.SignAllAsync(job);
        var done = await _server.JobAsync(job);
        Assert.True(done.GetProperty("finished").GetBoolean());
        Assert.True(Seat(done).GetProperty("bare").GetBoolean());
        Assert.Equal("orrery-p8", Seat(done).GetProperty("processor").GetString());
        // kept as surveyed it is the mainboard alone, without what lay in its socket
        var kept = await _server.PostAsync(
            $"/api/jobs/{job}/survey",
            """{"id":"levanter-x4-ours","maker":"Saltmarsh Boards","model":"Levanter X4","boardCode":"SB-LX4","revision":"R9"}"""
        );
        Assert.Equal(HttpStatusCode.Created, kept.StatusCode);
        var own = await ServerProcess.JsonAsync(kept);
        var first = await _server.GetAsync("/api/boards/levanter-x4-r1");
        foreach (var list in new[] { "parts", "holes" })
            Assert.Equal(
                first.GetProperty(list).EnumerateArray().Select(x => x.GetProperty("id").GetString()),
                own.GetProperty(list).EnumerateArray().Select(x => x.GetProperty("id").GetString())
            );
    }

    [Theory]
    [InlineData("nobody", "levanter-x4-r1", "/seat/processorId")]
    [InlineData("tern-460-r2", "levanter-x4-r1", "/seat/processorId")]
    [InlineData("orrery-p8", "tern-460-r2", "/seat/on")]
    public async Task A_seat_that_can_not_be_is_refused_with_its_place(string processor, string board, string pointer)
    {
        var answer = await OpenAsync(new { processorId = processor }, board);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Contains(
            (await ServerProcess.JsonAsync(answer)).GetProperty("errors").EnumerateArray(),
            e => e.GetProperty("pointer").GetString() == pointer
        );
    }

    [Fact]
    public async Task Jet_plates_are_told_apart_and_a_job_without_a_socket_has_none()
    {
        var job = await OpenedAsync(new { processorId = "orrery-p8" });
        var told = await _server.GetAsync($"/api/jobs/{job}/jet-plate?mm=0.99");
        Assert.Equal("J3", told.GetProperty("name").GetString());
        Assert.False(told.GetProperty("right").GetBoolean());
        Assert.Equal(HttpStatusCode.NotFound, (await _server.Http.GetAsync("/api/jobs/1/jet-plate?mm=1")).StatusCode);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await _server.Http.GetAsync($"/api/jobs/{job}/jet-plate?mm=-3")).StatusCode
        );
    }
}
