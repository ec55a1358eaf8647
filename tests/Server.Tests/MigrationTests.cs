using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json;
using Dapper;
using Microsoft.Data.Sqlite;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>A database that was left by any earlier version is opened, read whole and worked on.</summary>
public class MigrationTests
{
    /// <summary>The number is of the last migration that the version had.</summary>
    [Theory]
    [InlineData("shop-0001")]
    [InlineData("shop-0002")]
    [InlineData("shop-0003")]
    [InlineData("shop-0004")]
    [InlineData("shop-0005")]
    [InlineData("shop-0006", false)]
    [InlineData("shop-0007", false)]
    [InlineData("shop-0008", false)]
    [InlineData("shop-0010", false)]
    [InlineData("shop-0011", false)]
    [InlineData("shop-0012", false)]
    [InlineData("shop-0013", false)]
    [InlineData("shop-0014", false)]
    [InlineData("shop-0016", false)]
    public async Task Every_sign_off_reading_and_document_of_an_old_database_is_there_and_work_goes_on(
        string name,
        bool tiedLater = true
    )
    {
        using var server = new ServerProcess(await UnpackAsync(name), demo: false);

        var jobs = (await server.GetAsync("/api/bench")).GetProperty("jobs").EnumerateArray().ToList();
        Assert.NotEmpty(jobs);
        foreach (var j in jobs)
            Assert.True(
                (await server.JobAsync(j.GetProperty("id").GetInt64())).GetProperty("steps").GetArrayLength() > 0
            );
        var id = jobs.Single(j => j.GetProperty("title").GetString() == "From before").GetProperty("id").GetInt64();
        var job = await server.JobAsync(id);
        foreach (var step in (string[])["kit.count", "match.label", "teardown.F1"])
        {
            Assert.True(job.Step(step).GetProperty("signed").GetBoolean(), step);
            Assert.False(job.Step(step).GetProperty("lookAgain").GetBoolean(), step);
        }
        // what stood at the bench then is tied to what the job holds now, and says that it was tied later
        var history = job.GetProperty("history").EnumerateArray().ToList();
        Assert.Equal(3, history.Count);
        Assert.All(
            history,
            h => Assert.Equal(tiedLater, h.GetProperty("signed").GetProperty("tiedLater").GetBoolean())
        );
        Assert.All(history, h => Assert.NotEqual(0, h.GetProperty("signed").GetProperty("documents").GetArrayLength()));
        Assert.Equal(81, Assert.Single(job.GetProperty("readings").EnumerateArray()).GetProperty("dieC").GetDouble());

        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(id, "teardown.F2", count: 6)).StatusCode);
        server.KillAndRestart();
        var again = await server.JobAsync(id);
        Assert.True(again.Step("teardown.F2").GetProperty("signed").GetBoolean());
        Assert.Equal(4, again.GetProperty("history").GetArrayLength());
    }

    [Fact]
    public async Task Turns_that_were_signed_one_by_one_count_for_their_pass_and_figures_say_where_they_came_from()
    {
        using var server = new ServerProcess(await UnpackAsync("shop-0012"), demo: false);
        var id = (await server.GetAsync("/api/bench"))
            .GetProperty("jobs")
            .EnumerateArray()
            .Single(j => j.GetProperty("title").GetString() == "Turn by turn")
            .GetProperty("id")
            .GetInt64();
        var job = await server.JobAsync(id);
        // eight turns were signed of the first pass, five of the second
        Assert.True(job.Step("mount.turn-1").GetProperty("signed").GetBoolean());
        Assert.False(job.Step("mount.turn-1").GetProperty("lookAgain").GetBoolean());
        Assert.False(job.Step("mount.turn-2").GetProperty("signed").GetBoolean());
        Assert.Equal(
            13,
            job.GetProperty("history")
                .EnumerateArray()
                .Count(h => h.GetProperty("stepId").GetString()!.StartsWith("mount.turn-", StringComparison.Ordinal))
        );
        // nothing that was signed then has to be looked at again
        Assert.DoesNotContain(
            job.GetProperty("steps").EnumerateArray(),
            s => s.GetProperty("signed").GetBoolean() && s.GetProperty("lookAgain").GetBoolean()
        );
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(id, "mount.turn-2", count: 8)).StatusCode);
        server.KillAndRestart();
        Assert.True((await server.JobAsync(id)).Step("mount.turn-2").GetProperty("signed").GetBoolean());
        // the reading was typed
        Assert.Equal(
            "by-hand",
            Assert
                .Single(job.GetProperty("readings").EnumerateArray())
                .GetProperty("source")
                .GetProperty("kind")
                .GetString()
        );
        // documents begin at their first version
        Assert.Equal("\"1\"", (await server.Http.GetAsync("/api/boards/tern-460-r2")).Headers.ETag!.Tag);
    }

    [Fact]
    public async Task What_was_signed_by_its_words_alone_stands_and_new_signatures_keep_code_and_quantities()
    {
        using var server = new ServerProcess(await UnpackAsync("shop-0016"), demo: false);
        var id = (await server.GetAsync("/api/bench"))
            .GetProperty("jobs")
            .EnumerateArray()
            .Single(j => j.GetProperty("title").GetString() == "In other words")
            .GetProperty("id")
            .GetInt64();
        var steps = (await server.JobAsync(id)).GetProperty("steps").EnumerateArray().ToList();
        // everything up to the proof, pads, paste and every pass among it
        Assert.True(steps.Count(s => s.GetProperty("signed").GetBoolean()) > 40);
        Assert.Contains(steps, s => s.GetProperty("stepId").GetString() == "paste.U1");
        Assert.DoesNotContain(steps, s => s.GetProperty("lookAgain").GetBoolean());
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(id, "prove.edges")).StatusCode);
        var stated = (await server.JobAsync(id))
            .GetProperty("history")
            .EnumerateArray()
            .Select(h => h.GetProperty("signed"))
            .Where(s => s.TryGetProperty("stated", out _))
            .ToList();
        Assert.Matches(
            @"^[A-Z]\w+\.[A-Z]\w+$",
            Assert.Single(stated).GetProperty("stated").EnumerateArray().First().GetString()
        );
    }

    internal static async Task<string> UnpackAsync(string name, string? into = null)
    {
        var data = into ?? Directory.CreateTempSubdirectory("fb-old-").FullName;
        await using var packed = File.OpenRead(Path.Combine(AppContext.BaseDirectory, "Old", $"{name}.db.gz"));
        await using var unpacked = new GZipStream(packed, CompressionMode.Decompress);
        await using var file = File.Create(Path.Combine(data, "shop.db"));
        await unpacked.CopyToAsync(file);
        return data;
    }

    [Fact]
    public async Task Ids_that_are_no_longer_valid_become_valid_everywhere_and_what_was_signed_stands()
    {
        var data = await UnpackAsync("shop-0011");
        using var server = new ServerProcess(data, demo: false);
        var id = (await server.GetAsync("/api/bench"))
            .GetProperty("jobs")
            .EnumerateArray()
            .Single(j => j.GetProperty("title").GetString() == "Odd ids")
            .GetProperty("id")
            .GetInt64();
        var job = await server.JobAsync(id);
        // "F/1", "F 2" and "U1 (die)" before; what was signed on them is signed now
        Assert.True(job.Step("teardown.F-2").GetProperty("signed").GetBoolean());
        Assert.False(job.Step("teardown.F-2").GetProperty("lookAgain").GetBoolean());
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(id, "teardown.F-1", count: 6, by: "ML")).StatusCode);
        Assert.Contains(
            "paste.U1--die-",
            job.GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("stepId").GetString())
        );
        // an hour without a day is no instant: nothing is said of when it was done
        var manual = job.GetProperty("history")
            .EnumerateArray()
            .Single(h => h.GetProperty("stepId").GetString() == "kit.manual");
        Assert.False(manual.TryGetProperty("doneAt", out var at) && at.ValueKind != JsonValueKind.Null);
        Assert.Equal(JsonValueKind.Object, (await server.GetAsync("/api/day")).ValueKind);
        // it was backed up before it was upgraded, and the documents are what their digests say
        Assert.Single(Directory.EnumerateFiles(Path.Combine(data, "backups"), "before-upgrade-*-0011*.zip"));
        Assert.DoesNotContain(
            (await server.GetAsync("/api/keeping/doctor")).EnumerateArray(),
            f => f.GetProperty("fault").GetBoolean()
        );
    }

    [Fact]
    public async Task Ids_that_would_become_one_stay_two_and_what_nobody_can_read_stops_nothing()
    {
        var data = await UnpackAsync("shop-0011");
        using (var c = new SqliteConnection($"Data Source={Path.Combine(data, "shop.db")};Pooling=False"))
        {
            c.Open();
            var (id, document) = c.QueryFirst<(string, byte[])>(
                "select id, document from board where id not like '%/%'"
            );
            foreach (var (made, more) in new[] { ("two/one", ""), ("two-one", ""), ("twice", ",\"x-a\":1,\"x-a\":2") })
            {
                var text = Encoding.UTF8.GetString(document).Replace($"\"{id}\"", $"\"{made}\"");
                c.Execute(
                    "insert into board select @made, maker, model, board_code, revision, kind, @utf8, 'd', kept_at "
                        + "from board where id = @id",
                    new
                    {
                        made,
                        id,
                        utf8 = Encoding.UTF8.GetBytes($"{text.TrimEnd()[..^1]}{more}}}"),
                    }
                );
            }
            c.Execute("update job set pad_choices = '[' where title <> 'Odd ids'");
        }
        using var server = new ServerProcess(data, demo: false);
        foreach (var made in (string[])["two-one", "two-one-2"])
            Assert.Equal(HttpStatusCode.OK, (await server.Http.GetAsync($"/api/boards/{made}")).StatusCode);
    }
}
