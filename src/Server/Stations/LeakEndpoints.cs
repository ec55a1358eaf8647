using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Instruments;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Stations;

/// <summary>A sample of the gauge and what the hold says by now; null with too few samples.</summary>
internal sealed record LeakSoFar(double TimeS, double GaugeKPa, double TempC, double? AmbientKPa, LeakResult? Result);

/// <param name="VolumeMl">Air that is usually shut in, mL.</param>
/// <param name="LimitMlPerMin">What a loop may usually lose, mL a minute.</param>
internal sealed record JobLeaks(double VolumeMl, double LimitMlPerMin, IReadOnlyList<LeakTestRow> Tests);

/// <param name="Place">Where it leaked: joint, pump, fitting, block, hose.</param>
internal sealed record LeakWritten(
    string By,
    double VolumeMl,
    double LimitMlPerMin,
    IReadOnlyList<PressureSample> Samples,
    string? Place
);

/// <summary>A pressure hold watched live, judged, and written down with the place of a leak.</summary>
internal static class LeakEndpoints
{
    private const double Speed = 30,
        MostSpeed = 200,
        StartKPa = 50,
        UsualMl = 250,
        PractiseTimes = 5,
        AmbientKPa = 101.325,
        LongestS = 4 * 3600;

    private const int MostPlace = 200;

    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("leak test");
        job.MapGet("/leak-run", RunAsync).Produces<LeakSoFar>(200, "text/event-stream");
        job.MapGet(
            "/leak-tests",
            (long id, LeakTests tests) =>
                TypedResults.Ok(new JobLeaks(UsualMl, LeakTest.DefaultLimitMlPerMin, tests.All(id)))
        );
        job.MapPost("/leak-tests", WriteAsync).Accepts<LeakWritten>("application/json");
    }

    /// <param name="practise">Whether the stand-in leaks, well over the limit.</param>
    private static Task RunAsync(
        long id,
        double? volumeMl,
        double? limitMlPerMin,
        bool? practise,
        double? speed,
        HttpContext context,
        Store.Jobs jobs,
        [FromServices] IPressureGauge? device,
        TimeProvider time,
        IHostApplicationLifetime life
    )
    {
        jobs.Get(id);
        Within("?volumeMl", volumeMl, 10, 20_000);
        Within("?limitMlPerMin", limitMlPerMin, 0.001, 100);
        Within("?speed", speed, 1, MostSpeed);
        var volume = volumeMl ?? UsualMl;
        var gauge =
            device
            ?? new SimulatedGauge(
                new(
                    volume,
                    StartKPa,
                    practise == true ? PractiseTimes * (limitMlPerMin ?? LeakTest.DefaultLimitMlPerMin) : 0,
                    speed ?? Speed,
                    Environment.TickCount
                ),
                time
            );
        return EventStream.RunAsync(
            context,
            life,
            async (say, stop) =>
            {
                await say("gauge", new { gauge.Name, Simulated = device is null ? speed ?? Speed : (double?)null });
                var samples = new List<PressureSample>();
                await foreach (var sample in gauge.Samples(stop))
                {
                    samples.Add(sample);
                    await say(
                        "sample",
                        new LeakSoFar(
                            sample.TS,
                            sample.GaugeKPa,
                            sample.TempC,
                            sample.AmbientKPa,
                            samples.Count < LeakTest.LeastSamples
                                ? null
                                : LeakTest.Of(
                                    volume,
                                    AmbientKPa,
                                    samples,
                                    limitMlPerMin ?? LeakTest.DefaultLimitMlPerMin
                                )
                        )
                    );
                    if (sample.TS > LongestS || samples.Count >= LeakTest.MostSamples)
                        break;
                }
            }
        );
    }

    private static async Task<Created<LeakTestRow>> WriteAsync(
        long id,
        HttpRequest request,
        Store.Jobs jobs,
        LeakTests tests
    )
    {
        jobs.Get(id);
        var written = await Bodies.ReadAsync(
            request,
            o => new LeakWritten(
                o.Text("by", 8),
                o.Number("volumeMl", 10, 20_000),
                o.Number("limitMlPerMin", 0.001, 100, otherwise: LeakTest.DefaultLimitMlPerMin),
                o.Objects(
                    "samples",
                    s => new PressureSample(
                        s.Number("tS", -1e9, 1e9),
                        s.Number("gaugeKPa", -100, 1000),
                        s.Number("tempC", -50, 150),
                        s.OptionalNumber("ambientKPa", 20, 200)
                    )
                ),
                o.Has("place") ? o.Text("place", MostPlace) : null
            )
        );
        JobEndpoints.CheckInitials(written.By);
        if (written.Samples.Count is < LeakTest.LeastSamples or > LeakTest.MostSamples)
            throw new InputException(
                "/samples",
                $"Expected {LeakTest.LeastSamples} to {LeakTest.MostSamples} samples, found {written.Samples.Count}."
            );
        ProofEndpoints.Rising([.. written.Samples.Select(s => s.TS)]);
        var result = LeakTest.Of(written.VolumeMl, AmbientKPa, written.Samples, written.LimitMlPerMin);
        if (result.Verdict == LeakVerdict.Wait)
            throw new InputException("/samples", "The hold is not told yet: wait until it passes or fails.");
        if (written.Place is not null && result.Verdict == LeakVerdict.Pass)
            throw new InputException("/place", "A tight loop leaks nowhere.");
        var testId = tests.Add(
            id,
            new(
                EnumNames<LeakVerdict>.Of(result.Verdict),
                result.LeakMlPerMin,
                result.LowMlPerMin,
                result.HighMlPerMin,
                written.LimitMlPerMin,
                written.VolumeMl,
                written.Samples[^1].TS - written.Samples[0].TS,
                written.Place,
                JsonSerializer.Serialize(written.Samples, DocumentJson.Options),
                written.By
            )
        );
        return TypedResults.Created($"/api/jobs/{id}/leak-tests", tests.All(id).First(t => t.Id == testId));
    }

    private static void Within(string field, double? value, double least, double most)
    {
        if (value is not null && !(value >= least && value <= most))
            throw new InputException(field, FormattableString.Invariant($"Expected {least} to {most}."));
    }
}
