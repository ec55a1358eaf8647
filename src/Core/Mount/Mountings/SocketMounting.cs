using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Mount.Mountings;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <summary>Mount on a socket: the same steps as anywhere, in the words of posts, springs and nuts.</summary>
internal sealed class SocketMounting(MountedPair at, SeatPlan seat) : ScrewedMounting(at)
{
    public override string Turned => seat.Bare ? "Stud" : "Nut";

    public override IEnumerable<WorkStep> Steps() =>
        base.Steps()
            .Select(step =>
                step.Kind switch
                {
                    StepKind.Lower => Lower(step),
                    StepKind.Start => Start(step),
                    StepKind.Turn => Turn(step),
                    _ => step,
                }
            );

    private WorkStep Lower(WorkStep step) =>
        step with
        {
            Title = SocketMountingWords.BlockStraightDownOverPostsTurned(seat.TurnDeg),
            Feel = SocketMountingWords.ItComesDownLevel(seat.Bare ? "studs" : "posts"),
            Detail = seat.Way is { } way
                ? SocketMountingWords.OnceItTouchesItStays(
                    SeatedMatch.Ports(way),
                    Inlet(),
                    seat.Bare ? "metal" : "paste"
                )
                : step.Detail,
            Caution = seat.Bare ? SocketMountingWords.BareSiliconChipsEasily : step.Caution,
        };

    private string Inlet() =>
        seat.InletTurnDeg is not { } inlet ? ""
        : inlet == seat.TurnDeg ? SocketMountingWords.OnlyThisWayRoundDoesInlet
        : SocketMountingWords.InletLiesOverHotDies(inlet);

    private WorkStep Start(WorkStep step) =>
        step with
        {
            Picture = StepPicture.Grip,
            Feel = SocketMountingWords.EachTurnsTwoRoundsWithFingers(Turned.ToLowerInvariant()),
            Title = seat.Bare
                ? SocketMountingWords.SpringsOnStudsJustGripping(step.Count)
                : SocketMountingWords.SpringsAndNutsOnJustGripping(
                    step.Count,
                    seat.Match.Shims.Count > 0 ? SocketMountingWords.AndWasherUnderEachSpring : ""
                ),
            Detail = seat.Bare
                ? SocketMountingWords.FromBehindTheyTurnOtherWay
                : SocketMountingWords.WasherMayBeStuckInsideNut,
            Facts =
                seat.Match.Shims.Count > 0
                    ? [.. step.Facts, new(Shims.InWords(seat.Match.Shims), SocketMountingWords.WasherUnderEachSpring)]
                    : step.Facts,
        };

    private WorkStep Turn(WorkStep step)
    {
        var byThumb = At.Ways.NutsBy != NutsBy.Driver && !seat.Bare;
        var hands = byThumb && At.Ways.NutsBy == NutsBy.TwoThumbs ? Opposite.InOrder(Sequence) : null;
        var words = step with
        {
            Driver = byThumb ? null : step.Driver,
            Turns = byThumb ? [.. step.Turns.Select(t => With(t, step, hands) with { Driver = null })] : step.Turns,
            Detail = hands is null ? step.Detail : SocketMountingWords.TwoOppositeNutsAtOnce(Numbers(step, hands)),
            Caution =
                step.Pass != 1 ? step.Caution
                : seat.Bare ? SocketMountingWords.TightenAllCornersEvenly
                : SocketMountingWords.TurnEachBySameAmount,
        };
        if (At.Tightening is not { } tightening)
            return words;
        var left = tightening
            .Moves.Where(m => m.Pass > step.Pass)
            .GroupBy(m => m.Hole)
            .Select(g => g.Sum(m => m.AdvanceMm));
        return words with
        {
            // the driver is shown at each screw
            Facts =
            [
                .. words.Facts.SkipWhile(f => f.Value == step.Driver),
                new(
                    FormattableString.Invariant($"{left.DefaultIfEmpty(0).Max():0.0} mm"),
                    seat.Bare ? SocketMountingWords.OfTipStillToCome : "still to go"
                ),
            ],
        };
    }

    private static int? Number(WorkStep step, BlockHole hole) =>
        step.Turns.FirstOrDefault(t => t.Hole == hole.Id)?.Number;

    /// <summary>"1 with 2, then 3 with 4".</summary>
    private static string Numbers(WorkStep step, IReadOnlyList<IReadOnlyList<BlockHole>> hands) =>
        string.Join(", then ", hands.Select(h => $"{Number(step, h[0])} with {Number(step, h[1])}"));

    /// <summary>A nut with the number of the one that is turned at the same time.</summary>
    private static ScrewTurn With(ScrewTurn turn, WorkStep step, IReadOnlyList<IReadOnlyList<BlockHole>>? hands) =>
        hands?.FirstOrDefault(h => h.Any(x => x.Id == turn.Hole))?.First(x => x.Id != turn.Hole) is { } other
            ? turn with
            {
                Facts = [.. turn.Facts, new($"{Number(step, other)}", "turned with it")],
            }
            : turn;

    /// <summary>The mainboard on its tray, the memory in.</summary>
    public static IEnumerable<WorkStep> Close(WorkOrder order, SeatPlan seat)
    {
        WorkStep Step(string target, StepKind kind, Message title, Message detail, Message caution, string done) =>
            SeatSteps.Create(order, seat, Station.Mount, target, kind, title, detail, done) with
            {
                Caution = caution,
            };
        yield return Step(
            "tray",
            StepKind.Fasten,
            SocketMountingWords.BoardOnTray,
            SocketMountingWords.EveryStandoffUnderHoleNone,
            SocketMountingWords.StandoffInWrongPlaceIsShort,
            "Board is firm"
        ) with
        {
            Feel = SocketMountingWords.EveryScrewFindsStandoffAtOnce,
            Acts = [new(Bench.Verb.Insert, new(Bench.ThingKind.Board, seat.Board))],
        };
        yield return Step(
            "memory",
            StepKind.Fit,
            SocketMountingWords.MemoryIntoSlotsManualNames,
            SocketMountingWords.BothLeversOpenStraightDown,
            SocketMountingWords.DoNotPressOnBlock,
            "Memory is in"
        ) with
        {
            Feel = SocketMountingWords.BothEndsClickLeversStandUpright,
        };
    }
}
