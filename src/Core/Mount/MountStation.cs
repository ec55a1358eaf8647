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
public sealed class MountStation : IStation<MountResult>
{
    /// <summary>A turn so large that every screw goes to its stop at once.</summary>
    private const double HomeTurns = 100;

    public MountResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, ways, cancel) = (context.Order, context.Ways, context.Cancel);
        var (match, pads) = (earlier.Get<MatchResult>(), earlier.Get<PadsResult>());
        var tiltLimitDeg = context.Shop.TiltLimitDeg;
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
                        var mounting = stack.WhileMounting(ways.AllScrewsIn);
                        var byTwo = ByTwo(earlier.SeatOf(fit.Key, on.Board), ways);
                        return Turns(ways.Increments) is { } turns
                            ? Tightening.Simulate(
                                mounting,
                                turns,
                                tiltLimitDeg: tiltLimitDeg,
                                byTwo: byTwo,
                                cancel: cancel
                            )
                            : Tightening.InPasses(mounting, tiltLimitDeg, byTwo, cancel);
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
        return new(pairs, holes, MountSteps.Create(context, earlier, pairs), troubles.List);
    }

    /// <summary>Nuts on a lid are turned by hand, and so by two of them at once.</summary>
    private static bool ByTwo(SeatPlan? seat, Ways ways) => seat is { Bare: false } && ways.NutsBy == NutsBy.TwoThumbs;

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
