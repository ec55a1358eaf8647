using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Instruments;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Stations;

/// <summary>A channel as it is told.</summary>
internal sealed record LoggerChannel(Channel Channel, string Name, string Unit);

/// <param name="Simulated">Whether a stand-in sends, at which speed; null for a device.</param>
internal sealed record LoggerOpened(string Name, IReadOnlyList<LoggerChannel> Channels, double? Simulated);

/// <summary>Rows of a live log since the last event.</summary>
internal sealed record LoggerRows(IReadOnlyList<LoggerRow> Rows);

/// <param name="Values">One for each channel; null where the logger had none.</param>
internal sealed record LoggerRow(double TimeS, IReadOnlyList<double?> Values)
{
    public static LoggerRow From(LogRow row) =>
        new(row.TS, [.. row.Values.Select(v => double.IsFinite(v) ? Math.Round(v, 3) : (double?)null)]);
}

/// <summary>The card under load, row by row: a device's logger where one is connected, else the job's own physics with noise.</summary>
internal static class BenchEndpoint
{
    /// <summary>Bench seconds in a second of the clock, for the stand-in.</summary>
    private const double Speed = 20,
        MaxSpeed = 200;

    /// <summary>A run is judged so often, and ends by itself after so many bench hours.</summary>
    private static readonly TimeSpan Every = TimeSpan.FromMilliseconds(1000);
    private const double LongestS = 4 * 3600;

    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet("/api/jobs/{id:long}/bench-run", RunAsync)
            .WithTags("instruments")
            .Produces<LogVerdict>(200, "text/event-stream");

    /// <param name="fault">A number: that bench has something to find, the same for the same number; absent for a sound one.</param>
    /// <param name="two">With a number: two things are wrong at once.</param>
    private static Task RunAsync(
        long id,
        string? pair,
        string? board,
        int? fault,
        bool? two,
        double? speed,
        HttpContext context,
        JobPlans plans,
        PlateMemory plates,
        JobLogViews views,
        LibraryCache shop,
        [FromServices] IBenchLogger? device,
        TimeProvider time,
        IHostApplicationLifetime life,
        CancellationToken cancel
    )
    {
        if (speed is not null and not (>= 1 and <= MaxSpeed))
            throw new InputException("?speed", $"Expected 1 to {MaxSpeed}.");
        var job = plans.Today(id, cancel);
        var seated = WhatIfEndpoints.Seated(job.Plan, pair, board);
        var logger =
            device
            ?? Simulated(
                seated,
                fault,
                two ?? false,
                speed ?? Speed,
                plates,
                shop.Settings,
                time,
                fault ?? Environment.TickCount,
                cancel
            );
        return EventStream.RunAsync(
            context,
            life,
            async (say, stop) =>
            {
                await say(
                    "logger",
                    new LoggerOpened(
                        logger.Name,
                        [.. logger.Channels.Select(c => new LoggerChannel(c, c.Name(), c.Unit()))],
                        device is null ? speed ?? Speed : null
                    )
                );
                var times = new List<double>();
                var values = logger.Channels.Select(_ => new List<double>()).ToList();
                var fresh = new List<LogRow>();
                var (sent, judged) = (time.GetTimestamp(), time.GetTimestamp());
                await foreach (var row in logger.Rows(stop))
                {
                    times.Add(row.TS);
                    for (var i = 0; i < values.Count; i++)
                        values[i].Add(row.Values[i]);
                    fresh.Add(row);
                    var due = time.GetElapsedTime(judged) >= Every;
                    // what is judged has been sent: who keeps the log keeps what the verdict is of
                    if (due || time.GetElapsedTime(sent) >= Every / 4)
                    {
                        await say("rows", new LoggerRows([.. fresh.Select(LoggerRow.From)]));
                        fresh.Clear();
                        sent = time.GetTimestamp();
                    }
                    if (due)
                    {
                        var log = new BenchLog(
                            times,
                            [.. logger.Channels.Select((c, i) => new LogSeries(c, values[i]))]
                        );
                        await say("verdict", views.Judge(log, job.Order, seated.Board, stop));
                        judged = time.GetTimestamp();
                    }
                    if (row.TS > LongestS || times.Count >= BenchLog.MaxRows)
                        break;
                }
            }
        );
    }

    internal static SimulatedBench Simulated(
        Core.Pads.PairPads seated,
        int? fault,
        bool two,
        double speed,
        PlateMemory plates,
        ShopSettings settings,
        TimeProvider time,
        int seed,
        CancellationToken cancel
    )
    {
        const double roomC = 21.5;
        var usual = settings;
        var stack = seated.Stack!;
        var at = new Core.Heat.HeatConditions(null, usual.CoolantInC, usual.FlowLPerMin);
        var bench = FaultBench.Create(plates.Compute(stack.Laid, at.FlowLMin, cancel), stack, at);
        return new(
            new(
                bench,
                fault is { } f ? HiddenFault.Several(bench, f, two, FaultPriors.From(usual.Faults)) : [],
                at,
                stack.Board.Parts.ToDictionary(p => p.Id, p => p.Kind),
                roomC,
                speed,
                seed
            ),
            time
        );
    }
}
