using FaithfulBracket.Core;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>What a proof is calculated with: logs, resistances, leak tests, drift. Nothing stored.</summary>
internal static class ProofEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var compute = app.MapGroup("/api/compute").WithTags("compute").AddEndpointFilter(queue.QueueAsync);
        Posted(compute.MapPost("/steady-state", SteadyAsync), SteadyState.InWords);
        Posted(compute.MapPost("/resistance", ResistanceAsync), "Limits: a body of 4 MiB.");
        Posted(compute.MapPost("/trials", TrialsAsync), Trials.InWords);
        Posted(compute.MapPost("/leak", LeakAsync), LeakTest.InWords);
        Posted(compute.MapPost("/drift", DriftAsync), Drift.InWords);

        static void Posted(RouteHandlerBuilder call, string limits) =>
            call.Accepts<System.Text.Json.JsonElement>("application/json").WithDescription(limits);
    }

    private static async Task<Ok<SteadyResult>> SteadyAsync(HttpRequest request)
    {
        var (samples, within) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var list = o.Objects(
                    "samples",
                    s => new LogSample(s.Number("tS", -1e9, 1e9), s.Number("c", -100, 300))
                );
                Count(o, list.Count, SteadyState.MinSamples, SteadyState.MaxSamples);
                return (list, o.Number("withinK", 0.01, 50, otherwise: SteadyState.DefaultWithinK));
            }
        );
        Rising([.. samples.Select(s => s.TS)]);
        return TypedResults.Ok(
            await Task.Run(() => SteadyState.Compute(samples, within, request.HttpContext.RequestAborted))
        );
    }

    private static async Task<Ok<BeforeAfterResult>> ResistanceAsync(HttpRequest request)
    {
        var (before, after) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var both = (
                    o.OptionalObject("before") is { } b ? Reading(b) : null,
                    o.OptionalObject("after") is { } a ? Reading(a) : null
                );
                if (both is (null, null))
                    o.Fault("before", ProofEndpointsWords.ExpectedBeforeAfterOrBoth);
                return both;
            }
        );
        return TypedResults.Ok(BeforeAfter.Compute(before, after));
    }

    private static SteadyReading Reading(ObjectReader o)
    {
        var usual = new SensorSigma();
        var sigma = usual;
        if (o.OptionalObject("sigma") is { } s)
        {
            sigma = new(
                s.Number("dieC", 0, 50, otherwise: usual.DieC),
                s.Number("roomC", 0, 50, otherwise: usual.RoomC),
                s.Number("coolantC", 0, 50, otherwise: usual.CoolantC),
                s.Number("powerShare", 0, 1, otherwise: usual.PowerShare)
            );
            s.End();
        }
        var reading = new SteadyReading(
            o.Number("dieC", -50, 200),
            o.Number("roomC", -50, 100),
            o.OptionalNumber("coolantInC", -50, 150),
            o.OptionalNumber("flowLMin", 0.001, 200),
            o.Number("powerW", 0.1, 10_000),
            sigma
        );
        o.End();
        return reading;
    }

    private static async Task<Ok<TrialResult>> TrialsAsync(HttpRequest request)
    {
        var (runs, power, wanted) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var list = o.Objects("runs", Run);
                if (list.Count is 0 or > Trials.MaxRuns)
                    o.Fault("runs", ProofEndpointsWords.ExpectedToRunsFound(Trials.MaxRuns, list.Count));
                return (list, o.Number("powerW", 0.1, 10_000), o.OptionalNumber("wantPlusMinusK", 0.001, 1000));
            }
        );
        return TypedResults.Ok(Trials.Compute(runs, power, wanted));

        static TrialRun Run(ObjectReader r)
        {
            var run = new TrialRun(
                r.Choice<Phase>("phase"),
                r.Number("order", -1e6, 1e6),
                r.Number("dieC", -50, 200),
                r.OptionalNumber("coolantInC", -50, 150),
                r.OptionalNumber("roomC", -50, 100),
                r.OptionalNumber("flowLMin", 0.001, 200),
                r.Number("powerW", 0.1, 10_000),
                r.Number("sigma", 0.001, 50, otherwise: TrialRun.UsualSigmaK)
            );
            r.End();
            return run;
        }
    }

    private static async Task<Ok<LeakResult>> LeakAsync(HttpRequest request)
    {
        var (volume, ambient, samples, limit) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var list = o.Objects(
                    "samples",
                    s => new PressureSample(
                        s.Number("tS", -1e9, 1e9),
                        s.Number("gaugeKPa", -100, 1000),
                        s.Number("tempC", -50, 150),
                        s.OptionalNumber("ambientKPa", 20, 200)
                    )
                );
                Count(o, list.Count, LeakTest.MinSamples, LeakTest.MaxSamples);
                return (
                    o.Number("volumeMl", 0.1, 1e6),
                    o.Number("ambientKPa", 20, 200),
                    list,
                    o.Number("limitMlPerMin", 1e-6, 1e4, otherwise: LeakTest.DefaultLimitMlPerMin)
                );
            }
        );
        Rising([.. samples.Select(s => s.TS)]);
        return TypedResults.Ok(LeakTest.Compute(volume, ambient, samples, limit));
    }

    private static async Task<Ok<DriftResult>> DriftAsync(HttpRequest request)
    {
        var (points, limit, cap) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var list = o.Objects(
                    "points",
                    p => new DriftPoint(
                        p.Number("day", -1e6, 1e6),
                        p.Number("kPerW", 1e-6, 1000),
                        p.Number("sigma", 1e-9, 1000)
                    )
                );
                if (list.Count is < Drift.MinPoints or > Drift.MaxPoints)
                    o.Fault(
                        "points",
                        ProofEndpointsWords.ExpectedToPointsFound(Drift.MinPoints, Drift.MaxPoints, list.Count)
                    );
                else if (list.Max(p => p.Day) - list.Min(p => p.Day) < 1e-6)
                    o.Fault("points", ProofEndpointsWords.AllOfOneDay);
                return (
                    list,
                    o.Number("limitShare", 0.001, 10, otherwise: Drift.DefaultLimitShare),
                    o.Number("capDays", 1, 100_000, otherwise: Drift.DefaultCapDays)
                );
            }
        );
        return TypedResults.Ok(Drift.Compute(points, limit, cap));
    }

    private static void Count(ObjectReader o, int found, int least, int most)
    {
        if (found < least || found > most)
            o.Fault("samples", LimitWords.ExpectedToSamplesFound(least, most, found));
    }

    internal static void Rising(IReadOnlyList<double> times)
    {
        for (var i = 1; i < times.Count; i++)
            if (!(times[i] > times[i - 1]))
                throw new InputException($"samples/{i}/tS", ProofEndpointsWords.ExpectedTimesThatRiseFromSample);
    }
}
