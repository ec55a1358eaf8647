using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Mount;
using FaithfulBracket.Core.Words.Mount.Mountings;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <content>Screws pass by pass, as the simulation turns them.</content>
internal partial class ScrewedMounting
{
    /// <summary>One pass over every screw, as the simulation makes it.</summary>
    private WorkStep PassOf(TighteningResult t, PassRounds round)
    {
        var (moves, pass) = (round.Moves, round.Pass);
        List<ScrewTurn> turns = [.. moves.Select(m => Screw(t, m, round.Each.Count(x => x.Hole == m.Hole)))];
        var strips = moves.Any(m => m.Strips);
        var hardest = moves.MaxBy(m => m.LoadN)!;
        return Pass($"turn-{pass}", turns, pass, round.Passes) with
        {
            Done = moves.All(m => m.Home) ? MemoryBridgeWords.AllHome : ScrewedMountingWords.AllTurned(turns.Count),
            Detail = PassWords.Order(turns),
            Caution =
                strips ? ScrewedMountingWords.StopBeforeScrewStrips
                : pass == 1 ? ScrewedMountingWords.DoNotPressDownOnBlock
                : null,
            Facts =
            [
                .. Drivers(turns),
                new(
                    ClampLoad.Figure(hardest.LoadN, hardest.HoldsN),
                    strips ? "the screw strips" : $"hardest {Thing} afterwards"
                ),
                new(
                    FormattableString.Invariant($"{moves.Max(m => m.TiltDeg):0.00}°"),
                    FormattableString.Invariant($"tilt (limit {t.TiltLimitDeg:0.0}°)")
                ),
            ],
            Once = [.. round.Each.Select(m => Id($"turn-{m.Pass}-{m.Hole}"))],
        };
    }

    private ScrewTurn Screw(TighteningResult t, TighteningMove m, int rounds)
    {
        var hole = _first.First(h => h.Id == m.Hole);
        var start = t.Moves.LastOrDefault(x => x.Hole == m.Hole && x.Pass <= m.Pass - rounds)?.MostTorqueNm ?? 0;
        var each = TurnWords.Format(m.Turns / rounds);
        var howFar =
            m.Home ? Home(hole)
            : rounds == 1 ? each
            : $"{each}, {rounds} times round";
        return new(hole.Id, _number[hole.Id], Thing, Where(hole), howFar)
        {
            Driver = Driver(hole),
            Target = new(
                m.Turns * 360,
                start,
                m.Home && hole.TargetNm is { } target ? target : m.MostTorqueNm,
                m.Strips ? m.MostTorqueNm : null
            ),
            Facts =
            [
                .. m.Home ? new[] { new Fact(TurnWords.Format(m.Turns), ScrewedMountingWords.AboutToEnd) } : [],
                new(
                    ClampLoad.Figure(m.LoadN, m.HoldsN),
                    m.Strips ? "the screw strips"
                        : m.Home ? "at home"
                        : "afterwards"
                ),
                new(FormattableString.Invariant($"{m.AdvanceMm:0.00} mm"), "further in"),
            ],
            Caution = m.Strips ? ScrewedMountingWords.ThisScrewStrips : null,
            Home = m.Home,
        };
    }

    /// <summary>Every screw home in its order, where no simulation says by how much at a time.</summary>
    private WorkStep Untold(string target, IReadOnlyList<BlockHole> holes) =>
        Pass(
            target,
            [.. holes.Select(h => new ScrewTurn(h.Id, _number[h.Id], Thing, Where(h), Home(h)) { Driver = Driver(h) })],
            1,
            1
        ) with
        {
            Title = ScrewedMountingWords.TurnHomeInOrderLittle(HowMany.Count(holes.Count, Thing), OfBlock),
            Detail = ScrewedMountingWords.NeverOneHomeBeforeOthers,
            Done = MemoryBridgeWords.AllHome,
            Caution = ScrewedMountingWords.DoNotPressDownOnBlock,
            Once = [.. holes.Select(h => Id($"home-{h.Id}"))],
        };

    private WorkStep Pass(string target, IReadOnlyList<ScrewTurn> turns, int pass, int passes) =>
        new()
        {
            Id = Id(target),
            Kind = StepKind.Turn,
            Board = _on.Board,
            Pair = _pair.Key,
            Title = OfThis(PassWords.Title(turns, pass, passes, h => RingName(_first.First(x => x.Id == h)))),
            Done = ScrewedMountingWords.AllTurned(turns.Count),
            Pass = pass,
            Passes = passes,
            Feel = PassWords.Feel(pass == passes),
            Face = Seen,
            Targets = [.. turns.Select(t => t.Hole)],
            Turns = turns,
            Driver = turns[0].Driver,
            Count = turns.Count,
            Counted = CountOf.Screws,
            Facts = [.. Drivers(turns)],
        };

    private static IEnumerable<Fact> Drivers(IReadOnlyList<ScrewTurn> turns) =>
        turns
            .Where(t => t.Driver is not null)
            .GroupBy(t => t.Driver!)
            .Select(g => new Fact(g.Key, DriverNames.Describe(g.Key)));

    private string Thing => Turned.ToLowerInvariant();

    private string Driver(BlockHole h) => MountScrews.Driver(_pair.Block, h);

    /// <summary>What ends this screw: its torque, its stop, or grip and a little more.</summary>
    private string Home(BlockHole hole) =>
        hole.TargetNm is { } nm ? FormattableString.Invariant($"to {nm:0.0#} N·m")
        : hole.Finish is "stop" or null && _ways.Tightness != Tightness.Grip ? "to the stop"
        : hole.Finish == "light" ? "lightly, no further"
        : ScrewedMountingWords.UntilItGripsThen(AfterGrip);

    /// <summary>
    /// Pads give, a die does not: small blocks on pads are turned further after the grip, and never tight.
    /// </summary>
    private string AfterGrip =>
        _pair.Block.Kind is BlockKind.Chip or BlockKind.PowerStage
            ? ScrewedMountingWords.QuarterTurnHalfAtMost
            : "an eighth turn";

    private string Where(BlockHole hole) => _places.Describe(_on.Laid.Placement.Apply(hole.At));

    private static string RingName(BlockHole hole) =>
        ScrewOrder.Ring(hole) == 1 ? "inner"
        : hole.Role == HoleRole.Bracket ? "bracket"
        : "outer";
}
