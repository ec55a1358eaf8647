using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Route;

namespace FaithfulBracket.Core.Mount;

/// <summary>Lower, start the screws, turn by turn to home, back plate, bracket, plugs.</summary>
public static class MountSteps
{
    public static StationPlan Of(JobContext c, JobPlan plan)
    {
        if (c.Block is not { } block)
            return new(Station.Mount, "waits for a block", true, []);
        var back = block.BackPlate;
        var holes = block.Plates.SelectMany(p => p.Holes).ToList();
        var all = c.Way("back-plate-screws") == "all";
        var first = holes.Where(h => all || back?.UsesHoles.Contains(h.Id) != true).ToList();
        var held = holes.Where(h => back?.UsesHoles.Contains(h.Id) == true).ToList();
        var order = plan.Tightening is { } t
            ? [.. t.Order.Select(id => first.First(h => h.Id == id))]
            : ScrewOrder.Of(first);
        var number = order
            .Concat(ScrewOrder.Of([.. held.Except(first)]))
            .Select((h, i) => (h.Id, i: i + 1))
            .ToDictionary(x => x.Id, x => x.i);
        var boardFirst = c.Way("who-moves") == "board";
        var driver = (BlockHole h) => block.Kit?.Screws.FirstOrDefault(s => s.Thread == h.Thread)?.Driver ?? "PH1";
        List<WorkStep> steps =
        [
            new()
            {
                Id = "mount.lower",
                Station = Station.Mount,
                Done = "Lowered, holes line up",
                Face = boardFirst ? Face.Back : Face.Front,
                Title = boardFirst
                    ? "Lower the board onto the block, holes visible from above"
                    : "Lower the block onto the board",
                Detail = "Line up before contact: sliding smears paste and drags pads. Leads routed out from under.",
                Caution =
                    c.Way("pressing") == "light"
                        ? "Press lightly over the die only, never on a corner."
                        : "Do not press down while screwing.",
            },
            new()
            {
                Id = "mount.start",
                Station = Station.Mount,
                Done = $"All {first.Count} started",
                Face = boardFirst ? Face.Back : Face.Front,
                Title = $"Start {first.Count} screws loose{Washers(first)}",
                Detail =
                    held.Count > 0 && !all
                        ? $"Leave {held.Count} out: {string.Join(", ", held.Select(h => h.Id))} hold the back plate."
                        : "No thread may bite yet; a screw that binds is crossed: back it out.",
                Targets = [.. first.Select(h => h.Id)],
                Driver = first.Count > 0 ? driver(first[0]) : null,
                Count = first.Count,
                Facts =
                [
                    new($"{first.Count}", "screws"),
                    .. held.Count > 0 && !all ? new[] { new Fact($"{held.Count}", "stay out") } : [],
                ],
            },
        ];
        if (plan.Tightening is { } tightening)
            steps.AddRange(
                tightening.Moves.Select(
                    (m, i) => Turn(m, i, order, number, tightening, driver, boardFirst, c.Way("tightness") == "grip")
                )
            );
        else
            steps.AddRange(order.Select(h => Plain(h, number[h.Id], driver(h), boardFirst, "home")));
        if (back is not null)
        {
            steps.Add(
                new()
                {
                    Id = "mount.back-plate",
                    Station = Station.Mount,
                    Done = $"Back plate on, {held.Count} screws",
                    Face = Face.Back,
                    Title = all
                        ? $"Take {held.Count} screws out again, set the back plate with its pads, and put them through it"
                        : $"Set the back plate with its pads and {held.Count} screws, started loose, then firm",
                    Detail = "Its own pads and washers; nothing may short.",
                    Caution = "A back plate that touches a lead or a pin is a short circuit.",
                    Targets = [.. held.Select(h => h.Id)],
                    Count = held.Count,
                }
            );
        }
        if (block.BracketSlots is not null && c.Board.Slots is not null)
            steps.Add(
                new()
                {
                    Id = "mount.bracket",
                    Station = Station.Mount,
                    Done = "Bracket on",
                    Title = $"Fit the {(block.BracketSlots == 1 ? "1 slot" : $"{block.BracketSlots} slot")} bracket",
                }
            );
        var open = Math.Max(0, block.Ports.Count - 2);
        if (open > 0)
            steps.Add(
                new()
                {
                    Id = "mount.plugs",
                    Station = Station.Mount,
                    Done = $"{open} {(open == 1 ? "port" : "ports")} plugged",
                    Title = $"Plug {open} unused {(open == 1 ? "port" : "ports")}",
                    Detail = "Fingers or a plastic tool, O-ring seated.",
                    Count = open,
                }
            );
        if (block.Headers.Count > 0)
            steps.Add(
                new()
                {
                    Id = "mount.headers",
                    Station = Station.Mount,
                    Done = "Lead plugged",
                    Title = $"Plug the {string.Join(" and ", block.Headers)} lead, polarity checked",
                    Caution = "A lighting plug the wrong way round kills the strip.",
                }
            );
        var turns = plan.Tightening?.RecommendedTurns;
        return new(
            Station.Mount,
            $"{first.Count} screws{(turns is { } x ? $", {TurnWords(x)} at a time" : "")}",
            false,
            steps
        );
    }

    private static WorkStep Turn(
        TighteningMove m,
        int index,
        IReadOnlyList<BlockHole> order,
        Dictionary<string, int> number,
        TighteningResult t,
        Func<BlockHole, string> driver,
        bool fromBack,
        bool grip
    )
    {
        var hole = order.First(h => h.Id == m.Hole);
        var last = !t.Moves.Skip(index + 1).Any(x => x.Hole == m.Hole);
        return Plain(
            hole,
            number[m.Hole],
            driver(hole),
            fromBack,
            last && m.Turns < t.RecommendedTurns - 1e-6 ? $"{Degrees(m.Turns)}, {Home(hole, grip)}"
                : last ? $"{TurnWords(m.Turns)}, {Home(hole, grip)}"
                : TurnWords(m.Turns)
        ) with
        {
            Id = $"mount.turn-{m.Pass}-{m.Hole}",
            Detail = $"Pass {m.Pass} of {t.Passes}, {RingName(hole)}.",
            Done = last ? "Home" : "Turned",
            Turn = new(
                m.Turns * 360,
                t.Moves.Take(index).LastOrDefault(x => x.Hole == m.Hole)?.TorqueNm ?? 0,
                last && hole.TargetNm is { } target ? target : m.TorqueNm
            ),
            Facts =
            [
                new(driver(hole), DriverNames.Of(driver(hole))),
                new(Degrees(m.Turns), FormattableString.Invariant($"{m.AdvanceMm:0.00} mm in")),
                new(FormattableString.Invariant($"{m.LoadN:0} N"), last ? "at home" : "afterwards"),
                new(
                    FormattableString.Invariant($"{m.TiltDeg:0.00}°"),
                    FormattableString.Invariant($"tilt, fine to {t.TiltLimitDeg:0.0}")
                ),
            ],
        };
    }

    /// <summary>What ends this screw: its torque, its stop, or grip and a little more.</summary>
    private static string Home(BlockHole hole, bool grip) =>
        hole.TargetNm is { } nm ? FormattableString.Invariant($"to {nm:0.0#} N·m")
        : hole.Finish is "stop" or null && !grip ? "home"
        : hole.Finish == "light" ? "light, no further"
        : "until it grips, then an eighth turn";

    private static WorkStep Plain(BlockHole hole, int number, string driver, bool fromBack, string turn) =>
        new()
        {
            Id = $"mount.home-{hole.Id}",
            Station = Station.Mount,
            Title = $"Screw {number}, {Where(hole.At, fromBack)}: {turn}",
            Caution = "Do not press down on the block. Stop if the board bends.",
            Done = "Turned",
            Face = fromBack ? Face.Back : Face.Front,
            Targets = [hole.Id],
            Driver = driver,
            Facts = [new(driver, DriverNames.Of(driver))],
        };

    /// <summary>The place as it is seen: left and right swap on the back.</summary>
    private static string Where(Point2 at, bool fromBack)
    {
        var x = fromBack ? -at.X : at.X;
        var vertical =
            Math.Abs(at.Y) < 8 ? ""
            : at.Y > 0 ? "above"
            : "below";
        var side =
            Math.Abs(x) < 8 ? ""
            : x > 0 ? "right"
            : "left";
        var words = string.Join(" and ", new[] { vertical, side }.Where(w => w.Length > 0));
        return words.Length == 0 ? "at the die"
            : words is "left" or "right" ? $"{words} of the die"
            : side.Length > 0 ? $"{words} of the die"
            : $"{words} the die";
    }

    private static string RingName(BlockHole hole) =>
        ScrewOrder.Ring(hole) == 1
            ? "die ring"
            : hole.Role switch
            {
                HoleRole.Bracket => "bracket",
                _ => "outward",
            };

    private static string Washers(List<BlockHole> holes) =>
        holes.Select(h => h.Washer).OfType<string>().Distinct().ToList() is { Count: > 0 } w
            ? $", {string.Join(" and ", w)} washer to the board"
            : "";

    private static string Degrees(double turns) => FormattableString.Invariant($"{turns * 360:0}°");

    internal static string TurnWords(double turns) =>
        turns switch
        {
            0.125 => "an eighth turn",
            0.25 => "a quarter turn",
            0.5 => "half a turn",
            0.75 => "three quarters of a turn",
            1 => "one turn",
            1.5 => "one and a half turns",
            2 => "two turns",
            _ => Degrees(turns),
        };
}
