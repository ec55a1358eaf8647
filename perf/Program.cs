using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using FaithfulBracket.Perf;

if (args is ["photos"])
{
    DemoPhotos.Write();
    return;
}
var quiet = ManualConfig
    .Create(DefaultConfig.Instance)
    .AddJob(
        Job.Default.WithToolchain(BenchmarkDotNet.Toolchains.InProcess.Emit.InProcessEmitToolchain.Instance)
            .WithStrategy(BenchmarkDotNet.Engines.RunStrategy.Monitoring)
            .WithWarmupCount(2)
            .WithIterationCount(5)
            .WithInvocationCount(1)
            .WithUnrollFactor(1)
    )
    .WithOptions(ConfigOptions.JoinSummary | ConfigOptions.DisableLogFile);
var summary = BenchmarkSwitcher
    .FromTypes([
        typeof(FitBenchmarks),
        typeof(TwinBenchmarks),
        typeof(SeatingBenchmarks),
        typeof(BowBenchmarks),
        typeof(PasteBenchmarks),
        typeof(CuttingBenchmarks),
        typeof(SocketBenchmarks),
        typeof(HeatBenchmarks),
        typeof(PlanBenchmarks),
        typeof(SequenceBenchmarks),
    ])
    .Run(args.Length == 0 ? ["--filter", "*"] : args, quiet);
Table.Write(summary);
