using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>The shell of a job: small, told once, and another one as soon as something of the job changes.</summary>
public class ShellTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private const int MaxBytes = 40_000;

    private async Task<(HttpStatusCode Status, string Tag, byte[] Body)> ShellAsync(long job, string? seen = null)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, $"/api/jobs/{job}/shell");
        if (seen is not null)
            request.Headers.IfNoneMatch.Add(new EntityTagHeaderValue(seen));
        using var answer = await demo.Server.Http.SendAsync(request, TestContext.Current.CancellationToken);
        var body = await answer.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken);
        return (answer.StatusCode, answer.Headers.ETag!.Tag, body);
    }

    [Fact]
    public async Task It_is_small_says_what_the_job_says_and_is_sent_once()
    {
        var (status, tag, body) = await ShellAsync(1);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.InRange(body.Length, 1, MaxBytes);
        var shell = JsonDocument.Parse(body).RootElement;
        var job = await demo.Server.JobAsync(1);
        foreach (var field in new[] { "title", "route", "steps", "tag", "kindName", "version", "timers" })
            Assert.Equal(job.GetProperty(field).GetRawText(), shell.GetProperty(field).GetRawText());
        Assert.Equal($"\"{shell.GetProperty("tag").GetString()}\"", tag);
        var again = await ShellAsync(1, tag);
        Assert.Equal((HttpStatusCode.NotModified, tag, 0), (again.Status, again.Tag, again.Body.Length));
    }

    [Fact]
    public async Task A_note_on_the_job_makes_it_another_one_and_a_note_on_another_does_not()
    {
        var (_, tag, _) = await ShellAsync(2);
        await NoteAsync(3);
        Assert.Equal(HttpStatusCode.NotModified, (await ShellAsync(2, tag)).Status);
        await NoteAsync(2);
        var after = await ShellAsync(2, tag);
        Assert.Equal(HttpStatusCode.OK, after.Status);
        Assert.NotEqual(tag, after.Tag);
        Assert.Equal($"\"{(await demo.Server.JobAsync(2)).GetProperty("tag").GetString()}\"", after.Tag);
        using var nobody = await demo.Server.Http.GetAsync(
            "/api/jobs/9999/shell",
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.NotFound, nobody.StatusCode);
    }

    private async Task NoteAsync(long job)
    {
        using var answer = await demo.Server.Http.PostAsync(
            $"/api/jobs/{job}/notes",
            new StringContent("""{"text":"looked at","by":"QA"}""", Encoding.UTF8, "application/json"),
            TestContext.Current.CancellationToken
        );
        Assert.True(answer.IsSuccessStatusCode, answer.StatusCode.ToString());
    }
}
