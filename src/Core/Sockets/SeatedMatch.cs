using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Sockets;

namespace FaithfulBracket.Core.Sockets;

/// <summary>Match with what a socket says: kit, heights, loads and turns weigh on the verdict of the pairs that lie on one.</summary>
public static class SeatedMatch
{
    /// <summary>The same result where no processor is seated.</summary>
    public static MatchResult With(WorkOrder order, MatchResult match, IReadOnlyList<SeatPlan> seats)
    {
        if (match.Order is not { } fit || seats.Count == 0)
            return match;
        var pairs = fit.Pairs.Select(p => Weighed(p, seats)).ToList();
        var worst = pairs.Select(p => p.Verdict).Append(fit.Verdict).Max();
        var all = fit with
        {
            Pairs = pairs,
            Verdict = worst,
            Reasons = [.. seats.SelectMany(s => s.Match.Reasons), .. fit.Reasons],
        };
        var station = MatchStation.From(order, all);
        var own = seats.SelectMany(s => Steps(order, s)).ToList();
        return station with { Sheet = station.Sheet with { Steps = [.. station.Sheet.Steps, .. own] } };
    }

    private static PairFit Weighed(PairFit pair, IReadOnlyList<SeatPlan> seats)
    {
        if (seats.FirstOrDefault(s => s.Pair == pair.Key) is not { } seat)
            return pair;
        List<BoardFit> on =
        [
            .. pair.On.Select(o =>
                o.Board != seat.Board
                    ? o
                    : o with
                    {
                        Fit = o.Fit with
                        {
                            Verdict = Worse(o.Fit.Verdict, seat.Match.Verdict),
                            Summary = seat.Match.Verdict > o.Fit.Verdict ? Summary(seat.Match.Reasons) : o.Fit.Summary,
                            Reasons = [.. Said(seat), .. o.Fit.Reasons.Where(r => r.Code != "socket")],
                        },
                    }
            ),
        ];
        var worst = on.MaxBy(o => o.Fit.Verdict);
        return pair with
        {
            On = on,
            Verdict = worst?.Fit.Verdict ?? pair.Verdict,
            Summary = worst?.Fit.Summary ?? pair.Summary,
        };
    }

    private static Verdict Worse(Verdict a, Verdict b) => a > b ? a : b;

    /// <summary>The first reason in three or four words.</summary>
    private static Message Summary(IReadOnlyList<Reason> reasons) =>
        reasons.Count == 0
            ? SeatedMatchWords.SeatsOnSocket
            : reasons[0].Code switch
            {
                "wrong-socket" => SeatedMatchWords.NotForThisSocket,
                "lid-on" => SeatedMatchWords.MadeForBareDies,
                "stop-before-contact" => (Message)$"stops come first",
                "shim" => SeatedMatchWords.WashersUnderSprings,
                "contact-low" => SeatedMatchWords.TooLittleOnContacts,
                "contact-high" => SeatedMatchWords.TooMuchOnContacts,
                "over-load" => (Message)$"presses too hard",
                "keep-out" => SeatedMatchWords.MeetsSocketsParts,
                "slit-along-fins" => SeatedMatchWords.SlitToBeTurned,
                _ => (Message)$"seats with work",
            };

    /// <summary>What is wrong, then the heights and loads as they come out.</summary>
    private static IEnumerable<Reason> Said(SeatPlan seat)
    {
        foreach (var r in seat.Match.Reasons)
            yield return r;
        var m = seat.Match;
        yield return new(
            "height-chain",
            SeatedMatchWords.AboveMainboardBlockComesToRest(
                seat.Bare ? "Die" : "Lid",
                m.ContactMm,
                m.HomeMm,
                m.StopGapMm is { } gap and >= 0 ? SeatedMatchWords.OverStops(gap) : ""
            ),
            []
        );
        yield return new("loads", SeatedMatchWords.SpringsPressWithAtMost(m.LoadN, m.PeakMPa, m.SocketLoadN), []);
        if (seat.Bare && m.StopGapMm is null)
            yield return new("no-stops", SeatedMatchWords.NoStopsBlockRestsOnDies(m.HomeMm), []);
        foreach (var r in Room(seat))
            yield return r;
    }

    private static IEnumerable<Reason> Room(SeatPlan seat)
    {
        if (seat.Slots is not { } room)
            yield break;
        if (room.Under.Count > 0)
            yield return new(
                "slots-under",
                SeatedMatchWords.UnderBlockTurned(
                    string.Join(", ", room.Under),
                    room.Under.Count == 1 ? "lies" : "lie"
                ),
                room.Under
            );
        if (room.Nearest is { } nearest)
            yield return new(
                "slots-free",
                SeatedMatchWords.NearestIsFromBlocksEdge(
                    room.Under.Count == 0
                        ? SeatedMatchWords.MemoryAndExpansionSlotsStayFree
                        : SeatedMatchWords.OthersStayFree,
                    nearest,
                    room.RoomMm
                ),
                [nearest]
            );
    }

    private static IEnumerable<WorkStep> Steps(WorkOrder order, SeatPlan seat)
    {
        var scope = order.ScopeOf(order.Pairs.First(p => p.Key == seat.Pair));
        if (seat.Match.Orientations.Count > 1 && seat.Way is { } way)
            yield return new()
            {
                Id = new(Station.Match, scope, "turn"),
                Kind = StepKind.Read,
                Board = seat.Board,
                Pair = seat.Pair,
                Title = $"Block turned {seat.TurnDeg:0}°: {Ports(way)}",
                Detail = seat.InletTurnDeg is { } inlet
                    ? inlet == seat.TurnDeg
                        ? SeatedMatchWords.OnlyRightWayRound
                        : SeatedMatchWords.InletDoesNotLieOverHot(inlet)
                    : way.Best
                        ? SeatedMatchWords.MakersWordThisWayRound
                        : seat.Match.Orientations.FirstOrDefault(o => o.Best) is { } best
                            ? SeatedMatchWords.MakersWordIs(
                                best.RotationDeg,
                                best.Clashes.Count > 0
                                    ? $"; there it meets {best.Clashes[0].Part}"
                                    : SeatedMatchWords.ThisWasChosenInstead
                            )
                            : SeatedMatchWords.MakerPrefersNoTurn,
                Caution =
                    way.Clashes.Count > 0
                        ? (Message)$"It meets {way.Clashes[0].Part} by {-way.Clashes[0].MarginMm:0.00} mm."
                        : null,
                Done = SeatedMatchWords.ThisTurn,
                Facts = [new(FormattableString.Invariant($"{seat.TurnDeg:0}°"), "turned")],
            };
        if (seat.Bare)
            yield return Decide(scope, seat);
    }

    /// <summary>Where the ports stand and point, in words.</summary>
    public static string Ports(Orientation way) =>
        string.Join(
            ", ",
            way.Ports.Select(p =>
                p.FacingDeg is { } deg ? $"{p.Id} points {Side(deg)}" : $"{p.Id} stands {Place(new(p.XMm, p.YMm))}"
            )
        );

    private static string Side(double deg) =>
        ((int)Math.Round(deg / 90) % 4) switch
        {
            0 => "right",
            1 => "up",
            2 => "left",
            _ => "down",
        };

    private static string Place(Geometry.Point2 at) =>
        at.Length < 2 ? "in the middle"
        : Math.Abs(at.X) >= Math.Abs(at.Y)
            ? at.X > 0 ? "right"
                : "left"
        : at.Y > 0 ? "above"
        : "below";

    private static Message Worth(SeatPlan seat) =>
        seat.Worth is { } worth
            ? SeatedMatchWords.WeighItAgainstForAnotherProcessor(worth.Amount, worth.Currency)
            : SeatedMatchWords.WeighItAgainstProcessorsPrice;

    private static WorkStep Decide(string? scope, SeatPlan seat)
    {
        var d = seat.Decision;
        return new()
        {
            Id = new(Station.Match, scope, "decide"),
            Kind = StepKind.Read,
            Board = seat.Board,
            Pair = seat.Pair,
            Title = d is null
                ? SeatedMatchWords.DecideLidOffForGood
                : SeatedMatchWords.DecideLidOffForGoodToCooler(d.Answer.GainLowK, d.Answer.GainHighK),
            Detail = d is null
                ? seat.NoDecision
                : (Message)
                    $"{d.Answer.GainK:0} K at {d.PowerW:0} W and {d.FlowLPerMin:0.#} L/min{(d.Answer.MoreW is { } more ? SeatedMatchWords.OrMoreAtSameTemperature(more) : "")}. {Worth(seat)}",
            Caution = SeatedMatchWords.NothingBringsLidBackNorMakers,
            Done = SeatedMatchWords.DecidedLidOff,
            Facts = d is null
                ? []
                :
                [
                    new(FormattableString.Invariant($"{d.Answer.GainK:0} K"), "cooler"),
                    new(FormattableString.Invariant($"{d.PowerW:0} W"), "at"),
                ],
        };
    }
}
