using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;

namespace FaithfulBracket.Core.Mount;

/// <summary>A bolt of a block that bridges several modules.</summary>
/// <param name="Id">Module key and the carrier's hole.</param>
/// <param name="At">Along the edge, and the module's place in the row.</param>
public sealed record BridgeBolt(string Id, string Board, Point2 At, string Thread);

/// <summary>Memory modules between their carriers, and one block down on all of them in a star.</summary>
public static class MemoryBridge
{
    /// <summary>Rounds in which the bolts go home: until snug, then a little.</summary>
    private const int Rounds = 2;

    /// <summary>From module to module in their slots, mm: only the order of the star rests on it.</summary>
    private const double RowMm = 9.5;

    /// <summary>One module between its two carriers.</summary>
    internal static WorkStep Between(WorkOrder order, Pair pair, BoardFit on)
    {
        var carriers = pair.Block.Carriers;
        return new()
        {
            Id = new(Station.Mount, order.ScopeOf(pair, on.Board), "carriers"),
            Kind = StepKind.Lower,
            Board = on.Board,
            Pair = pair.Key,
            Title = $"Lay module {on.Board} between its carriers, {string.Join(" and ", carriers.Select(c => c.Id))}",
            Detail =
                "Pads butt against the top edge of the carrier; press over the chips, not over the bare "
                + "rim. Every module the same way round as the first.",
            Caution = "Two rows of tiny parts stand along the bottom edge: hold the module by its short sides.",
            Done = "Between its carriers",
            Targets = [.. on.Laid.Contacts()],
        };
    }

    /// <summary>The bolts of a block over all modules it bridges, in the star in which they are turned.</summary>
    public static IReadOnlyList<BridgeBolt> Star(IReadOnlyList<Pair> pairs, WorkOrder order)
    {
        List<BridgeBolt> left =
        [
            .. pairs.SelectMany(
                (p, i) =>
                    p.Block.Carriers.SelectMany(c =>
                        c.BoltHoles.Select(b => new BridgeBolt(
                            $"{p.On ?? order.First.Key}-{b.Id}",
                            p.On ?? order.First.Key,
                            new(b.X, i * RowMm),
                            b.Thread
                        ))
                    )
            ),
        ];
        if (left.Count == 0)
            return [];
        Point2 middle = new(left.Average(b => b.At.X), left.Average(b => b.At.Y));
        var star = new List<BridgeBolt>();
        var last = left.MinBy(b => ((b.At - middle).Length, b.Id))!;
        while (true)
        {
            star.Add(last);
            left.Remove(last);
            if (left.Count == 0)
                return star;
            var from = last.At - middle;
            // the one most opposite to the last, the nearer of two alike
            last = left.MinBy(b =>
            {
                var to = b.At - middle;
                return (Math.Round(from.X * to.X + from.Y * to.Y, 6), Math.Round(to.Length, 6), b.Id);
            })!;
        }
    }

    /// <summary>Bolts of the whole order.</summary>
    internal static int Bolts(WorkOrder order) => Groups(order).Sum(g => Star([.. g], order).Count);

    private static IEnumerable<IGrouping<string, Pair>> Groups(WorkOrder order) =>
        order.Pairs.Where(p => p.Block.Carriers.Count > 0).GroupBy(p => p.Block.Id);

    /// <summary>What stands over the edges comes off while the outer films protect it.</summary>
    internal static WorkStep Trim(WorkOrder order, Pair pair, BoardFit on) =>
        new()
        {
            Id = new(Station.Mount, order.ScopeOf(pair, on.Board), "trim"),
            Kind = StepKind.Cut,
            Board = on.Board,
            Pair = pair.Key,
            Title = $"Trim the narrow pads of module {on.Board} flush with its carriers",
            Detail = "Along the edge and at every bolt hole: what stands over is pressed into a thread or a slot.",
            Caution = "Cut away from the hand, and from the gold contacts.",
            Feel = "A fingertip along the edge meets no step; every bolt hole is open.",
            Done = "Flush",
        };

    internal static IEnumerable<WorkStep> Steps(WorkOrder order, Ways ways, IReadOnlyList<PadPiece> pieces)
    {
        foreach (var group in Groups(order))
        {
            List<Pair> pairs = [.. group];
            var first = pairs[0];
            var star = Star(pairs, order);
            WorkStep Step(string target, StepKind kind, string title, string done) =>
                new()
                {
                    Id = new(Station.Mount, order.ScopeOf(first), target),
                    Kind = kind,
                    Board = first.On ?? order.First.Key,
                    Pair = first.Key,
                    Title = title,
                    Done = done,
                };
            var slots = Slots(first, pairs.Count, ways.ModulesIn, Step("slots", StepKind.Fit, "", "In their slots"));
            var inFirst = order.Machine is null && ways.ModulesIn == ModulesIn.First;
            if (inFirst)
                yield return slots;
            var films = pieces.Count(p => p.Where is not null && pairs.Exists(x => x.Key == p.Pair));
            yield return Step(
                "row",
                StepKind.Look,
                inFirst ? "Sight along the slots: bolt holes of all carriers in one line, labels all one way"
                    : pairs.Count == 1 ? "Stand the module up: bolt holes of its carriers in one line"
                    : $"Stand the {pairs.Count} modules in a row: bolt holes of all carriers in one line, labels all one way",
                "In one line"
            ) with
            {
                Detail = "Sight along the edge; a carrier that stands higher tilts the block over the others.",
            };
            yield return Step(
                "bridge",
                StepKind.Lower,
                $"Set {first.Block.Model} on {(pairs.Count == 1 ? "the module" : $"all {pairs.Count} modules")} and start {HowMany.Of(star.Count, "bolt")} loose",
                $"{star.Count} started"
            ) with
            {
                Detail =
                    (
                        films > 0
                            ? $"Peel the outer film off {HowMany.All(films, "narrow pad")} first and count. "
                            : ""
                    ) + "A bolt that binds is crossed: back it out.",
                Driver = Driver(first.Block, star),
                Count = star.Count > 0 ? star.Count : null,
                Counted = star.Count > 0 ? CountOf.Screws : null,
            };
            for (var round = 1; round <= Rounds && star.Count > 0; round++)
                yield return Bolts(first.Block, star, round, Step($"bolt-{round}", StepKind.Turn, "", ""));
            if (order.Machine is null && !inFirst)
                yield return slots;
        }
    }

    /// <summary>One pass over all bolts in the star: first until they are snug, then a little.</summary>
    private static WorkStep Bolts(Block block, IReadOnlyList<BridgeBolt> star, int round, WorkStep step)
    {
        var driver = Driver(block, star);
        var howFar = round == 1 ? "until it is snug" : "an eighth turn";
        List<ScrewTurn> turns =
        [
            .. star.Select(
                (b, i) => new ScrewTurn(b.Id, i + 1, "bolt", $"module {b.Board}", howFar) { Driver = driver }
            ),
        ];
        return step with
        {
            Title = PassWords.Title(turns, round, Rounds, _ => ""),
            Done = round == 1 ? "All snug" : "All home",
            Detail = PassWords.Order(turns),
            Pass = round,
            Passes = Rounds,
            Turns = turns,
            Targets = [.. turns.Select(t => t.Hole)],
            Count = turns.Count,
            Counted = CountOf.Screws,
            Driver = driver,
            Feel = "Snug: the head touches and the driver begins to resist.",
            Caution = "These threads are in a thin plate. Snug, then an eighth turn, no more.",
            Once = [.. star.Select(b => step.Id with { Target = $"{step.Id.Target}-{b.Id}" })],
        };
    }

    /// <summary>Where the modules go: with fewer modules than slots, every second one.</summary>
    private static WorkStep Slots(Pair first, int modules, ModulesIn way, WorkStep step) =>
        step with
        {
            Title =
                modules == 1 ? "Press the module into the second slot from the processor"
                : modules == 2
                    ? $"Press both modules, {How(way)}, into the second and the fourth slot from the processor"
                : $"Press the {modules} modules, {How(way)}, into {modules} slots side by side"
                    + (way == ModulesIn.WithBlock ? $", {first.Block.Model} held level" : ""),
            Detail =
                modules % 2 == 0 && modules > 2
                    ? "Every slot taken. All notches to one side; both latches of every slot close by themselves."
                    : "The notch fits one way only. Both latches close by themselves; the slots between stay free.",
            Caution = "The mainboard's manual goes first: it numbers its slots and says which are filled when.",
            Facts = [new(modules.ToString(System.Globalization.CultureInfo.InvariantCulture), "latched")],
        };

    private static string How(ModulesIn way) => way == ModulesIn.First ? "one by one" : "all at once";

    private static string? Driver(Block block, IReadOnlyList<BridgeBolt> bolts) =>
        bolts.Count == 0 ? null : block.Kit?.Screws.FirstOrDefault(s => s.Thread == bolts[0].Thread)?.Driver;
}
