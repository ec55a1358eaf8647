using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Instruments;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Stations;

internal sealed record CaliperPress(double WidthMm);

internal sealed record DriverTurn(TurnTarget Target, TurnManner Manner);

internal sealed record InstrumentNames(string Caliper, string Driver, string? Camera);

/// <summary>Measuring devices of the bench: what they send as an event stream, and the panels of the simulated ones.</summary>
internal static class InstrumentEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api/instruments").WithTags("instruments");
        api.MapGet(
            "",
            (ICaliper caliper, ITorqueDriver driver, [FromServices] ICamera? camera) =>
                TypedResults.Ok(new InstrumentNames(caliper.Name, driver.Name, camera?.Name))
        );
        api.MapGet("/live", LiveAsync).Produces<string>(200, "text/event-stream");
        api.MapPost("/caliper/press", PressAsync).Accepts<CaliperPress>("application/json");
        api.MapPost("/driver/turn", TurnAsync).Accepts<DriverTurn>("application/json");
        api.MapPost("/camera/shoot", ShootAsync);
        app.MapGet("/api/jobs/{id:long}/driver", WatchAsync)
            .WithTags("instruments")
            .Produces<TurnVerdict>(200, "text/event-stream");
    }

    /// <summary>A camera that looks at a board of the demo folder; none without that folder.</summary>
    internal static SimulatedCamera? Camera(string? demoFolder)
    {
        const string onTheBench = "boards/dunlin-250-traced.board.json";
        if (demoFolder is null || Path.Combine(demoFolder, onTheBench) is var file && !File.Exists(file))
            return null;
        return new(BoardReader.Read(File.ReadAllBytes(file)), p => PhotoPixels.Jpeg(p), Environment.TickCount);
    }

    /// <exception cref="InputException">A shop of one's own: nothing is measured by a stand-in there.</exception>
    internal static void OnlyInPractice(FigureSources sources, string instrument)
    {
        if (!sources.Practice)
            throw new InputException("", InstrumentEndpointsWords.NoIsConnected(instrument));
    }

    private static async Task<Ok<CaliperReading>> PressAsync(
        HttpRequest request,
        SimulatedCaliper caliper,
        FigureSources sources
    )
    {
        OnlyInPractice(sources, "caliper");
        var press = await Bodies.ReadAsync(request, o => new CaliperPress(o.Number("widthMm", 0, 300)));
        return TypedResults.Ok(caliper.Press(press.WidthMm));
    }

    private static async Task<NoContent> TurnAsync(
        HttpRequest request,
        SimulatedTorqueDriver driver,
        FigureSources sources,
        CancellationToken cancel
    )
    {
        OnlyInPractice(sources, "torque driver");
        var turn = await Bodies.ReadAsync(
            request,
            o =>
            {
                var t = o.Object("target");
                var target = new TurnTarget(
                    t.Number("angleDeg", 1, 36_000),
                    t.Number("startTorqueNm", 0, 20),
                    t.Number("torqueNm", 0, 20),
                    t.OptionalNumber("limitNm", 0, 20)
                );
                t.End();
                return new DriverTurn(target, o.Choice<TurnManner>("manner"));
            }
        );
        await driver.TurnAsync(turn.Target, turn.Manner, cancel);
        return TypedResults.NoContent();
    }

    /// <summary>Takes a picture and lays it on the tracing desk.</summary>
    private static async Task<IResult> ShootAsync(
        string by,
        HttpContext context,
        Traces traces,
        [FromServices] ICamera? camera,
        CancellationToken cancel
    )
    {
        JobEndpoints.CheckInitials(by);
        if (camera is null)
            throw new InputException("", InstrumentEndpointsWords.NoCameraIsConnected);
        var photo =
            PhotoIntake.Read(await camera.ShootAsync(cancel))
            ?? throw new InputException("", InstrumentEndpointsWords.CameraSentNoPicture);
        return await TraceStore.KeepAsync(photo, by, context, traces);
    }

    private static Task LiveAsync(HttpContext context, ICaliper caliper, IHostApplicationLifetime life) =>
        EventStream.RunAsync(
            context,
            life,
            (say, cancel) => EventStream.ListenAsync(caliper.Readings, say, r => say("caliper", r), cancel)
        );

    /// <summary>The driver's turn judged against the target of one screw of a pass while it is made.</summary>
    /// <param name="hole">The screw of the pass that is turned.</param>
    /// <param name="by">Whose turns are kept with the job; absent for one who only watches.</param>
    private static Task WatchAsync(
        long id,
        string stepId,
        string hole,
        string? by,
        HttpContext context,
        JobPlans plans,
        DriverTurns kept,
        DriverHands hands,
        FigureSources sources,
        ITorqueDriver driver,
        IHostApplicationLifetime life
    )
    {
        if (by is not null)
            JobEndpoints.CheckInitials(by);
        var source = new FigureSource(
            driver is SimulatedTorqueDriver ? SourceKind.Simulated : SourceKind.Device,
            driver.Name
        );
        var turns = plans.Get(id).Plan.Find(JobEndpoints.IdOf(stepId, "?stepId"))?.Turns ?? [];
        if (turns.Count == 0)
            throw new InputException("?stepId", InstrumentEndpointsWords.IsNotPassOfTurns(stepId));
        var target =
            turns.FirstOrDefault(t => t.Hole == hole)?.Target
            ?? throw new InputException("?hole", InstrumentEndpointsWords.IsNotScrewOfThisPass(hole));
        return EventStream.RunAsync(
            context,
            life,
            async (say, cancel) =>
            {
                using var hand = by is null ? null : hands.Take(by);
                var watch = new ScrewWatch(target, hand);
                await EventStream.ListenAsync(
                    driver.Samples,
                    say,
                    async sample =>
                    {
                        if (watch.Take(sample) is not { } verdict)
                            return;
                        // on disk before it is said
                        if (
                            watch.Finished(verdict, stepId, hole, source, by) is { } turn
                            && !sources.Faults(source).Any()
                        )
                            kept.Keep(id, turn);
                        await say("turn", verdict);
                    },
                    cancel,
                    () => watch.Unfinished && !life.ApplicationStopping.IsCancellationRequested
                );
            }
        );
    }
}
