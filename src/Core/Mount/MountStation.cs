using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Mount;

/// <summary>How one pair is screwed down on one of its boards.</summary>
/// <param name="Tightening">Null where no paste is known or the block cannot come to rest.</param>
/// <param name="Screws">Every screw in the order in which it is turned.</param>
public sealed record PairMount(
    string Pair,
    string Board,
    TighteningResult? Tightening,
    IReadOnlyList<MountScrew> Screws
);

/// <summary>What sits in every hole of one board at each stage.</summary>
public sealed record BoardHoles(string Board, IReadOnlyList<HoleRow> Rows);

public sealed record MountResult(
    IReadOnlyList<PairMount> Pairs,
    IReadOnlyList<BoardHoles> Holes,
    StationPlan Sheet,
    IReadOnlyList<Diagnostic> Troubles
)
{
    public PairMount? Find(string pair, string board) => Pairs.FirstOrDefault(p => p.Pair == pair && p.Board == board);
}

/// <summary>Mount: every plate's screws from started to home, and what is put on afterwards.</summary>
public static class MountStation
{
    /// <summary>A turn so large that every screw goes to its stop at once.</summary>
    private const double HomeTurns = 100;

    public static MountResult Plan(
        WorkOrder order,
        MatchResult match,
        PadsResult pads,
        Ways ways,
        TeardownResult teardown,
        IReadOnlyList<SeatPlan>? seats = null,
        double tiltLimitDeg = Tightening.DefaultTiltLimitDeg,
        CancellationToken cancel = default
    )
    {
        var troubles = new Diagnostics(Station.Mount);
        var pairs = new List<PairMount>();
        foreach (var (fit, on) in match.Laid())
        {
            var stack = pads.Find(fit.Key, on.Board) is { Seating: not null } seated ? seated.Stack : null;
            var scope = order.ScopeOf(order.Pairs.First(p => p.Key == fit.Key), on.Board);
            var tightening = stack is null
                ? null
                : troubles.Try(
                    scope,
                    () =>
                    {
                        var mounting = stack.WhileMounting(ways.BackPlateScrews == BackPlateScrews.All);
                        return Turns(ways.Increments) is { } turns
                            ? Tightening.Simulate(mounting, turns, tiltLimitDeg: tiltLimitDeg, cancel: cancel)
                            : Tightening.InPasses(mounting, tiltLimitDeg, cancel);
                    }
                );
            pairs.Add(new(fit.Key, on.Board, tightening, MountScrews.Find(on.Laid.Block, ways, tightening)));
        }
        List<BoardHoles> holes =
        [
            .. order.Pieces.Select(p => new BoardHoles(
                p.Key,
                HoleLedger.Create(
                    p.Board,
                    order.StockScrews(p),
                    [.. match.Laid().Where(l => l.On.Board == p.Key).Select(l => (l.On.Laid.Block, l.On.Fit))]
                )
            )),
        ];
        return new(
            pairs,
            holes,
            MountSteps.Create(order, match, pads, pairs, ways, seats ?? [], teardown),
            troubles.List
        );
    }

    /// <summary>Turns at a time; null for the fewest passes.</summary>
    private static double? Turns(Increments way) =>
        way switch
        {
            Increments.Quarter => 0.25,
            Increments.Two => 2,
            Increments.Home => HomeTurns,
            _ => null,
        };
}
