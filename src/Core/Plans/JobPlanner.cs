using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Prep;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans;

/// <summary>Calculates the nine stations of a job from its order, the drawer and its readings.</summary>
public static class JobPlanner
{
    /// <exception cref="OperationCanceledException">The caller left.</exception>
    public static JobPlan Plan(JobContext c, CancellationToken cancel = default)
    {
        var (order, evidence) = WithEvidence(c);
        var context = Context(c, order, cancel);
        var earlier = EarlierResults.None.With(SeatPlans.Compute(order, c.Drawer, c.Shop, c.PasteId, cancel));
        TResult Keep<TResult>(TResult result)
            where TResult : class
        {
            earlier = earlier.With(result);
            return result;
        }
        TResult Next<TResult>(IStation<TResult> station)
            where TResult : class => Keep(station.Plan(context, earlier));
        var match = Keep(SeatedMatch.With(order, new MatchStation().Plan(context, earlier), earlier.Seats()));
        var teardown = Next(new TeardownStation { Chosen = c.TeardownOrder });
        var prep = Next(new PrepStation());
        var pads = Next(new PadsStation { Choices = c.PadChoices, Begun = c.Begun });
        var paste = Next(new PasteStation());
        var mount = Next(new MountStation());
        var loop = OrderLoop.Compute(order, match, context.Ways, c.Shop);
        if (loop is not null)
            Keep(loop);
        var volume = LoopVolume.Compute(order, c.Shop);
        if (volume is not null)
            Keep(volume);
        var prove = Next(
            new ProveStation
            {
                Readings = c.Readings,
                Plates = c.Plates,
                ComplainedOf = c.Complaint,
            }
        );
        return Walked(
            order,
            c.Drawer,
            new()
            {
                Match = match,
                Kit = Next(new KitStation { Needs = Needs(order, pads, paste, context.Paste?.Id, match, volume) }),
                Teardown = teardown,
                Prep = prep,
                Pads = pads,
                Paste = paste,
                Mount = mount,
                Prove = prove,
                Care = Next(new CareStation()),
                Seats = earlier.Seats(),
                Loop = loop,
                Evidence = evidence,
                Schools = Schools.For(order),
                Troubles = [.. teardown.Troubles, .. pads.Troubles, .. mount.Troubles],
            },
            cancel
        );
    }

    private static PlanContext Context(JobContext c, WorkOrder order, CancellationToken cancel) =>
        new()
        {
            Order = order,
            Shop = c.Shop,
            Drawer = c.Drawer,
            Ways = Ways.From(order, c.Ways),
            PasteId = c.PasteId,
            Cancel = cancel,
        };

    /// <summary>The plan with the acts of every step.</summary>
    private static JobPlan Walked(WorkOrder order, Drawer drawer, JobPlan plan, CancellationToken cancel)
    {
        var scene = BenchScene.Create(order, plan);
        var (acted, beyond) = StepActs.On(order, plan, scene, cancel);
        var walked = new Queue<WorkStep>(WalkLocks.On(scene, BenchState.Create(scene), acted));
        StationPlan On(StationPlan sheet) => sheet with { Steps = [.. sheet.Steps.Select(_ => walked.Dequeue())] };
        plan = plan with
        {
            Match = plan.Match with { Sheet = On(plan.Match.Sheet) },
            Kit = plan.Kit with { Sheet = On(plan.Kit.Sheet) },
            Teardown = plan.Teardown with { Sheet = On(plan.Teardown.Sheet) },
            Prep = plan.Prep with { Sheet = On(plan.Prep.Sheet) },
            Pads = plan.Pads with { Sheet = On(plan.Pads.Sheet) },
            Paste = plan.Paste with { Sheet = On(plan.Paste.Sheet) },
            Mount = plan.Mount with { Sheet = On(plan.Mount.Sheet) },
            Prove = plan.Prove with { Sheet = On(plan.Prove.Sheet) },
            Care = plan.Care with { Sheet = On(plan.Care.Sheet) },
            Troubles = [.. plan.Troubles, .. beyond],
        };
        return plan with { Kit = KitStation.With(plan.Kit, order, drawer, [.. plan.Steps]) };
    }

    /// <summary>What one pair of a job rests on: for the questions that change nothing.</summary>
    /// <returns>Null while no block is chosen, no paste is known, or the block cannot come to rest.</returns>
    public static PairPads? Seated(JobPlan plan, string? pair = null, string? board = null) =>
        plan.Pads.Pairs.FirstOrDefault(p =>
            (pair is null || p.Pair == pair)
            && (board is null || p.Board == board)
            && p is { Stack: not null, Seating: not null }
        );

    /// <summary>What each way of cutting costs this job, nothing cut yet; those of the plan first.</summary>
    /// <param name="plan">Calculated from the same context.</param>
    public static IReadOnlyList<CutWeight> WeighCuts(JobContext c, JobPlan plan, CancellationToken cancel = default)
    {
        var (order, _) = WithEvidence(c);
        var context = Context(c, order, cancel);
        var earlier = EarlierResults.None.With(plan.Match);
        var pads = new PadsStation { Choices = c.PadChoices };
        return CutWeight.Compute(
            way => pads.Plan(context with { Ways = context.Ways with { Cut = way } }, earlier),
            context.Ways.Cut
        );
    }

    /// <summary>Part heights as the stock pads tell them stand in for those of the documents.</summary>
    private static (WorkOrder Order, IReadOnlyList<BoardEvidence> Evidence) WithEvidence(JobContext c)
    {
        if (c.AsFound.Count == 0)
            return (c.Order, []);
        var first = c.Order.First.Key;
        var told = c
            .Order.Pieces.Select(p =>
            {
                var (board, parts) = StockEvidence.Apply(
                    p.Board,
                    [.. c.AsFound.Where(f => (f.Board ?? first) == p.Key)],
                    springBack: c.Shop.SpringBack
                );
                return (Piece: p with { Board = board }, Parts: parts);
            })
            .ToList();
        return (
            c.Order with
            {
                Pieces = [.. told.Select(t => t.Piece)],
            },
            [.. told.Where(t => t.Parts.Count > 0).Select(t => new BoardEvidence(t.Piece.Key, t.Parts))]
        );
    }

    /// <summary>What is used up, so that the kit can be counted before the first screw.</summary>
    private static KitNeeds Needs(
        WorkOrder order,
        PadsResult pads,
        PasteResult paste,
        string? pasteId,
        MatchResult match,
        LoopVolume? volume
    ) =>
        new(
            [
                .. pads.Pads.Select(p => new PadNeed(p.ThicknessMm, p.Material, p.WidthMm * p.DepthMm)),
                .. pads
                    .Pieces.Where(p => p.Where is not null)
                    .Select(p => new PadNeed(p.ThicknessMm, p.Material, p.WidthMm * p.DepthMm)),
            ],
            paste.MassG,
            pasteId
        )
        {
            Sinks =
            [
                .. StuckSinks.Find(match).Select(s => new SinkNeed(s.Sink.WidthMm, s.Sink.DepthMm, s.Sink.HeightMm)),
            ],
            CoolantMl = volume?.TotalMl ?? 0,
            SinksMissing = StuckSinks.Missing(order, match).Count,
        };
}
