using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>Why something does not go back as it was.</summary>
public enum CannotCode
{
    /// <summary>It does not exist any more.</summary>
    Destroyed,

    /// <summary>It was pressed once; a new one takes its place.</summary>
    UsedUp,

    /// <summary>What it rested on is gone, or it is given up by being opened.</summary>
    Voided,
}

/// <summary>Something that cannot go back as it was.</summary>
/// <param name="Instead">What takes its place; null for nothing.</param>
public sealed record Cannot(ThingId Thing, CannotCode Code, ThingId? Instead = null);

/// <summary>The way back to stock, from the bench as it stands.</summary>
/// <param name="Scene">The things of the way.</param>
/// <param name="Start">What stands before its first step.</param>
public sealed record BackPlan(
    IReadOnlyList<WorkStep> Steps,
    IReadOnlyList<Cannot> Cannot,
    Scene Scene,
    BenchState Start
)
{
    /// <summary>The plan with the way back from what its signed steps made of the bench.</summary>
    /// <param name="signed">Null for all of them.</param>
    public static JobPlan Onto(
        WorkOrder order,
        JobPlan plan,
        IReadOnlyList<AsFoundPad> asFound,
        IReadOnlySet<StepId>? signed = null
    )
    {
        // what nobody described cannot be put back
        if (plan.Teardown.Boards.Count == 0)
            return plan;
        var back = Create(
            order,
            plan,
            BenchScene.Create(order, plan),
            asFound,
            signed is null ? null : [.. plan.Steps.Where(s => signed.Contains(s.Id))]
        );
        // nor need what nobody has touched
        var untouched = back.Steps.All(s => s.Kind is StepKind.PowerOff or StepKind.Run);
        return plan with
        {
            Care = plan.Care with
            {
                Restore = untouched ? [] : back.Steps,
                Lost = LostWords.Describe(order, back.Cannot),
            },
        };
    }

    /// <param name="order">As it is planned.</param>
    /// <param name="plan">With the acts of every step.</param>
    /// <param name="scene">The bench on the way there.</param>
    /// <param name="done">Steps that were done, in working order; null for all of them.</param>
    /// <param name="keep">What stays as it is.</param>
    public static BackPlan Create(
        WorkOrder order,
        JobPlan plan,
        Scene scene,
        IReadOnlyList<AsFoundPad> asFound,
        IReadOnlyList<WorkStep>? done = null,
        IReadOnlyList<ThingId>? keep = null
    )
    {
        done ??= [.. plan.Steps];
        var stands = BenchWalk.After(scene, BenchState.Create(scene), done.SelectMany(s => s.Acts));
        var contacts = StockContacts.Find(order, asFound);
        var kept = (keep ?? []).ToHashSet();
        var cannot = Lost(order, plan, scene, stands, contacts, kept);
        var gone = cannot
            .Where(c => c.Code == CannotCode.Voided && c.Thing.Kind != ThingKind.Screws)
            .Select(c => c.Thing)
            .ToHashSet();
        gone.UnionWith(With(scene, gone));
        gone.UnionWith(kept);
        var back = BackScene.Create(order, scene, stands, contacts, gone);
        var start = BackScene.Start(back, stands);
        return new(
            WalkLocks.On(back, start, new BackSteps(order, plan, back, start, done, contacts, gone, kept).All()),
            cannot,
            back,
            start
        );
    }

    private static List<Cannot> Lost(
        WorkOrder order,
        JobPlan plan,
        Scene scene,
        BenchState stands,
        IReadOnlyList<StockContact> contacts,
        HashSet<ThingId> kept
    )
    {
        var cannot = new List<Cannot>();
        foreach (var seat in plan.Seats)
        {
            var at = new SeatThings(seat);
            if (scene.Find(at.Lid) is null || stands.Is(at.Lid, Condition.On))
                continue;
            // what pressed the lid has nothing to press; the clamp held the package by its lid
            cannot.Add(new(at.Lid, CannotCode.Destroyed, at.Frame));
            cannot.Add(new(at.Clamp, CannotCode.Voided, at.Frame));
            cannot.AddRange(
                OnLid(order.Find(seat.Board)!)
                    .Select(id => new Cannot(BenchScene.Id.Piece(seat.Board, id), CannotCode.Voided))
            );
        }
        // what a kept block covers is not covered twice
        var under = scene
            .Things.Where(t => t.Id.Kind == ThingKind.Plate && kept.Contains(new(ThingKind.Block, t.Id.Owner)))
            .SelectMany(t => t.Closes)
            .ToHashSet();
        cannot.AddRange(
            contacts.Where(c => c.Faces.Any(under.Contains)).Select(c => new Cannot(c.Piece, CannotCode.Voided))
        );
        var lost = cannot.Select(c => c.Thing).ToHashSet();
        cannot.AddRange(
            contacts
                .Where(c => !lost.Contains(c.Piece) && !stands.Is(c.Piece, Condition.On))
                .SelectMany(c => c.Pads)
                .DistinctBy(p => p.Pad)
                .Select(p => new Cannot(p.Pad, CannotCode.UsedUp, p.Pad))
        );
        cannot.AddRange(
            from piece in TeardownStation.Pieces(order)
            from screws in piece.Board.Assembly!.Fasteners
            where screws.Seal
            let id = BenchScene.Id.Screws(TeardownStation.BoardOf(order, piece, screws.Id), screws.Id)
            where !stands.Is(id, Condition.Home)
            select new Cannot(id, CannotCode.Voided)
        );
        return [.. cannot.DistinctBy(c => c.Thing)];
    }

    /// <summary>Stock pieces that press the lid of a processor.</summary>
    private static IEnumerable<string> OnLid(Workpiece piece)
    {
        var own = piece
            .Seated!.Processor.Parts.Where(p => p.Kind == PartKind.Lid)
            .Select(p => SeatedBoard.NameOn(piece.Seated, p.Id))
            .ToHashSet();
        return piece.Board.Assembly is { } stock
            ? stock
                .Bonds.Where(b => b.Parts.Any(own.Contains))
                .SelectMany(b => b.Between)
                .Where(b => stock.Pieces.Any(p => p.Id == b))
                .Distinct()
            : [];
    }

    /// <summary>Screws and leads that hold or tie nothing but what cannot go back.</summary>
    private static IEnumerable<ThingId> With(Scene scene, HashSet<ThingId> gone) =>
        scene
            .Things.Where(t =>
                t.Id.Kind is ThingKind.Screws or ThingKind.Lead && t.Holds.Count > 0 && t.Holds.All(gone.Contains)
            )
            .Select(t => t.Id)
            .ToList();
}
