using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;

namespace FaithfulBracket.Perf;

/// <summary>A whole plan from nothing, its walk, and the search for the fewest passes.</summary>
[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class PlanBenchmarks
{
    private const int Rounds = 10;
    private JobContext _context = new() { Order = WorkOrder.Plain(Demo.Board) };
    private Scene _scene = new([]);
    private List<WalkStep> _steps = [];
    private StackUp _stack = null!;

    [GlobalSetup]
    public void Setup()
    {
        var materials = Demo.Block.Kit!.Pads.Select(p => p.Material).Distinct();
        var order = WorkOrder.Plain(Demo.Board, Demo.Block);
        _context = new()
        {
            Order = order,
            Drawer = new()
            {
                Materials = [.. materials.Select(m => Demo.Soft with { Id = m })],
                Pads = [new("sheet", Demo.Block.Kit.Pads[0].Material, 1, 300, 300, 4, false)],
                Pastes = [new("tube", Demo.Grey, 5, 24)],
            },
        };
        var plan = JobPlanner.Plan(_context);
        _scene = BenchScene.Create(order, plan);
        _steps = [.. plan.Steps.Select(s => new WalkStep(s.Acts, s.Up))];
        _stack = plan.Pads.Pairs[0].Stack!.WhileMounting(false);
    }

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("a plain card planned from nothing, nine stations with their acts and locks"),
        Note("goal < 60 ms")
    ]
    public int Plan()
    {
        var steps = 0;
        for (var i = 0; i < Rounds; i++)
            steps += JobPlanner.Plan(_context).Steps.Count();
        return steps;
    }

    [
        Benchmark(OperationsPerInvoke = Rounds),
        BenchmarkCategory("its walk, act by act"),
        Note("plain: from the start again for every step, as a lock asks")
    ]
    public int Walk()
    {
        var walked = 0;
        for (var i = 0; i < Rounds; i++)
            walked += BenchWalk.Run(_scene, BenchState.Create(_scene), _steps).End.Conditions.Count;
        return walked;
    }

    [Benchmark(Baseline = true), BenchmarkCategory("its walk, act by act")]
    public int WalkAgain()
    {
        var walked = 0;
        for (var n = 1; n <= _steps.Count; n++)
            walked += BenchWalk
                .Run(_scene, BenchState.Create(_scene), _steps[..n], toTheEnd: false)
                .End.Conditions.Count;
        return walked;
    }

    [Benchmark, BenchmarkCategory("the fewest passes, 8 screws, exactly")]
    public int Passes() => Tightening.Passes(_stack).PassList.Count;
}
