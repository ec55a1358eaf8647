using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>A demo shop that never closes, so that the hour of the test is none of its business.</summary>
public sealed class OpenShop : IAsyncLifetime
{
    public ServerProcess Server { get; } = new();

    public async ValueTask InitializeAsync()
    {
        await Server.CalculatedAsync();
        var answer = await Server.SendAsync(
            HttpMethod.Put,
            "/api/settings",
            """{"values":{"dayFromH":0,"dayToH":24,"daysAWeek":7},"reason":"a shop by night","by":"QA"}"""
        );
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        await Server.CalculatedAsync();
    }

    public ValueTask DisposeAsync()
    {
        Server.Dispose();
        return ValueTask.CompletedTask;
    }
}

/// <summary>
/// The bench's day over real HTTP: planned from the jobs' own steps, again after every signature, with promises, hands
/// and pins.
/// </summary>
public sealed class DayTests(OpenShop shop) : IClassFixture<OpenShop>
{
    private static Task<HttpResponseMessage> PutAsync(ServerProcess server, string path, object body) =>
        server.SendAsync(HttpMethod.Put, path, JsonSerializer.Serialize(body));

    private static Task<HttpResponseMessage> SignerAsync(ServerProcess server, string name, string colour, bool left) =>
        PutAsync(
            server,
            "/api/signers/KT",
            new
            {
                name,
                colour,
                works = true,
                left,
            }
        );

    /// <summary>The plan of what stands now: an earlier one says that the next is on its way.</summary>
    private static async Task<JsonElement> PlanAsync(ServerProcess server)
    {
        for (var asked = 0; asked < 60; asked++)
            if (await server.GetAsync("/api/day") is var day && !day.GetProperty("stale").GetBoolean())
                return day.GetProperty("plan");
        throw new TimeoutException("The day stayed stale.");
    }

    private static List<JsonElement> Work(JsonElement plan, long job) =>
        [
            .. plan.GetProperty("work")
                .EnumerateArray()
                .Where(w => w.GetProperty("job").GetInt64() == job)
                .OrderBy(w => w.GetProperty("startAt").GetDateTime()),
        ];

    private static JsonElement End(JsonElement plan, long job) =>
        plan.GetProperty("jobs").EnumerateArray().Single(j => j.GetProperty("job").GetInt64() == job);

    [Fact]
    public async Task A_new_job_enters_the_day_and_what_is_signed_leaves_it()
    {
        var server = shop.Server;
        var job = await server.OpenAsync();
        var work = Work(await PlanAsync(server), job);
        Assert.Equal("match", work[0].GetProperty("station").GetString());
        Assert.Equal("care", work[^1].GetProperty("station").GetString());
        var match = work[0].GetProperty("minutes").GetDouble();
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(job, "match.label")).StatusCode);
        var after = Work(await PlanAsync(server), job);
        Assert.True(after[0].GetProperty("begun").GetBoolean());
        Assert.Equal(1, after[0].GetProperty("signed").GetInt32());
        Assert.True(after[0].GetProperty("minutes").GetDouble() < match);
        Assert.Equal("QA", after[0].GetProperty("by").GetString());
        // what was done stands in the day too
        Assert.Contains(
            (await PlanAsync(server)).GetProperty("done").EnumerateArray(),
            d => d.GetProperty("job").GetInt64() == job && d.GetProperty("station").GetString() == "match"
        );
    }

    [Fact]
    public async Task A_promise_hands_and_a_pin_are_kept_over_a_kill_and_taken_back()
    {
        var server = shop.Server;
        var job = await server.OpenAsync();
        var plan = await PlanAsync(server);
        var now = plan.GetProperty("now").GetDateTime();
        var due = now.AddMinutes(30).ToString("yyyy-MM-dd'T'HH:mm");
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await PutAsync(server, $"/api/jobs/{job}/promise", new { by = "QA", at = due })).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await PutAsync(server, $"/api/jobs/{job}/hands", new { by = "QA", initials = "RV" })).StatusCode
        );
        var care = Work(plan, job)[^1];
        var pin = now.AddHours(20);
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await PutAsync(
                    server,
                    $"/api/jobs/{job}/pin",
                    new
                    {
                        by = "QA",
                        key = care.GetProperty("key").GetString(),
                        at = pin.ToString("yyyy-MM-dd'T'HH:mm"),
                    }
                )
            ).StatusCode
        );
        server.KillAndRestart();
        plan = await PlanAsync(server);
        var end = End(plan, job);
        Assert.Equal("RV", end.GetProperty("by").GetString());
        Assert.Equal(due, end.GetProperty("promised").GetDateTime().ToString("yyyy-MM-dd'T'HH:mm"));
        // a card takes longer than half an hour, and its last work was pinned to tomorrow
        Assert.InRange(end.GetProperty("lateMin").GetDouble(), 19 * 60, 20 * 60);
        var told = end.GetProperty("text").GetString()!;
        Assert.Contains("past its promise", told, StringComparison.Ordinal);
        // a demo job whose promise has run out meanwhile may be late beside it
        var late = plan.GetProperty("jobs").EnumerateArray().Count(e => e.GetProperty("lateMin").GetDouble() > 0);
        Assert.Equal(late == 1 ? told : $"{late} jobs will be late", plan.GetProperty("headline").GetString());
        var last = Work(plan, job)[^1];
        Assert.True(last.GetProperty("pinned").GetBoolean());
        Assert.Equal(pin.ToString("HH:mm"), last.GetProperty("startAt").GetDateTime().ToString("HH:mm"));
        await PutAsync(
            server,
            $"/api/jobs/{job}/pin",
            new
            {
                by = "QA",
                key = care.GetProperty("key").GetString(),
                at = (string?)null,
            }
        );
        await PutAsync(server, $"/api/jobs/{job}/promise", new { by = "QA", at = (string?)null });
        end = End(await PlanAsync(server), job);
        Assert.Equal(0, end.GetProperty("lateMin").GetDouble());
        Assert.StartsWith("done ", end.GetProperty("text").GetString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("promise", """{"by":"QA","at":"soon"}""", "/at")]
    [InlineData("promise", """{"by":"QA","at":"2206-01-01T10:00"}""", "/at")]
    [InlineData("promise", """{"by":"","at":null}""", "/by")]
    [InlineData("hands", """{"by":"QA","initials":"ZZ"}""", "/initials")]
    [InlineData("pin", """{"by":"QA","key":"nowhere","at":null}""", "/key")]
    public async Task What_can_not_be_is_refused_with_its_place(string call, string body, string pointer)
    {
        var server = shop.Server;
        var answer = await server.SendAsync(HttpMethod.Put, $"/api/jobs/1/{call}", body);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        Assert.Equal(
            pointer,
            (await ServerProcess.JsonAsync(answer)).GetProperty("errors")[0].GetProperty("pointer").GetString()
        );
        var lost = await server.SendAsync(HttpMethod.Put, "/api/jobs/999/promise", """{"by":"QA","at":null}""");
        Assert.Equal(HttpStatusCode.NotFound, lost.StatusCode);
    }

    [Fact]
    public async Task The_calendar_holds_promises_and_care_and_the_list_to_order_is_a_table()
    {
        var server = shop.Server;
        var calendar = await server.Http.GetStringAsync("/api/day.ics", TestContext.Current.CancellationToken);
        Assert.Contains("SUMMARY:Promised: Skua 380\\, memory ran hot", calendar, StringComparison.Ordinal);
        // job 5 is finished: it is due again
        Assert.Contains(
            "SUMMARY:Repaste: Skua 380 with a core-only block",
            calendar.Replace("\r\n ", "", StringComparison.Ordinal),
            StringComparison.Ordinal
        );
        var table = (await server.Http.GetStringAsync("/api/day/order.csv", TestContext.Current.CancellationToken))
            .TrimEnd()
            .Split("\r\n");
        Assert.Equal("group,name,needed,in_drawer,short,unit,order,runs_out_at,jobs", table[0]);
        Assert.Contains(table, l => l.StartsWith("low,port plug,4,2,2,", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Who_left_signs_nothing_more_and_stands_in_the_record_under_the_same_initials()
    {
        var server = shop.Server;
        var job = await server.OpenAsync();
        Assert.Equal(HttpStatusCode.OK, (await SignerAsync(server, "", "ink", left: false)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(job, "match.label", by: "kt")).StatusCode);
        var put = await SignerAsync(server, "K. Tarrant", "plum", left: true);
        Assert.Equal(HttpStatusCode.OK, put.StatusCode);
        var kt = (await server.GetAsync("/api/signers"))
            .EnumerateArray()
            .Single(s => s.GetProperty("initials").GetString() == "KT");
        Assert.Equal((1, "K. Tarrant"), (kt.GetProperty("signatures").GetInt32(), kt.GetProperty("name").GetString()));
        var refused = await server.SignAsync(job, "match.verdict", by: "KT");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains(
            "KT left on",
            await refused.Content.ReadAsStringAsync(TestContext.Current.CancellationToken),
            StringComparison.Ordinal
        );
        Assert.Equal("KT", (await server.JobAsync(job)).Step("match.label").GetProperty("by").GetString());
        // their hands are not calculated with
        Assert.DoesNotContain(
            (await PlanAsync(server)).GetProperty("hands").EnumerateArray(),
            h => h.GetString() == "KT"
        );
        var wrong = await SignerAsync(server, "", "sky", left: false);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, wrong.StatusCode);
    }

    [Fact]
    public async Task An_empty_shop_has_an_empty_day()
    {
        using var server = new ServerProcess(demo: false);
        var plan = await PlanAsync(server);
        Assert.Equal("Nothing on the benches", plan.GetProperty("headline").GetString());
        Assert.Equal(0, plan.GetProperty("work").GetArrayLength());
    }
}
