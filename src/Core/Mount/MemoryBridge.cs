using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Words.Mount;

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
            Title = MemoryBridgeWords.LayModuleBetweenCarriers(
                on.Board,
                string.Join(" and ", carriers.Select(c => c.Id))
            ),
            Detail = MemoryBridgeWords.PadsButtAgainstTopEdge,
            Caution = MemoryBridgeWords.TwoRowsOfTinyPartsStand,
            Done = MemoryBridgeWords.BetweenCarriers,
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
            Title = MemoryBridgeWords.TrimNarrowPadsOfModuleFlush(on.Board),
            Detail = MemoryBridgeWords.AlongEdgeAndAtEveryBolt,
            Caution = MemoryBridgeWords.CutAwayFromHand,
            Feel = MemoryBridgeWords.FingertipAlongEdgeMeetsNoStep,
            Done = "Flush",
        };

    internal static IEnumerable<WorkStep> Steps(WorkOrder order, Ways ways, IReadOnlyList<PadPiece> pieces)
    {
        foreach (var group in Groups(order))
        {
            List<Pair> pairs = [.. group];
            var first = pairs[0];
            var star = Star(pairs, order);
            WorkStep Step(string target, StepKind kind, Message title, string done) =>
                new()
                {
                    Id = new(Station.Mount, order.ScopeOf(first), target),
                    Kind = kind,
                    Board = first.On ?? order.First.Key,
                    Pair = first.Key,
                    Title = title,
                    Done = done,
                };
            var slots = Slots(
                first,
                pairs.Count,
                ways.ModulesIn,
                Step("slots", StepKind.Fit, Message.Empty, "In their slots")
            );
            var inFirst = order.Machine is null && ways.ModulesIn == ModulesIn.First;
            if (inFirst)
                yield return slots;
            var films = pieces.Count(p => p.Where is not null && pairs.Exists(x => x.Key == p.Pair));
            yield return Step(
                "row",
                StepKind.Look,
                inFirst ? MemoryBridgeWords.SightAlongSlots
                    : pairs.Count == 1 ? MemoryBridgeWords.StandModuleUp
                    : MemoryBridgeWords.StandModulesInRow(pairs.Count),
                "In one line"
            ) with
            {
                Detail = MemoryBridgeWords.SightAlongEdge,
            };
            yield return Step(
                "bridge",
                StepKind.Lower,
                MemoryBridgeWords.SetOnAndStartLoose(
                    first.Block.Model,
                    pairs.Count == 1 ? "the module" : $"all {pairs.Count} modules",
                    HowMany.Count(star.Count, "bolt")
                ),
                $"{star.Count} started"
            ) with
            {
                Detail =
                    (films > 0 ? BridgingWords.PeelOuterFilmOff(HowMany.All(films, "narrow pad")) : Message.Empty)
                    + MemoryBridgeWords.BoltThatBindsIsCrossed,
                Driver = Driver(first.Block, star),
                Count = star.Count > 0 ? star.Count : null,
                Counted = star.Count > 0 ? CountOf.Screws : null,
            };
            for (var round = 1; round <= Rounds && star.Count > 0; round++)
                yield return Bolts(first.Block, star, round, Step($"bolt-{round}", StepKind.Turn, Message.Empty, ""));
            if (order.Machine is null && !inFirst)
                yield return slots;
        }
    }

    /// <summary>One pass over all bolts in the star: first until they are snug, then a little.</summary>
    private static WorkStep Bolts(Block block, IReadOnlyList<BridgeBolt> star, int round, WorkStep step)
    {
        var driver = Driver(block, star);
        var howFar = round == 1 ? MemoryBridgeWords.UntilItIsSnug : "an eighth turn";
        List<ScrewTurn> turns =
        [
            .. star.Select(
                (b, i) => new ScrewTurn(b.Id, i + 1, "bolt", $"module {b.Board}", howFar) { Driver = driver }
            ),
        ];
        return step with
        {
            Title = PassWords.Title(turns, round, Rounds, _ => ""),
            Done = round == 1 ? MemoryBridgeWords.AllSnug : MemoryBridgeWords.AllHome,
            Detail = PassWords.Order(turns),
            Pass = round,
            Passes = Rounds,
            Turns = turns,
            Targets = [.. turns.Select(t => t.Hole)],
            Count = turns.Count,
            Counted = CountOf.Screws,
            Driver = driver,
            Feel = MemoryBridgeWords.SnugHeadTouchesAndDriverBegins,
            Caution = MemoryBridgeWords.TheseThreadsAreInThinPlate,
            Once = [.. star.Select(b => step.Id with { Target = $"{step.Id.Target}-{b.Id}" })],
        };
    }

    /// <summary>Where the modules go: with fewer modules than slots, every second one.</summary>
    private static WorkStep Slots(Pair first, int modules, ModulesIn way, WorkStep step) =>
        step with
        {
            Title =
                modules == 1 ? MemoryBridgeWords.PressModuleIntoSecondSlot
                : modules == 2 ? MemoryBridgeWords.PressBothModulesIntoSecond(How(way))
                : MemoryBridgeWords.PressModulesIntoSlotsSide(modules, How(way))
                    + (way == ModulesIn.WithBlock ? MemoryBridgeWords.HeldLevel(first.Block.Model) : Message.Empty),
            Detail =
                modules % 2 == 0 && modules > 2
                    ? MemoryBridgeWords.EverySlotTaken
                    : MemoryBridgeWords.NotchFitsOneWayOnly,
            Caution = MemoryBridgeWords.MainboardsManualGoes,
            Facts = [new(modules.ToString(System.Globalization.CultureInfo.InvariantCulture), "latched")],
        };

    private static string How(ModulesIn way) => way == ModulesIn.First ? "one by one" : "all at once";

    private static string? Driver(Block block, IReadOnlyList<BridgeBolt> bolts) =>
        bolts.Count == 0 ? null : block.Kit?.Screws.FirstOrDefault(s => s.Thread == bolts[0].Thread)?.Driver;
}
