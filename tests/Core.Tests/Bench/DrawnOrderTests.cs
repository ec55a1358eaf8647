using System.Collections.Concurrent;
using System.Text.RegularExpressions;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Words;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Orders by chance, walked from the stock state to a closed one and back from any place on the way.</summary>
public class DrawnOrderTests
{
    private static int Number(string name, int otherwise) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), out var n) ? n : otherwise;

    [Fact]
    public void Whatever_is_ordered_is_walked_there_and_back()
    {
        var (from, count) = (Number("FB_DRAWN_FROM", 0), Number("FB_DRAWN", 200));
        var (found, walked) = (new ConcurrentQueue<string>(), 0);
        Parallel.For(
            from,
            from + count,
            seed =>
            {
                try
                {
                    if (Contradiction(seed, ref walked) is { } told)
                        found.Enqueue($"{seed}: {told}");
                }
                catch (Exception e) when (e is not OperationCanceledException)
                {
                    found.Enqueue($"{seed}: {e}");
                }
            }
        );
        Assert.True(found.IsEmpty, string.Join("\n", found.Order()));
        // what is told as a clash or a trouble is the smaller part
        Assert.InRange(walked, count / 2, count);
    }

    private static string? Contradiction(int seed, ref int walked)
    {
        var (order, ways) = DrawnOrder.Of(seed);
        var plan = JobPlanner.Plan(
            new()
            {
                Order = order,
                Drawer = new()
                {
                    Materials = [Sample.Soft, Sample.Soft with { Id = "soft-3" }, Sample.Soft with { Id = "firm-6" }],
                    Pads =
                    [
                        .. ((double[])[0.5, 1, 1.5, 2]).Select(t => new PadStock(
                            $"s{t}",
                            "soft-3",
                            t,
                            300,
                            300,
                            4,
                            false
                        )),
                    ],
                    Pastes = [new("t", Sample.Grey, 5, 24)],
                },
                Ways = ways,
            }
        );
        // what cannot be stripped, and a block that clashes, is told and has no walk
        if (plan.Troubles.Count > 0 || plan.Match.Order?.Verdict == Verdict.Clashes)
            return null;
        Interlocked.Increment(ref walked);
        var scene = BenchScene.Create(order, plan);
        var there = BenchWalk.Run(scene, BenchState.Create(scene), Walk(plan.Steps));
        if (there.Contradiction is { } c)
            return $"{Told([.. plan.Steps], c)} {order.Pieces[0].Board.Id} {string.Join("+", order.Pairs.Select(p => p.Block.Id))}";
        if (LaidOnItsFace(scene, plan.Steps) is { } lies)
            return lies;
        List<WorkStep> steps = [.. plan.Steps];
        var done = steps.GetRange(0, new Random(seed).Next(1, steps.Count + 1));
        var back = BackPlan.Create(order, plan, scene, [], done);
        var again = BenchWalk.Run(back.Scene, back.Start, Walk(back.Steps));
        return again.Contradiction is { } b ? $"back after {done[^1].Id}: {Told(back.Steps, b)}"
            : plan.Steps.Concat(back.Steps).FirstOrDefault(s => !HasCode(s.Title)) is { } plain
                ? $"{plain.Id}: \"{plain.Title}\" has no code"
            : null;
    }

    /// <summary>Whether it states something by a code: on that signatures rest, not on its words.</summary>
    private static bool HasCode(Message title) => title.Stated.Any(s => Regex.IsMatch(s, @"^[A-Z]\w+\.[A-Z]\w+$"));

    /// <summary>A board that is turned over onto its own open pads or paste, unless it is lowered at once.</summary>
    internal static string? LaidOnItsFace(Scene scene, IEnumerable<WorkStep> steps)
    {
        var state = BenchState.Create(scene);
        foreach (var step in steps)
            for (var i = 0; i < step.Acts.Count; i++)
            {
                var act = step.Acts[i];
                var under = state.Up.GetValueOrDefault(act.Thing.Owner);
                if (
                    act.Do == Verb.TurnOver
                    && step.Acts.Skip(i).All(a => a.Do != Verb.Lower)
                    && scene.Things.FirstOrDefault(t =>
                        t.Board == act.Thing.Owner
                        && t.Face == under
                        && (
                            t.Id.Kind == ThingKind.Pad && state.Is(t.Id, Condition.Laid)
                            || t.TakesPaste
                                && state.Is(t.Id, Condition.Taken)
                                && !t.Under.Any(o => state.Is(o, Condition.On))
                        )
                    )
                        is { } open
                )
                    return $"{step.Id} lays {act.Thing} on {open.Id}";
                state = BenchWalk.After(scene, state, [act]);
            }
        return null;
    }

    private static List<WalkStep> Walk(IEnumerable<WorkStep> steps) =>
        [.. steps.Select(s => new WalkStep(s.Acts, s.Up))];

    private static string Told(IReadOnlyList<WorkStep> steps, Contradiction c)
    {
        var step = c.Step < steps.Count ? steps[c.Step] : null;
        var act = step?.Acts[c.Act];
        return $"{step?.Id} act {c.Act} {act?.Do} {act?.Thing} needs {c.Unmet.Code} {string.Join(", ", c.Unmet.Things)}";
    }
}
