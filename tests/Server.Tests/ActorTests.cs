using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>
/// Nobody acts who is unknown or has left, whatever call it is; initials are one whatever way they are typed.
/// </summary>
public class ActorTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private readonly ServerProcess _server = demo.Server;

    public static TheoryData<string, string, string> Calls =>
        new()
        {
            { "POST", "/api/jobs", """{"title":"T","bench":"A","boardId":"tern-460-r2","by":"WHO"}""" },
            { "POST", "/api/jobs/1/strip", """{"note":{"action":"unscrew","holds":"cooler"},"by":"WHO"}""" },
            { "POST", "/api/jobs/1/notes", """{"text":"x","by":"WHO"}""" },
            { "POST", "/api/jobs/1/readings", """{"phase":"before","roomC":20,"dieC":60,"powerW":200,"by":"WHO"}""" },
            { "POST", "/api/jobs/1/photos?by=WHO", "{}" },
            { "POST", "/api/jobs/1/timers", """{"stepId":"prep.clean-die","by":"WHO"}""" },
            { "PUT", "/api/jobs/1/promise", """{"at":null,"by":"WHO"}""" },
            { "PUT", "/api/jobs/1/hands", """{"initials":"QA","by":"WHO"}""" },
            { "PUT", "/api/drawer/tool/t1", """{"id":"t1","name":"driver","by":"WHO"}""" },
            { "PUT", "/api/settings", """{"values":{"leakHoldS":600},"reason":"x","by":"WHO"}""" },
            { "PUT", "/api/signers/NN", """{"name":"","colour":"ink","works":true,"left":false,"by":"WHO"}""" },
            { "DELETE", "/api/jobs/1/readings/1?by=WHO", "" },
            // a stream that keeps what it hears
            { "GET", "/api/jobs/1/driver?stepId=mount.turn-1&hole=S1&by=WHO", "" },
        };

    [Theory]
    [MemberData(nameof(Calls))]
    public async Task Who_left_or_is_unknown_or_looks_like_somebody_writes_nothing(
        string method,
        string path,
        string body
    )
    {
        Assert.Equal(HttpStatusCode.OK, (await SignerAsync("LFT", left: false)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await SignerAsync("LFT", left: true)).StatusCode);
        // with a Cyrillic A it only looks like QA
        foreach (var who in (string[])["LFT", "lft", "ZZZ", "Q\u0410"])
        {
            var answer = await _server.SendAsync(
                new(method),
                path.Replace("WHO", Uri.EscapeDataString(who), StringComparison.Ordinal),
                body.Length == 0 ? null : body.Replace("WHO", who, StringComparison.Ordinal),
                "0"
            );
            Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
            var error = (await ServerProcess.JsonAsync(answer)).GetProperty("errors")[0];
            Assert.Equal("/by", error.GetProperty("pointer").GetString());
        }
    }

    private Task<HttpResponseMessage> SignerAsync(string initials, bool left) =>
        _server.SendAsync(
            HttpMethod.Put,
            $"/api/signers/{initials}",
            JsonSerializer.Serialize(
                new
                {
                    name = "",
                    colour = "ink",
                    works = true,
                    left,
                    by = "QA",
                }
            )
        );

    [Theory]
    [InlineData("qa")]
    [InlineData("ＱＡ")]
    public async Task Initials_are_stored_one_way_however_they_are_typed(string typed)
    {
        var job = await _server.OpenAsync();
        Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, "match.label", by: typed)).StatusCode);
        Assert.Equal("QA", (await _server.JobAsync(job)).Step("match.label").GetProperty("by").GetString());
    }

    [Fact]
    public async Task Whoever_acts_first_in_an_empty_workshop_is_known_from_then_on_and_nobody_else_is()
    {
        using var server = new ServerProcess(demo: false);
        await server.PostAsync("/api/boards", ServerProcess.DemoFile("boards/tern-460-r2.board.json"));
        await server.PostAsync("/api/blocks", ServerProcess.DemoFile("blocks/brineworks-full-460.block.json"));
        var job = await server.OpenAsync();
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.SignAsync(job, "match.label", by: "RV")).StatusCode
        );
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(job, "match.label")).StatusCode);
    }

    [Theory]
    [InlineData("12:00")]
    [InlineData("0001-01-01T00:00:00Z")]
    [InlineData("2031-01-01T00:00:00Z")]
    [InlineData("9999-12-31T23:59:59Z")]
    [InlineData("2026-01-31T10:20:30")]
    public async Task What_was_done_at_no_time_that_can_be_is_refused_with_its_place(string doneAt)
    {
        var job = await _server.OpenAsync();
        var signed = await _server.PostAsync(
            $"/api/jobs/{job}/steps/match.label/sign",
            JsonSerializer.Serialize(new { by = "QA", doneAt }),
            "0"
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, signed.StatusCode);
        Assert.Contains("/doneAt", await signed.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        using var note = new HttpRequestMessage(HttpMethod.Post, $"/api/jobs/{job}/notes")
        {
            Content = new StringContent("""{"text":"x","by":"QA"}""", null, "application/json"),
        };
        note.Headers.TryAddWithoutValidation("Done-At", doneAt);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await _server.Http.SendAsync(note, TestContext.Current.CancellationToken)).StatusCode
        );
    }

    [Fact]
    public async Task A_corrected_instant_and_what_the_device_said_are_both_stored()
    {
        var job = await _server.OpenAsync();
        var now = DateTimeOffset.UtcNow;
        var device = now.AddMinutes(3).ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'");
        var answer = await _server.PostAsync(
            $"/api/jobs/{job}/steps/match.label/sign",
            JsonSerializer.Serialize(
                new
                {
                    by = "QA",
                    doneAt = now.ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'"),
                    deviceAt = device,
                }
            ),
            "0"
        );
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var entry = (await _server.JobAsync(job)).GetProperty("history")[0];
        Assert.Equal(device, entry.GetProperty("deviceAt").GetString());
        Assert.True(DateTimeOffset.Parse(entry.GetProperty("doneAt").GetString()!) <= DateTimeOffset.UtcNow);
    }

    [Fact]
    public async Task A_wait_does_not_begin_on_a_signed_step_and_a_signature_ends_it()
    {
        var job = await _server.OpenAsync();
        const string wait = """{"stepId":"prep.clean-die","by":"QA"}""";
        Assert.Equal(HttpStatusCode.Created, (await _server.PostAsync($"/api/jobs/{job}/timers", wait)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await _server.SignAsync(job, "prep.clean-die", reason: "first")).StatusCode);
        Assert.Equal(0, (await _server.JobAsync(job)).GetProperty("timers").GetArrayLength());
        Assert.Equal(HttpStatusCode.Conflict, (await _server.PostAsync($"/api/jobs/{job}/timers", wait)).StatusCode);
    }

    [Fact]
    public async Task A_key_used_for_other_words_is_refused_with_both_and_a_reading_of_a_log_counts_once()
    {
        var job = await _server.OpenAsync();
        async Task<HttpResponseMessage> Send(string path, string body, string key)
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, $"/api/jobs/{job}/{path}")
            {
                Content = new StringContent(body, null, "application/json"),
            };
            request.Headers.Add("Idempotency-Key", key);
            return await _server.Http.SendAsync(request, TestContext.Current.CancellationToken);
        }
        var key = Guid.NewGuid().ToString();
        Assert.Equal(
            HttpStatusCode.Created,
            (await Send("notes", """{"text":"-0 at 1.5 mm","by":"QA"}""", key)).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.Created,
            (await Send("notes", """{"text":"-0 at 1.5 mm","by":"QA"}""", key)).StatusCode
        );
        var other = await Send("notes", """{"text":"other words","by":"QA"}""", key);
        Assert.Equal(HttpStatusCode.Conflict, other.StatusCode);
        var both = await ServerProcess.JsonAsync(other);
        Assert.Equal("-0 at 1.5 mm", both.GetProperty("kept").GetProperty("text").GetString());
        Assert.Equal("other words", both.GetProperty("sent").GetProperty("text").GetString());
        // what a person wrote is shown as it was written
        var notes = (await _server.JobAsync(job)).GetProperty("notes").EnumerateArray();
        Assert.Equal("-0 at 1.5 mm", Assert.Single(notes).GetProperty("text").GetString());

        var csv =
            "time,die,room,power\n"
            + string.Concat(
                Enumerable
                    .Range(0, 400)
                    .Select(i => FormattableString.Invariant($"{i},{60 - 20 * Math.Exp(-i / 40.0):0.00},21,200\n"))
            );
        var kept = await _server.Http.PostAsync(
            $"/api/jobs/{job}/logs?by=QA&phase=before",
            new StringContent(csv, null, "text/csv"),
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.Created, kept.StatusCode);
        var log = (await _server.GetAsync($"/api/jobs/{job}/logs"))[0].GetProperty("id").GetInt64();
        var once = Guid.NewGuid().ToString();
        for (var i = 0; i < 3; i++)
            Assert.Equal(
                HttpStatusCode.Created,
                (await Send($"logs/{log}/reading", """{"by":"QA","phase":"before","roomC":21}""", once)).StatusCode
            );
        Assert.Single((await _server.JobAsync(job)).GetProperty("readings").EnumerateArray());
        // the readings of a log that counts no more count no more
        await _server.SendAsync(HttpMethod.Delete, $"/api/jobs/{job}/logs/{log}?by=QA", null);
        Assert.Empty((await _server.JobAsync(job)).GetProperty("readings").EnumerateArray());
    }

    [Theory]
    [InlineData("""{"By":"ZZZ","text":"x"}""")]
    [InlineData("""{"by":"QA","By":"ZZZ","text":"x"}""", true)]
    [InlineData("""{"by":"ZZZ","by":"QA","text":"x"}""")]
    [InlineData("""{"by":"qa","by":"qa","text":"x"}""")]
    [InlineData("\uFEFF{\"by\":\"ZZZ\",\"text\":\"x\"}")]
    [InlineData("""{"\u0062y":"ZZZ","text":"x"}""")]
    public async Task No_spelling_of_a_body_signs_for_somebody_else(string body, bool ownName = false)
    {
        var answer = await _server.PostAsync("/api/jobs/1/notes", body);
        Assert.Equal(ownName, answer.StatusCode == HttpStatusCode.Created);
        Assert.True((int)answer.StatusCode < 500, answer.StatusCode.ToString());
        Assert.DoesNotContain(
            (await _server.JobAsync(1)).GetProperty("notes").EnumerateArray(),
            n => n.GetProperty("byInitials").GetString() == "ZZZ"
        );
    }
}
