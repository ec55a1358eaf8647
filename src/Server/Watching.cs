using FaithfulBracket.Store;
using OpenTelemetry.Metrics;
using OpenTelemetry.Trace;

namespace FaithfulBracket.Server;

/// <summary>
/// What whoever runs it may see: logs as JSON with --log json, metrics and traces with --otlp ADDRESS. Both off unless asked for.
/// </summary>
internal static partial class Watching
{
    public static void Add(WebApplicationBuilder builder)
    {
        if (builder.Configuration["log"] == "json")
            builder.Logging.ClearProviders().AddJsonConsole(o => o.TimestampFormat = "yyyy-MM-dd'T'HH:mm:ss.fff'Z'");
        if (!Uri.TryCreate(builder.Configuration["otlp"], UriKind.Absolute, out var to))
            return;
        builder
            .Services.AddOpenTelemetry()
            .WithMetrics(m => m.AddAspNetCoreInstrumentation().AddRuntimeMeters().AddOtlpExporter(o => o.Endpoint = to))
            .WithTracing(t =>
                t.AddAspNetCoreInstrumentation(o =>
                        // an address may hold what somebody searched for
                        o.EnrichWithHttpRequest = (activity, _) => activity.SetTag("url.query", null)
                    )
                    .AddOtlpExporter(o => o.Endpoint = to)
            );
    }

    /// <summary>A slow disk, or a change that holds up the others, is seen in the log.</summary>
    public static void Tell(ILogger log, SlowChange slow) =>
        TellSlow(
            log,
            slow.What,
            slow.Waited.TotalMilliseconds,
            slow.Worked.TotalMilliseconds,
            slow.Committed.TotalMilliseconds
        );

    [LoggerMessage(
        Level = LogLevel.Warning,
        Message = "A change took long: {What} waited {WaitedMs:0} ms, worked {WorkedMs:0} ms, and the disk took {CommittedMs:0} ms"
    )]
    private static partial void TellSlow(
        ILogger log,
        string what,
        double waitedMs,
        double workedMs,
        double committedMs
    );

    private static MeterProviderBuilder AddRuntimeMeters(this MeterProviderBuilder meters) =>
        meters.AddMeter("System.Runtime", "Microsoft.AspNetCore.Server.Kestrel");
}
