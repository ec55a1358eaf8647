using BenchmarkDotNet.Attributes;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Formats.Documents;

namespace FaithfulBracket.Perf;

/// <summary>The longest plan of the demo, four modules in carriers, and the order of a station's steps against every order there is.</summary>
[GroupBenchmarksBy(BenchmarkDotNet.Configs.BenchmarkLogicalGroupRule.ByCategory)]
public class SequenceBenchmarks
{
    private const string OrderOfSteps = "the order in which three modules are prepared";

    private JobContext _four = new() { Order = WorkOrder.Plain(Demo.Board) };
    private StepActs _acts = null!;
    private BenchState _start = new();
    private IReadOnlyList<IReadOnlyList<WorkStep>> _threads = [];

    [GlobalSetup]
    public void Setup()
    {
        _four = Modules(4);
        var three = Modules(3);
        var plan = JobPlanner.Plan(three);
        var scene = BenchScene.Create(three.Order, plan);
        _start = BenchWalk.After(
            scene,
            BenchState.Create(scene),
            plan.Steps.TakeWhile(s => s.Station != Station.Prep).SelectMany(s => s.Acts)
        );
        _acts = new(three.Order, plan.Match, plan.Pads, scene, _start);
        _threads = StepThreads.Split(plan.Prep.Sheet.Steps);
    }

    private static JobContext Modules(int count)
    {
        byte[] File(string path) => System.IO.File.ReadAllBytes(Path.Combine(Demo.Folder, path));
        var module = BoardReader.Read(File("boards/shingle-16.board.json"));
        var block = BlockReader.Read(File("blocks/copperwell-rail-lx.block.json"));
        List<Workpiece> pieces =
        [
            .. Enumerable.Range(0, count).Select(i => new Workpiece($"{(char)('A' + i)}", module)),
        ];
        return new()
        {
            Order = CarrierOrder.Compose(
                new() { Pieces = pieces, Pairs = [.. pieces.Select((p, i) => new Pair($"P{i + 1}", block, p.Key))] }
            ),
            Drawer = new()
            {
                Materials = [Demo.Soft with { Id = "soft-3" }, Demo.Soft with { Id = "firm-6" }],
                Pads = [new("sheet", "soft-3", 1, 300, 300, 4, false)],
                Pastes = [new("tube", Demo.Grey, 5, 24)],
            },
        };
    }

    [
        Benchmark,
        BenchmarkCategory("the longest plan of the demo: four memory modules in carriers"),
        Note("goal < 250 ms")
    ]
    public int Longest() => JobPlanner.Plan(_four).Steps.Count();

    [Benchmark, BenchmarkCategory(OrderOfSteps), Note("plain: every order that keeps each module's own")]
    public int Sequence() => new Sequencer(_acts.Move).Order(_threads, _start, null)!.Value.Cost.Turns;

    [Benchmark(Baseline = true), BenchmarkCategory(OrderOfSteps)]
    public int EveryOrder()
    {
        var least = int.MaxValue;
        Try(new int[_threads.Count], _start, null, 0);
        return least;
        void Try(int[] at, BenchState state, string? driver, int turns)
        {
            var over = true;
            for (var t = 0; t < at.Length; t++)
            {
                if (at[t] == _threads[t].Count)
                    continue;
                over = false;
                if (_acts.Move(state, driver, _threads[t][at[t]]) is not { } move)
                    continue;
                at[t]++;
                Try(at, move.After, move.Driver, turns + move.Cost.Turns);
                at[t]--;
            }
            if (over)
                least = Math.Min(least, turns);
        }
    }
}
