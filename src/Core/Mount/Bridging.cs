using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>
/// Blocks joined by a rigid fitting: joined in the hand, lowered as one, their screws turned pass by pass in turn, then
/// evened against each other.
/// </summary>
internal static class Bridging
{
    /// <summary>Target of the step that lowers joined blocks as one.</summary>
    public const string AsOneTarget = "lower-joined";

    /// <summary>
    /// Every pair that comes down with this one, itself among them, in the order of the job; itself alone where nothing
    /// joins it, or where one of them is not laid on the one board they share.
    /// </summary>
    public static IReadOnlyList<Pair> With(WorkOrder order, MatchResult match, Pair pair)
    {
        var joins = Joins(order).Where(j => j.Join.Kind is null or JoinKind.Rigid).ToList();
        HashSet<string> found = [pair.Key];
        while (true)
        {
            var more = joins
                .Where(j => found.Contains(j.From.Key) != found.Contains(j.To.Key))
                .SelectMany(j => new[] { j.From.Key, j.To.Key })
                .ToList();
            if (more.Count == 0)
                break;
            found.UnionWith(more);
        }
        var laid = match.Laid().Where(l => found.Contains(l.Pair.Key)).ToList();
        var one = laid.Count == found.Count && laid.Select(l => l.On.Board).Distinct().Count() == 1;
        return one ? [.. order.Pairs.Where(p => found.Contains(p.Key))] : [pair];
    }

    /// <summary>The steps of joined blocks as one: one lowering, every start, the passes of all by turns, the rest.</summary>
    /// <param name="each">The steps of each block, in the order of the job.</param>
    public static IEnumerable<WorkStep> AsOne(WorkOrder order, IReadOnlyList<IReadOnlyList<WorkStep>> each)
    {
        var lowers = each.SelectMany(s => s).Where(s => s.Id.Target == "lower").ToList();
        var first = lowers[0];
        // what lies under a block, or is laid before it, stays before it
        foreach (var step in each.SelectMany(s => s.TakeWhile(x => x.Id.Target != "lower")))
            yield return step;
        var films = lowers.Sum(s => s.Count ?? 0);
        var names = string.Join(" and ", lowers.Select(s => order.Name(order.Pairs.First(p => p.Key == s.Pair))));
        yield return first with
        {
            Id = first.Id with { Target = AsOneTarget },
            Title = BridgingWords.LowerOntoBoardAsOneJoined(names),
            Detail =
                (films > 0 ? BridgingWords.PeelOuterFilmOff(HowMany.All(films, "pad")) : Message.Empty)
                + BridgingWords.HandOnEach,
            Caution = BridgingWords.BlockThatHangsFromFittingBends,
            Targets = [.. lowers.SelectMany(s => s.Targets)],
            Count = films > 0 ? films : null,
            Facts = films > 0 ? [new($"{films}", films == 1 ? "film" : "films")] : [],
            Once = [.. lowers.Select(s => s.Id)],
        };
        var after = each.Select(s => s.SkipWhile(x => x.Id.Target != "lower").Skip(1).ToList()).ToList();
        foreach (var step in after.SelectMany(s => s.TakeWhile(x => x.Kind != StepKind.Turn)))
            yield return step;
        foreach (
            var pass in after
                .SelectMany(s => s.Where(x => x.Kind == StepKind.Turn))
                .GroupBy(x => x.Pass ?? 1)
                .OrderBy(g => g.Key)
        )
        foreach (var step in pass)
            yield return step;
        foreach (var step in after.SelectMany(s => s.SkipWhile(x => x.Kind != StepKind.Turn)))
            if (step.Kind != StepKind.Turn)
                yield return step;
    }

    /// <summary>Joins that begin at a pair and find their other end in the order.</summary>
    private static IEnumerable<(Pair From, Join Join, Pair To)> Joins(WorkOrder order) =>
        from pair in order.Pairs
        from fitting in pair.Block.Joins
        let other = OpenPorts.Other(order, pair, fitting)
        where other is not null
        select (pair, fitting, other);

    /// <summary>
    /// Before a block is lowered: it is joined to the other in the hand, or the fitting that it comes down onto is set on the
    /// other, which is home.
    /// </summary>
    public static IEnumerable<WorkStep> Before(WorkOrder order, Pair pair) =>
        from j in Joins(order)
        let first = FirstOf(order, j.From, j.To).Key == pair.Key
        where
            j.Join.Kind switch
            {
                JoinKind.Sliding => false,
                JoinKind.Sealing => !first && (j.From.Key == pair.Key || j.To.Key == pair.Key),
                _ => first,
            }
        select Fit(order, j);

    /// <summary>After the second of two blocks is home: a fitting that slides into both.</summary>
    public static IEnumerable<WorkStep> After(WorkOrder order, Pair pair) =>
        from j in Joins(order)
        where
            j.Join.Kind == JoinKind.Sliding
            && FirstOf(order, j.From, j.To).Key != pair.Key
            && (j.From.Key == pair.Key || j.To.Key == pair.Key)
        select Fit(order, j);

    /// <summary>The steps of a block; where it came down onto a sealing fitting, the seal is turned with its screws.</summary>
    public static IEnumerable<WorkStep> Sealed(WorkOrder order, Pair pair, IEnumerable<WorkStep> steps)
    {
        var seals = Joins(order)
            .Where(j =>
                j.Join.Kind == JoinKind.Sealing
                && FirstOf(order, j.From, j.To).Key != pair.Key
                && (j.From.Key == pair.Key || j.To.Key == pair.Key)
            )
            .Select(j => j.Join.Id)
            .ToList();
        return seals.Count == 0
            ? steps
            : steps.Select(s =>
                s.Kind == StepKind.Turn
                    ? s with
                    {
                        Detail = Message.Join([
                            s.Detail ?? Message.Empty,
                            BridgingWords.TurnSealWithScrews(string.Join(" and ", seals)),
                        ]),
                    }
                    : s
            );
    }

    private static WorkStep Fit(WorkOrder order, (Pair From, Join Join, Pair To) j) =>
        new()
        {
            Id = new(Station.Mount, order.ScopeOf(j.From), $"join-{j.Join.Id}"),
            Kind = StepKind.Fit,
            Board = BoardOf(order, j.From),
            Pair = j.From.Key,
            Title = BridgingWords.JoinAndByFittingPort(
                order.Name(j.From),
                order.Name(j.To),
                j.Join.Id,
                j.Join.Port,
                j.Join.To.Port
            ),
            Detail = j.Join.Kind switch
            {
                JoinKind.Sliding => BridgingWords.SlideIntoBothPorts(j.Join.LengthMm, j.Join.TolMm),
                JoinKind.Sealing => BridgingWords.StandOnTheBlockThatIsHome(j.Join.LengthMm, j.Join.TolMm),
                _ => BridgingWords.InThisOrder(j.Join.Port, j.Join.LengthMm, j.Join.TolMm),
            },
            Caution = BridgingWords.ORingThatRollsLeaksLater,
            Done = BridgingWords.JoinedBothRingsSeated,
            Facts =
            [
                new("2", "O-rings"),
                new(FormattableString.Invariant($"{j.Join.LengthMm:0.0} mm"), "port to port"),
            ],
        };

    /// <summary>Once all screws are home.</summary>
    public static IEnumerable<WorkStep> Steps(WorkOrder order) =>
        from j in Joins(order)
        let screws = j.From.Block.Plates.Concat(j.To.Block.Plates).Sum(p => p.Holes.Count)
        select new WorkStep
        {
            Id = new(Station.Mount, order.ScopeOf(j.From), $"even-{j.Join.Id}"),
            Kind = StepKind.Look,
            Board = BoardOf(order, j.From),
            Pair = j.From.Key,
            Title = BridgingWords.EvenScrewsOfAndAgainstEach(screws, order.Name(j.From), order.Name(j.To)),
            Detail = BridgingWords.JoinedBlockThatIsLowerPulls,
            Done = BridgingWords.SquareToBoth,
            Targets = [.. j.From.Block.Plates.Concat(j.To.Block.Plates).SelectMany(p => p.Holes).Select(h => h.Id)],
        };

    private static Pair FirstOf(WorkOrder order, Pair a, Pair b) =>
        order.Pairs.First(p => p.Key == a.Key || p.Key == b.Key);

    private static string BoardOf(WorkOrder order, Pair pair) =>
        pair.BoardKeys(order) is [var first, ..] ? first : order.First.Key;
}
