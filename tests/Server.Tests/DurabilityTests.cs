using System.Net;
using System.Text.Json;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>What was acknowledged is on disk, whatever happens next.</summary>
public sealed class DurabilityTests : IDisposable
{
    private readonly ServerProcess _server = new();

    public void Dispose() => _server.Dispose();

    [Fact]
    public async Task Everything_acknowledged_survives_twenty_kills_in_a_stream_of_sign_offs()
    {
        var job = await _server.OpenAsync();
        var acknowledged = 0;
        string[] steps = ["kit.count", "kit.manual", "kit.stock-run", "match.label"];
        var versions = steps.ToDictionary(s => s, _ => 0);
        for (var round = 0; round < 20; round++)
        {
            using var stop = new CancellationTokenSource();
            var killAfter = acknowledged + 2 + round % 5;
            var reached = new TaskCompletionSource();
            var stream = Task.Run(async () =>
            {
                for (var i = 0; !stop.IsCancellationRequested; i++)
                {
                    var step = steps[i % steps.Length];
                    try
                    {
                        var signed = versions[step] % 2 == 0;
                        var r = signed
                            ? await _server.SignAsync(job, step, versions[step])
                            : await _server.PostAsync(
                                $"/api/jobs/{job}/steps/{step}/undo",
                                """{"by":"QA"}""",
                                versions[step].ToString()
                            );
                        if (r.StatusCode != HttpStatusCode.OK)
                            continue;
                        versions[step]++;
                        if (++acknowledged >= killAfter)
                            reached.TrySetResult();
                    }
                    catch (HttpRequestException)
                    {
                        return;
                    }
                }
            });
            await reached.Task.WaitAsync(TimeSpan.FromSeconds(60));
            _server.Kill();
            await stop.CancelAsync();
            await stream;
            _server.KillAndRestart();
            var history = (await _server.GetAsync($"/api/jobs/{job}")).GetProperty("history");
            // one sign-off may be on disk whose answer was cut off; none that was answered may be missing
            Assert.True(
                history.GetArrayLength() >= acknowledged,
                $"round {round}: {history.GetArrayLength()} kept of {acknowledged}"
            );
            foreach (var step in steps)
            {
                var kept = history.EnumerateArray().Count(e => e.GetProperty("stepId").GetString() == step);
                Assert.InRange(kept, versions[step], versions[step] + 1);
                versions[step] = kept;
            }
            acknowledged = versions.Values.Sum();
        }
    }

    [Fact]
    public async Task Jobs_drawer_and_library_survive_a_restart()
    {
        var job = await _server.OpenAsync();
        await _server.SignAsync(job, "kit.count");
        var drawer = await _server.GetAsync("/api/drawer");
        _server.KillAndRestart();
        Assert.Equal(drawer.GetRawText(), (await _server.GetAsync("/api/drawer")).GetRawText());
        Assert.True(
            (await _server.GetAsync($"/api/jobs/{job}"))
                .GetProperty("steps")
                .EnumerateArray()
                .Single(s => s.GetProperty("stepId").GetString() == "kit.count")
                .GetProperty("signed")
                .GetBoolean()
        );
    }

    /// <summary>Puts a chunk behind the head of a PNG; the reader does not look at check sums of what it drops.</summary>
}
