using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Mount on a socket: the same steps as anywhere, in the words of posts, springs and nuts.</summary>
internal sealed class SocketMount(WorkOrder order, SeatPlan seat, Ways ways)
{
    /// <summary>What is turned, as a step says it.</summary>
    public static string Turned(SeatPlan? seat) =>
        seat is null ? "Screw"
        : seat.Bare ? "Stud"
        : "Nut";

    /// <param name="steps">As the screws of any block are turned.</param>
    public IEnumerable<WorkStep> Over(IReadOnlyList<WorkStep> steps, TighteningResult? tightening)
    {
        foreach (var step in steps)
            yield return step.Kind switch
            {
                StepKind.Lower => Lower(step),
                StepKind.Start => Start(step),
                StepKind.Turn => Turn(step, tightening),
                _ => step,
            };
    }

    private WorkStep Lower(WorkStep step) =>
        step with
        {
            Title = SocketMountWords.BlockStraightDownOverPostsTurned(seat.TurnDeg),
            Feel = SocketMountWords.ItComesDownLevel(seat.Bare ? "studs" : "posts"),
            Detail = seat.Way is { } way
                ? SocketMountWords.OnceItTouchesItStays(SeatedMatch.Ports(way), Inlet(), seat.Bare ? "metal" : "paste")
                : step.Detail,
            Caution = seat.Bare ? SocketMountWords.BareSiliconChipsEasily : step.Caution,
        };

    private string Inlet() =>
        seat.InletTurnDeg is not { } inlet ? ""
        : inlet == seat.TurnDeg ? SocketMountWords.OnlyThisWayRoundDoesInlet
        : SocketMountWords.InletLiesOverHotDies(inlet);

    private WorkStep Start(WorkStep step) =>
        step with
        {
            Picture = StepPicture.Grip,
            Feel = SocketMountWords.EachTurnsTwoRoundsWithFingers(Turned(seat).ToLowerInvariant()),
            Title = seat.Bare
                ? SocketMountWords.SpringsOnStudsJustGripping(step.Count)
                : SocketMountWords.SpringsAndNutsOnJustGripping(
                    step.Count,
                    seat.Match.Shims.Count > 0 ? SocketMountWords.AndWasherUnderEachSpring : ""
                ),
            Detail = seat.Bare
                ? SocketMountWords.FromBehindTheyTurnOtherWay
                : SocketMountWords.WasherMayBeStuckInsideNut,
            Facts =
                seat.Match.Shims.Count > 0
                    ? [.. step.Facts, new(Shims.InWords(seat.Match.Shims), SocketMountWords.WasherUnderEachSpring)]
                    : step.Facts,
        };

    private WorkStep Turn(WorkStep step, TighteningResult? tightening)
    {
        var byThumb = ways.NutsBy == NutsBy.Thumb && !seat.Bare;
        var words = step with
        {
            Driver = byThumb ? null : step.Driver,
            Turns = byThumb ? [.. step.Turns.Select(t => t with { Driver = null })] : step.Turns,
            Caution =
                step.Pass != 1 ? step.Caution
                : seat.Bare ? SocketMountWords.TightenAllCornersEvenly
                : SocketMountWords.TurnEachBySameAmount,
        };
        if (tightening is null)
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
                    seat.Bare ? SocketMountWords.OfTipStillToCome : "still to go"
                ),
            ],
        };
    }

    /// <summary>The mainboard on its tray, the memory in.</summary>
    public IEnumerable<WorkStep> Close()
    {
        WorkStep Step(string target, StepKind kind, string title, string detail, string caution, string done) =>
            SeatSteps.Create(order, seat, Station.Mount, target, kind, title, detail, done) with
            {
                Caution = caution,
            };
        yield return Step(
            "tray",
            StepKind.Fasten,
            SocketMountWords.BoardOnTray,
            SocketMountWords.EveryStandoffUnderHoleNone,
            SocketMountWords.StandoffInWrongPlaceIsShort,
            "Board is firm"
        ) with
        {
            Feel = SocketMountWords.EveryScrewFindsStandoffAtOnce,
            Acts = [new(Bench.Verb.Insert, new(Bench.ThingKind.Board, seat.Board))],
        };
        yield return Step(
            "memory",
            StepKind.Fit,
            SocketMountWords.MemoryIntoSlotsManualNames,
            SocketMountWords.BothLeversOpenStraightDown,
            SocketMountWords.DoNotPressOnBlock,
            "Memory is in"
        ) with
        {
            Feel = SocketMountWords.BothEndsClickLeversStandUpright,
        };
    }
}
