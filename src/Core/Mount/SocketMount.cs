using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

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
            Title = FormattableString.Invariant(
                $"Block straight down over its posts, turned {seat.TurnDeg:0}°, no sliding"
            ),
            Feel =
                $"It comes down level over its {(seat.Bare ? "studs" : "posts")} and rests by its own weight; it does not rock.",
            Detail = seat.Way is { } way
                ? $"{SeatedMatch.Ports(way)}. {Inlet()}Once it touches it stays: sliding smears the {(seat.Bare ? "metal" : "paste")}."
                : step.Detail,
            Caution = seat.Bare ? "Bare silicon: level all the way, no corner runs ahead, no knock." : step.Caution,
        };

    private string Inlet() =>
        seat.InletTurnDeg is not { } inlet ? ""
        : inlet == seat.TurnDeg ? "Only this way round does the inlet lie over the hot dies. "
        : FormattableString.Invariant($"The inlet lies over the hot dies at {inlet:0}°, not so. ");

    private WorkStep Start(WorkStep step) =>
        step with
        {
            Picture = StepPicture.Grip,
            Feel =
                $"Each {Turned(seat).ToLowerInvariant()} turns two rounds with the fingers. One that binds is crossed: back it out.",
            Title = seat.Bare
                ? $"Springs on, {step.Count} studs just gripping"
                : $"Springs and nuts on, {step.Count} just "
                    + $"gripping{(seat.Match.Shims.Count > 0 ? ", a washer under each spring" : "")}",
            Detail = seat.Bare
                ? "From behind they turn the other way: anticlockwise there is in. How far the tips stand out tells how much is left."
                : "A washer may be stuck inside a nut. None firm until all grip.",
            Facts =
                seat.Match.Shims.Count > 0
                    ? [.. step.Facts, new(Shims.InWords(seat.Match.Shims), "washer under each spring")]
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
                : seat.Bare ? "No corner runs ahead: one turned home first lifts the others and chips a die."
                : "By equal turns to the stop; stop if the board bends.",
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
                    seat.Bare ? "of tip still to come" : "still to go"
                ),
            ],
        };
    }

    /// <summary>The mainboard on its tray, the memory in.</summary>
    public IEnumerable<WorkStep> Close()
    {
        WorkStep Step(string target, StepKind kind, string title, string detail, string caution, string done) =>
            SeatSteps.Of(order, seat, Station.Mount, target, kind, title, detail, done) with
            {
                Caution = caution,
            };
        yield return Step(
            "tray",
            StepKind.Fasten,
            "Board on its tray: outer corners first, all loose, then firm",
            "Every standoff under a hole, none where there is no hole.",
            "A standoff in the wrong place is a short circuit.",
            "Board is firm"
        ) with
        {
            Feel = "Every screw finds its standoff at once; the board does not bow between them.",
            Acts = [new(Bench.Verb.Insert, new(Bench.ThingKind.Board, seat.Board))],
        };
        yield return Step(
            "memory",
            StepKind.Fit,
            "Memory into the slots the manual names for this many modules",
            "Both levers open, straight down until they close by themselves.",
            "Do not press on the block to hold the board.",
            "Memory is in"
        ) with
        {
            Feel = "Both ends click, the levers stand upright, the edge is level.",
        };
    }
}
