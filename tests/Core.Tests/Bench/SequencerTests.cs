using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Walk;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The order of a station's steps against every order there is.</summary>
public class SequencerTests
{
    /// <summary>The least cost of all orders whose every act can be done; null where there is none.</summary>
    private static SequenceCost? Exhaustive(
        IReadOnlyList<IReadOnlyList<WorkStep>> threads,
        StepActs acts,
        BenchState start,
        string? driver
    )
    {
        SequenceCost? least = null;
        var at = new int[threads.Count];
        Try(start, driver, default, -1, threads.Sum(t => t.Count));
        return least;
        // whatever begins with a step that cannot be done is no order
        void Try(BenchState state, string? hand, SequenceCost cost, int last, int left)
        {
            if (left == 0 && (least is null || cost.CompareTo(least.Value) < 0))
                least = cost;
            for (var t = 0; t < threads.Count; t++)
            {
                if (at[t] == threads[t].Count || acts.Move(state, hand, threads[t][at[t]]) is not { } move)
                    continue;
                var paid = move.Cost with
                {
                    Left = last >= 0 && last != t && at[last] < threads[last].Count ? 1 : 0,
                    Moved = Enumerable.Range(0, t).Sum(o => threads[o].Count - at[o]),
                };
                at[t]++;
                Try(move.After, move.Driver, cost + paid, t, left - 1);
                at[t]--;
            }
        }
    }

    /// <returns>How many stretches were compared.</returns>
    private static int Compare(WorkOrder order, JobPlan plan, int most, bool free)
    {
        var scene = BenchScene.Create(order, plan);
        var state = BenchState.Create(scene);
        var compared = 0;
        string? driver = null;
        foreach (var steps in plan.Stations.SelectMany(s => StepThreads.Stretches(s.Steps)))
        {
            var acts = new StepActs(order, plan.Match, plan.Pads, scene, state);
            // every step by itself leaves all to the needs
            List<WorkStep> few = [.. steps.Take(most)];
            IReadOnlyList<IReadOnlyList<WorkStep>> threads = free
                ? few.ConvertAll(s => (IReadOnlyList<WorkStep>)[s])
                : StepThreads.Split(few);
            if (threads.Count > 1)
            {
                var found = new Sequencer(acts.Move).Order(threads, state, driver);
                var least = Exhaustive(threads, acts, state, driver);
                Assert.Equal(least, found?.Cost);
                if (found is { } best)
                    Assert.Equal(
                        few.Select(s => s.Id.ToString()).Order(),
                        best.Steps.Select(s => s.Id.ToString()).Order()
                    );
                compared++;
            }
            state = BenchWalk.After(scene, state, steps.SelectMany(s => s.Acts));
            driver = steps.LastOrDefault(s => s.Driver is not null)?.Driver ?? driver;
        }
        return compared;
    }

    private static JobPlan Plan(WorkOrder order, Dictionary<string, string>? ways = null) =>
        JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = new()
                {
                    Materials = [Sample.Soft with { Id = "soft-3" }],
                    Pads = [new("s", "soft-3", 1, 300, 300, 4, false)],
                    Pastes = [new("t", Sample.Grey, 5, 24)],
                },
                Ways = ways ?? [],
            }
        );

    [Theory]
    [InlineData("tern-460-r2", "brineworks-full-460", 7)]
    [InlineData("gannet-duo-r1", "copperwell-broad-duo", 5)]
    [InlineData("lantern-l2", "undertow-shell-l", 5)]
    public void Free_steps_come_in_an_order_that_no_other_betters(string board, string block, int most)
    {
        var order = WorkOrder.Plain(Demo.Board(board), Demo.Block(block));
        Assert.True(Compare(order, Plan(order), most, free: true) >= 5);
    }

    [Fact]
    public void Threads_of_drawn_orders_come_in_an_order_that_no_other_betters()
    {
        var compared = 0;
        for (var seed = 0; seed < 25; seed++)
        {
            var (order, ways) = DrawnOrder.Of(seed);
            compared += Compare(order, Plan(order, ways), 9, free: false);
        }
        Assert.True(compared > 10, $"{compared} compared");
    }

    [Fact]
    public void What_goes_on_again_is_set_by_the_face_that_is_up()
    {
        var order = WorkOrder.Plain(Demo.Board("lantern-l2"), Demo.Block("undertow-shell-l"));
        List<WorkStep> again = [.. Plan(order).Mount.Sheet.Steps.Where(s => s.Thread is not null)];
        // the front is up when the shell is closed: all of it first, then one turn
        Assert.Single(again, s => s.Acts.Any(a => a.Do == Verb.TurnOver));
        Assert.Equal(again.Select(s => s.Face).Order(), again.Select(s => s.Face));
    }
}
