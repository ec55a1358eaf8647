using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Instruments;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Stations;

/// <summary>A sample of the gauge and what the hold says by now; null with too few samples.</summary>
internal sealed record LeakSoFar(double TimeS, double GaugeKPa, double TempC, double? AmbientKPa, LeakResult? Result);

/// <param name="VolumeMl">Air that is usually shut in, mL.</param>
/// <param name="LimitMlPerMin">What a loop may usually lose, mL a minute.</param>
/// <param name="PracticeOnly">Holds on the stand-in gauge are for practice here and are not written down.</param>
internal sealed record JobLeaks(
    double VolumeMl,
    double LimitMlPerMin,
    bool PracticeOnly,
    IReadOnlyList<LeakTestRow> Tests
);

/// <param name="Method">air, water or vacuum.</param>
/// <param name="Samples">As a gauge read them; absent where it was read at the start and the end, or not at all.</param>
/// <param name="Result">What whoever watched it says; needed where no figures tell.</param>
/// <param name="Place">Where it leaked: joint, pump, fitting, block, hose.</param>
internal sealed record LeakWritten(
    string By,
    LeakMethod Method,
    double VolumeMl,
    double LimitMlPerMin,
    IReadOnlyList<PressureSample> Samples,
    double? StartKPa,
    double? EndKPa,
    double? Minutes,
    double? TempStartC,
    double? TempEndC,
    LeakSeen? Result,
    string? Place,
    FigureSource Source
);

internal enum LeakMethod
{
    Air,
    Water,
    Vacuum,
}

internal enum LeakSeen
{
    Pass,
    Fail,
    Tight,
    Leaks,
}

/// <summary>A pressure hold watched live, judged, and written down with the place of a leak.</summary>
internal static class LeakEndpoints
{
    private const double Speed = 30,
        MaxSpeed = 200,
        StartKPa = 50,
        UsualMl = 250,
        PractiseTimes = 5,
        AmbientKPa = 101.325,
        LongestS = 4 * 3600;

    private const int MaxPlace = 200;

    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("leak test");
        job.MapGet("/leak-run", RunAsync).Produces<LeakSoFar>(200, "text/event-stream");
        job.MapGet(
            "/leak-tests",
            (long id, LeakTests tests, FigureSources sources, JobPlans plans, CancellationToken cancel) =>
                TypedResults.Ok(
                    new JobLeaks(
                        AirMl(plans, id, cancel),
                        LeakTest.DefaultLimitMlPerMin,
                        !sources.Practice,
                        tests.All(id)
                    )
                )
        );
        job.MapPost("/leak-tests", WriteAsync).Accepts<LeakWritten>("application/json");
    }

    /// <summary>What is shut in where nobody says: tested dry, the whole loop is full of air.</summary>
    private static double AirMl(JobPlans plans, long id, CancellationToken cancel) =>
        plans.Get(id, cancel).Plan.Prove.Volume?.TotalMl ?? UsualMl;

    /// <param name="practise">Whether the stand-in leaks, well over the limit.</param>
    private static Task RunAsync(
        long id,
        double? volumeMl,
        double? limitMlPerMin,
        bool? practise,
        double? speed,
        HttpContext context,
        Store.Jobs jobs,
        JobPlans plans,
        [FromServices] IPressureGauge? device,
        TimeProvider time,
        IHostApplicationLifetime life
    )
    {
        jobs.Get(id);
        Within("?volumeMl", volumeMl, 10, 20_000);
        Within("?limitMlPerMin", limitMlPerMin, 0.001, 100);
        Within("?speed", speed, 1, MaxSpeed);
        var volume = volumeMl ?? AirMl(plans, id, context.RequestAborted);
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
                            samples.Count < LeakTest.MinSamples
                                ? null
                                : LeakTest.Compute(
                                    volume,
                                    AmbientKPa,
                                    samples,
                                    limitMlPerMin ?? LeakTest.DefaultLimitMlPerMin
                                )
                        )
                    );
                    if (sample.TS > LongestS || samples.Count >= LeakTest.MaxSamples)
                        break;
                }
            }
        );
    }

    private static async Task<Created<LeakTestRow>> WriteAsync(
        long id,
        HttpRequest request,
        Store.Jobs jobs,
        JobPlans plans,
        FigureSources sources,
        LeakTests tests
    )
    {
        jobs.Get(id);
        var written = await Bodies.ReadAsync(
            request,
            o => Read(o, () => AirMl(plans, id, request.HttpContext.RequestAborted))
        );
        JobEndpoints.CheckInitials(written.By);
        if (sources.Faults(written.Source).ToList() is { Count: > 0 } faults)
            throw new InputException(faults);
        var result = Describe(written);
        var leaks =
            result?.Verdict == LeakVerdict.Fail || result is not { Verdict: LeakVerdict.Pass } && Leaks(written);
        if (written.Result is { } seen && result is { Verdict: not LeakVerdict.Wait } && leaks != IsLeak(seen))
            throw new InputException(
                "/result",
                leaks ? LeakEndpointsWords.PressureSaysThatItLeaks : LeakEndpointsWords.PressureSaysThatItIsTight
            );
        if (written.Place is not null && !leaks)
            throw new InputException("/place", LeakEndpointsWords.TightLoopLeaksNowhere);
        var testId = tests.Add(
            id,
            new(
                EnumNames<LeakMethod>.Name(written.Method),
                EnumNames<LeakVerdict>.Name(leaks ? LeakVerdict.Fail : LeakVerdict.Pass),
                result?.LeakMlPerMin,
                result?.LowMlPerMin,
                result?.HighMlPerMin,
                result is null ? null : written.LimitMlPerMin,
                result is null ? null : written.VolumeMl,
                written.Samples.Count > 0 ? written.Samples[^1].TS - written.Samples[0].TS : written.Minutes * 60,
                written.Place,
                JsonSerializer.Serialize(written.Samples, DocumentJson.Options),
                written.Source,
                written.By
            )
        );
        return TypedResults.Created($"/api/jobs/{id}/leak-tests", tests.All(id).First(t => t.Id == testId));
    }

    private static LeakWritten Read(ObjectReader o, Func<double> airMl) =>
        new(
            o.Text("by", 8),
            o.OptionalChoice<LeakMethod>("method") ?? LeakMethod.Air,
            o.OptionalNumber("volumeMl", 10, 20_000) ?? airMl(),
            o.Number("limitMlPerMin", 0.001, 100, otherwise: LeakTest.DefaultLimitMlPerMin),
            o.Has("samples")
                ? o.Objects(
                    "samples",
                    s => new PressureSample(
                        s.Number("tS", -1e9, 1e9),
                        s.Number("gaugeKPa", -102, 1000),
                        s.Number("tempC", -50, 150),
                        s.OptionalNumber("ambientKPa", 20, 200)
                    )
                )
                : [],
            o.OptionalNumber("startKPa", -102, 1000),
            o.OptionalNumber("endKPa", -102, 1000),
            o.OptionalNumber("minutes", 0.5, 10_000),
            o.OptionalNumber("tempStartC", -50, 150),
            o.OptionalNumber("tempEndC", -50, 150),
            o.OptionalChoice<LeakSeen>("result"),
            o.Has("place") ? o.Text("place", MaxPlace) : null,
            o.OptionalObject("source") is { } s ? Source(s) : FigureSource.ByHand
        );

    private static FigureSource Source(ObjectReader o)
    {
        var source = new FigureSource(
            o.Choice<SourceKind>("kind"),
            o.OptionalText("instrument", MaxPlace),
            o.OptionalText("checkedOn", 10),
            o.OptionalText("file", MaxPlace),
            o.OptionalText("digest", 64)
        );
        o.End();
        return source;
    }

    private static bool IsLeak(LeakSeen seen) => seen is LeakSeen.Fail or LeakSeen.Leaks;

    /// <exception cref="InputException">Neither figures nor whoever watched it say so.</exception>
    private static bool Leaks(LeakWritten w) =>
        w.Result is { } seen
            ? IsLeak(seen)
            : throw new InputException("/result", LeakEndpointsWords.FiguresDoNotTellYet);

    /// <summary>What the pressure says; null where none was read.</summary>
    private static LeakResult? Describe(LeakWritten w)
    {
        var vacuum = w.Method == LeakMethod.Vacuum;
        if (w.Method == LeakMethod.Water)
            return null;
        if (w.Samples.Count > 0)
        {
            if (w.Samples.Count is < LeakTest.MinSamples or > LeakTest.MaxSamples)
                throw new InputException(
                    "/samples",
                    LimitWords.ExpectedToSamplesFound(LeakTest.MinSamples, LeakTest.MaxSamples, w.Samples.Count)
                );
            ProofEndpoints.Rising([.. w.Samples.Select(s => s.TS)]);
            var told = LeakTest.Compute(w.VolumeMl, AmbientKPa, w.Samples, w.LimitMlPerMin, vacuum);
            return told.Verdict == LeakVerdict.Wait && w.Result is null
                ? throw new InputException("/samples", LeakEndpointsWords.HoldIsNotToldYet)
                : told;
        }
        if ((w.StartKPa, w.EndKPa, w.Minutes) is not ({ } start, { } end, { } minutes))
            return w.StartKPa is null && w.EndKPa is null
                ? null
                : throw new InputException("/endKPa", LeakEndpointsWords.ExpectedStartKPaEndKPaAndMinutesTogether);
        if (vacuum ? start >= 0 : start <= 0)
            throw new InputException(
                "/startKPa",
                vacuum ? "A vacuum stands under 0 kPa." : LeakEndpointsWords.AirTestStandsOverKPa
            );
        return LeakByTwo.Compute(
            w.VolumeMl,
            AmbientKPa,
            start,
            end,
            minutes,
            w.TempStartC,
            w.TempEndC,
            w.LimitMlPerMin,
            vacuum
        );
    }

    private static void Within(string field, double? value, double least, double most)
    {
        if (value is not null && !(value >= least && value <= most))
            throw new InputException(field, FormattableString.Invariant($"Expected {least} to {most}."));
    }
}
