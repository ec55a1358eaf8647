using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>No job of the demo shop tells a figure that its unit cannot be.</summary>
public partial class FiguresTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private static readonly Dictionary<string, double> Most = new()
    {
        ["mm"] = 1000,
        ["MPa"] = 100,
        ["°C"] = 150,
        ["°"] = 360,
        ["N"] = 5000,
        ["N·cm"] = 300,
        ["%"] = 100,
        ["K"] = 150,
        ["µm"] = 5000,
    };

    [Fact]
    public async Task Every_station_and_every_what_if_of_every_job_stays_within_its_units()
    {
        var faults = new List<string>();
        var jobs = (await demo.Server.GetAsync("/api/bench")).GetProperty("jobs").EnumerateArray().ToList();
        Assert.True(jobs.Count >= 7);
        foreach (var job in jobs.Select(j => j.GetProperty("id").GetInt64()).Append(5))
        {
            var view = await demo.Server.JobAsync(job);
            Walk(view, $"job {job}", faults);
            foreach (
                var path in new[] { "bow" }.Concat(
                    view.GetProperty("plan")
                        .GetProperty("pads")
                        .GetProperty("pairs")
                        .EnumerateArray()
                        .SelectMany(p => p.GetProperty("pads").EnumerateArray())
                        .Select(p => p.GetProperty("part").GetString())
                        .Distinct()
                        .Take(3)
                        .SelectMany(p => new[] { $"alternatives?part={p}", $"pad-fault?part={p}&fault=Missing" })
                )
            )
            {
                using var answer = await demo.Server.Http.GetAsync($"/api/jobs/{job}/{path}");
                Assert.True((int)answer.StatusCode < 500, $"job {job} {path}: {answer.StatusCode}");
                Walk(await ServerProcess.JsonAsync(answer), $"job {job} {path}", faults);
            }
            var bow = await demo.Server.Http.GetAsync($"/api/jobs/{job}/bow");
            if (
                bow.IsSuccessStatusCode
                && (await ServerProcess.JsonAsync(bow)).TryGetProperty("without", out var without)
                && without.ValueKind == JsonValueKind.Object
                && Math.Abs(without.GetProperty("peakMm").GetDouble()) > 10
            )
                faults.Add($"job {job}: bows {without.GetProperty("peakMm")} mm");
        }
        Assert.Empty(faults);
    }

    private static void Walk(JsonElement e, string at, List<string> faults)
    {
        switch (e.ValueKind)
        {
            case JsonValueKind.Object:
                foreach (var p in e.EnumerateObject())
                    Walk(p.Value, $"{at}/{p.Name}", faults);
                break;
            case JsonValueKind.Array:
                foreach (var (x, i) in e.EnumerateArray().Select((x, i) => (x, i)))
                    Walk(x, $"{at}/{i}", faults);
                break;
            case JsonValueKind.String:
                foreach (Match m in Figure().Matches(e.GetString()!))
                {
                    var value = double.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture);
                    if (Math.Abs(value) > Most[m.Groups[2].Value])
                        faults.Add($"{at}: {e.GetString()}");
                }
                if (Long().IsMatch(e.GetString()!))
                    faults.Add($"{at}: {e.GetString()}");
                break;
            case JsonValueKind.Number when Math.Abs(e.GetDouble()) > 1e6:
                faults.Add($"{at}: {e.GetRawText()}");
                break;
        }
    }

    [GeneratedRegex(@"(-?\d+(?:\.\d+)?) (mm|MPa|°C|°|N·cm|N|%|K|µm)(?![\w·²³/])")]
    private static partial Regex Figure();

    /// <summary>More places than anyone can measure.</summary>
    [GeneratedRegex(@"\d\.\d{4,}")]
    private static partial Regex Long();
}
