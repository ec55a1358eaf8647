using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Lower, start the screws, turn by turn to home, back plate, bracket, plugs: pair by pair.</summary>
internal static class MountSteps
{
    public static StationPlan Create(
        WorkOrder order,
        MatchResult match,
        PadsResult pads,
        IReadOnlyList<PairMount> mounts,
        Ways ways,
        IReadOnlyList<SeatPlan> seats,
        TeardownResult teardown
    )
    {
        if (mounts.Count == 0)
            return new(Station.Mount, "waits for a block", true, []);
        var steps = new List<WorkStep>();
        var joined = new Dictionary<string, List<IReadOnlyList<WorkStep>>>();
        foreach (var (fit, on) in match.Laid())
        {
            var pair = order.Pairs.First(p => p.Key == fit.Key);
            var mount = mounts.First(m => m.Pair == fit.Key && m.Board == on.Board);
            var seat = seats.FirstOrDefault(x => x.Pair == fit.Key && x.Board == on.Board);
            if (fit.On[0].Board == on.Board)
                steps.AddRange(Bridging.Before(order, pair));
            var own = new OneBoard(
                order,
                pair,
                on,
                mount.Tightening,
                ways,
                SocketMount.Turned(seat),
                pads.Pieces
            ).Steps();
            IReadOnlyList<WorkStep> done =
            [
                .. seat is null ? own : new SocketMount(order, seat, ways).Over([.. own], mount.Tightening),
            ];
            var together = Bridging.With(order, match, pair);
            if (together.Count > 1)
            {
                if (!joined.TryGetValue(together[0].Key, out var members))
                    joined[together[0].Key] = members = [];
                members.Add(done);
                if (pair.Key != together[^1].Key)
                    continue;
                steps.AddRange(Bridging.AsOne(order, members));
                steps.AddRange(together.SelectMany(p => Finish(order, p)));
                continue;
            }
            steps.AddRange(done);
            if (fit.On[^1].Board == on.Board && pair.Block.Carriers.Count == 0)
                steps.AddRange(Finish(order, pair));
        }
        steps.AddRange(MemoryBridge.Steps(order, ways, pads.Pieces));
        steps.AddRange(order.Boxes.Where(p => p.Block.Carriers.Count > 0).SelectMany(p => Finish(order, p)));
        steps.AddRange(Bridging.Steps(order));
        steps.AddRange(SinkSteps.Create(order, match));
        steps.AddRange(FittedAgain.Steps(order, match, teardown));
        steps.AddRange(MachineSteps.Steps(order, match));
        foreach (var seat in ways.Closing == Closing.Tray ? seats : [])
            steps.AddRange(new SocketMount(order, seat, ways).Close());
        var screws =
            match.Laid().Sum(l => MountScrews.Split(l.On.Laid.Block, ways).First.Count) + MemoryBridge.Bolts(order);
        var pace = mounts.Select(m => m.Tightening).OfType<TighteningResult>().MinBy(t => t.TakenTurns)?.Pace;
        var each = pace is null ? "" : $", {pace}";
        var named =
            seats.Count == mounts.Count && seats.Count > 0 ? SocketMount.Turned(seats[0]).ToLowerInvariant() : "screw";
        var strips = mounts.Any(m => m.Tightening?.Strips is not null);
        return new(Station.Mount, strips ? "screws strip first" : $"{screws} {named}s{each}", strips, steps);
    }

    /// <summary>What is done once for the block, however many boards it lies on.</summary>
    private static IEnumerable<WorkStep> Finish(WorkOrder order, Pair pair)
    {
        var block = pair.Block;
        var scope = order.ScopeOf(pair);
        var boards = pair.BoardKeys(order);
        var card = boards.Count > 0 ? boards[0] : null;
        if (block.BracketSlots is { } slots && card is not null && order.Find(card)!.Board.Slots is not null)
            yield return new()
            {
                Id = new(Station.Mount, scope, "bracket"),
                Kind = StepKind.Fit,
                Board = card,
                Pair = pair.Key,
                Done = MountStepsWords.BracketOn,
                Title = MountStepsWords.FitSlotBracket(slots),
            };
        if (OpenPorts.Used(order, pair) is { Count: > 0 } used)
            yield return Fittings(order, pair, card, used);
        var open = OpenPorts.Plugged(order, pair);
        if (open.Count > 0)
            yield return new()
            {
                Id = new(Station.Mount, scope, "plugs"),
                Kind = StepKind.Plug,
                Board = card,
                Pair = pair.Key,
                Done = MountStepsWords.Plugged(HowMany.Count(open.Count, "port")),
                Title = MountStepsWords.PlugOf(open.Count == 1 ? "port" : "ports", Names(open), order.Name(pair)),
                Detail = MountStepsWords.NothingIsJoinedToThem,
                Count = open.Count,
                Counted = CountOf.Ports,
                Targets = [.. open.Select(p => p.Id)],
            };
        if (block.Headers.Count > 0)
            yield return new()
            {
                Id = new(Station.Mount, scope, "headers"),
                Kind = StepKind.Connect,
                Board = card,
                Pair = pair.Key,
                Done = MountStepsWords.LeadPlugged,
                Title = MountStepsWords.PlugLeadPolarityChecked(string.Join(" and ", block.Headers)),
                Caution = MountStepsWords.ReversedPlugDestroysStrip,
            };
    }

    private static WorkStep Fittings(WorkOrder order, Pair pair, string? card, IReadOnlyList<Port> used)
    {
        var threads = used.Select(p => p.Thread).Distinct().ToList();
        return new()
        {
            Id = new(Station.Mount, order.ScopeOf(pair), "fittings"),
            Kind = StepKind.Plug,
            Board = card,
            Pair = pair.Key,
            Done = $"{HowMany.Count(used.Count, "fitting")} in",
            Title = MountStepsWords.ScrewFittingInto(used.Count == 1 ? "port" : "ports", Names(used), order.Name(pair)),
            Detail = MountStepsWords.ORingWetted(string.Join(" and ", threads), InAndOut(used)),
            Caution = MountStepsWords.FittingStartedCrookedCutsThread,
            Feel = MountStepsWords.ItTurnsInByHand,
            Count = used.Count,
            Counted = CountOf.Ports,
            Targets = [.. used.Select(p => p.Id)],
            Acts = [.. used.Select(p => new Bench.Act(Bench.Verb.Fit, new(Bench.ThingKind.Fitting, pair.Key, p.Id)))],
        };
    }

    private static string Names(IReadOnlyList<Port> ports) => string.Join(" and ", ports.Select(p => p.Id));

    /// <summary>Which of two ports coolant goes in by, where the block says.</summary>
    private static string InAndOut(IReadOnlyList<Port> used) =>
        used.FirstOrDefault(p => p.Role is "in" or "inlet") is { } inlet && used.Count > 1
            ? MountStepsWords.CoolantGoesIn(inlet.Id)
            : "";

    /// <summary>The steps of one pair on one board.</summary>
    private sealed class OneBoard
    {
        private readonly WorkOrder _order;
        private readonly Pair _pair;
        private readonly BoardFit _on;
        private readonly TighteningResult? _tightening;
        private readonly Ways _ways;
        private readonly string _turned;
        private readonly List<BlockHole> _first;
        private readonly List<BlockHole> _held;
        private readonly List<BlockHole> _sequence;
        private readonly IReadOnlyList<PadPiece> _pieces;
        private readonly IReadOnlyList<PadPiece> _edges;
        private readonly ILookup<Face, PadPiece> _pads;
        private readonly ScrewPlaces _places;
        private readonly Dictionary<string, int> _number;

        /// <param name="turned">What is turned: screw, nut or stud.</param>
        public OneBoard(
            WorkOrder order,
            Pair pair,
            BoardFit on,
            TighteningResult? tightening,
            Ways ways,
            string turned,
            IReadOnlyList<PadPiece> pieces
        )
        {
            _pieces = [.. pieces.Where(p => p.Pair == pair.Key && p.Board == on.Board && p.Where is null)];
            _edges = [.. pieces.Where(p => p.Pair == pair.Key && p.Board == on.Board && p.Where is not null)];
            _pads = _pieces.ToLookup(p => p.Face);
            (_order, _pair, _on, _tightening, _ways, _turned) = (order, pair, on, tightening, ways, turned);
            (_first, _held) = MountScrews.Split(on.Laid.Block, ways);
            _sequence = [.. MountScrews.Sequence(on.Laid.Block, _first, tightening)];
            _places = new(on.Laid, FromBack);
            _number = MountScrews
                .Numbered(_sequence, _held)
                .Select((h, i) => (h.Id, i: i + 1))
                .ToDictionary(x => x.Id, x => x.i);
        }

        private bool FromBack => Behind || _ways.WhoMoves == WhoMoves.Board;
        private Face Seen => FromBack ? Face.Back : Face.Front;

        private string TheBoard => _order.Pieces.Count > 1 ? $"board {_on.Board}" : "the board";

        /// <summary>Whose screws, where several blocks go on.</summary>
        private string OfBlock => _order.Pairs.Count > 1 ? $" of {_order.Name(_pair)}" : "";

        /// <summary>"Block P, pass 1 of 3: …" where several blocks go on.</summary>
        private string OfThis(string pass) =>
            _order.Pairs.Count > 1
                ? $"{Capital(_order.Name(_pair))}, {char.ToLowerInvariant(pass[0])}{pass[1..]}"
                : pass;

        private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

        private StepId Id(string target) => new(Station.Mount, _order.ScopeOf(_pair, _on.Board), target);

        public IEnumerable<WorkStep> Steps()
        {
            var block = _on.Laid.Block;
            if (_pair.Block.Carriers.Count > 0)
            {
                yield return MemoryBridge.Between(_order, _pair, _on);
                List<WorkStep> edges = [.. PadSteps.LaidBehind(_order, _pair, _edges, _ways)];
                foreach (var edge in edges)
                    yield return edge;
                if (edges.Count > 0)
                    yield return MemoryBridge.Trim(_order, _pair, _on);
                yield break;
            }
            foreach (var ribbon in Ribbons())
                yield return ribbon;
            if (_pair.Block.Halves.Count > 0)
                foreach (var (half, i) in HalfSteps.Steps(_order, _pair, _on, FromBack).Select((h, i) => (h, i)))
                {
                    if (i > 0)
                        foreach (var lay in Laid())
                            yield return lay;
                    yield return half;
                }
            else
            {
                if (Behind)
                    foreach (var lay in Laid())
                        yield return lay;
                yield return Lower();
            }
            // from above, once the front is closed: a board never lies on pads and paste
            foreach (var plate in block.StockPlates.Where(p => BehindScrews.FromStart(block, p)))
                yield return StockUnder(plate);
            yield return Start();
            if (_tightening is { } t)
            {
                foreach (var pass in PassRounds.From(t))
                    yield return Turned(t, pass);
                var turned = t.Moves.Select(m => m.Hole).ToHashSet();
                if (_sequence.FindAll(h => !turned.Contains(h.Id)) is { Count: > 0 } rest)
                    yield return Untold("turn-rest", rest);
            }
            else if (_sequence.Count > 0)
                yield return Untold("turn-1", _sequence);
            if (block.BackPlate is not null)
            {
                foreach (var lay in Laid())
                    yield return lay;
                yield return BackPlate();
            }
            foreach (var plate in block.StockPlates.Where(p => p.Pair is null && !BehindScrews.FromStart(block, p)))
                yield return StockBehind(plate);
        }

        /// <summary>Ribbons between the boards of this block: nobody reaches them once the boards close on it.</summary>
        private IEnumerable<WorkStep> Ribbons()
        {
            var boards = _pair.BoardKeys(_order);
            if (boards.Count < 2 || boards[0] != _on.Board)
                yield break;
            var unplugged = TeardownStation
                .Pieces(_order)
                .SelectMany(p =>
                    p.Board.Assembly!.Leads.Select(l =>
                        RibbonEnds.Find(_order, l, TeardownStation.BoardOf(_order, p, l.Id))
                    )
                )
                .OfType<Ribbon>()
                .Select(r => r.Id)
                .ToHashSet();
            foreach (var r in _order.Ribbons.Where(r => unplugged.Contains(r.Id)))
            {
                if (!boards.Contains(r.From.Board) || !boards.Contains(r.To.Board))
                    continue;
                yield return new()
                {
                    Id = Id($"ribbon-{r.Id}"),
                    Kind = StepKind.Connect,
                    Board = _on.Board,
                    Pair = _pair.Key,
                    Done = MountStepsWords.RibbonPlugged,
                    Title = MountStepsWords.PlugInBetweenBoardAndBoard(r.Name, r.From.Board, r.To.Board),
                    Detail =
                        MountStepsWords.LayBoardsSideBySide
                        + (r.SlackMm is { } slack ? MountStepsWords.RibbonHasOfSlack(slack) : "")
                        + MountStepsWords.CloseLatchAndPullOnce,
                    Caution = MountStepsWords.OnceBoardsCloseOnBlockNobody,
                };
            }
        }

        /// <summary>Pads behind the board, right before something closes over them.</summary>
        private IEnumerable<WorkStep> Laid() => PadSteps.LaidBehind(_order, _pair, _pieces, _ways);

        private bool Behind => _pair.Block.Kind == BlockKind.BackPlate;

        /// <summary>Pads of a face whose outer film comes off when the block closes over them.</summary>
        private int OuterFilms(Func<Face, bool> on) =>
            PadSteps.OuterLast(_pair, _ways) ? _pads.Where(g => on(g.Key)).Sum(g => g.Count()) : 0;

        private WorkStep Lower()
        {
            var faces = _on.Laid.Block.Plates.Select(p => p.Face).ToHashSet();
            var films = OuterFilms(faces.Contains);
            return new()
            {
                Id = Id("lower"),
                Kind = StepKind.Lower,
                Board = _on.Board,
                Pair = _pair.Key,
                Done = MountStepsWords.LoweredHolesLineUp,
                Face = Seen,
                Title =
                    Behind ? MountStepsWords.LayBehindHolesOverThoseLeft(_order.Name(_pair), TheBoard)
                    : FromBack ? MountStepsWords.LowerOntoHolesVisible(TheBoard, _order.Name(_pair))
                    : MountStepsWords.LowerOnto(_order.Name(_pair), TheBoard),
                Detail =
                    (films > 0 ? BridgingWords.PeelOuterFilmOff(HowMany.All(films, "pad")) : "")
                    + MountStepsWords.LineUpBeforeContact,
                Caution =
                    _ways.Pressing == Pressing.Light
                        ? MountStepsWords.PressLightlyOverDieOnlyNever
                        : MountStepsWords.DoNotPressDownWhileScrewing,
                Targets = [.. _first.Select(h => h.Id)],
                Count = films > 0 ? films : null,
                Counted = films > 0 ? CountOf.Films : null,
                Facts = films > 0 ? [new($"{films}", films == 1 ? "film" : "films")] : [],
            };
        }

        private WorkStep Start()
        {
            var waits = _held.Except(_first).ToList();
            return new()
            {
                Id = Id("start"),
                Kind = StepKind.Start,
                Board = _on.Board,
                Pair = _pair.Key,
                Done = MountStepsWords.AllStarted(_first.Count),
                Face = Seen,
                Title = MountStepsWords.StartLoose(HowMany.Count(_first.Count, "screw"), OfBlock, Washers()),
                Detail =
                    waits.Count > 0
                        ? MountStepsWords.LeaveOutBackPlate(
                            waits.Count,
                            string.Join(", ", waits.Select(h => h.Id)),
                            waits.Count == 1 ? "holds" : "hold"
                        )
                        : MountStepsWords.NoThreadMayBiteYet,
                Targets = [.. _first.Select(h => h.Id)],
                Driver = _first.Count > 0 ? Driver(_first[0]) : null,
                Count = _first.Count,
                Counted = CountOf.Screws,
                Facts =
                [
                    new($"{_first.Count}", "screws"),
                    .. waits.Count > 0 ? new[] { new Fact($"{waits.Count}", "stay out") } : [],
                ],
            };
        }

        /// <summary>One pass over every screw, as the simulation makes it.</summary>
        private WorkStep Turned(TighteningResult t, PassRounds round)
        {
            var (moves, pass) = (round.Moves, round.Pass);
            List<ScrewTurn> turns = [.. moves.Select(m => Screw(t, m, round.Each.Count(x => x.Hole == m.Hole)))];
            var strips = moves.Any(m => m.Strips);
            var hardest = moves.MaxBy(m => m.LoadN)!;
            return Pass($"turn-{pass}", turns, pass, round.Passes) with
            {
                Done = moves.All(m => m.Home) ? MemoryBridgeWords.AllHome : MountStepsWords.AllTurned(turns.Count),
                Detail = PassWords.Order(turns),
                Caution =
                    strips ? MountStepsWords.StopBeforeScrewStrips
                    : pass == 1 ? MountStepsWords.DoNotPressDownOnBlock
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
                    .. m.Home ? new[] { new Fact(TurnWords.Format(m.Turns), MountStepsWords.AboutToEnd) } : [],
                    new(
                        ClampLoad.Figure(m.LoadN, m.HoldsN),
                        m.Strips ? "the screw strips"
                            : m.Home ? "at home"
                            : "afterwards"
                    ),
                    new(FormattableString.Invariant($"{m.AdvanceMm:0.00} mm"), "further in"),
                ],
                Caution = m.Strips ? MountStepsWords.ThisScrewStrips : null,
                Home = m.Home,
            };
        }

        /// <summary>Every screw home in its order, where no simulation says by how much at a time.</summary>
        private WorkStep Untold(string target, IReadOnlyList<BlockHole> holes) =>
            Pass(
                target,
                [
                    .. holes.Select(h => new ScrewTurn(h.Id, _number[h.Id], Thing, Where(h), Home(h))
                    {
                        Driver = Driver(h),
                    }),
                ],
                1,
                1
            ) with
            {
                Title = MountStepsWords.TurnHomeInOrderLittle(HowMany.Count(holes.Count, Thing), OfBlock),
                Detail = MountStepsWords.NeverOneHomeBeforeOthers,
                Done = MemoryBridgeWords.AllHome,
                Caution = MountStepsWords.DoNotPressDownOnBlock,
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
                Done = MountStepsWords.AllTurned(turns.Count),
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

        private string Thing => _turned.ToLowerInvariant();

        private WorkStep BackPlate() =>
            new()
            {
                Id = Id("back-plate"),
                Kind = StepKind.BackPlate,
                Board = _on.Board,
                Pair = _pair.Key,
                Done = MountStepsWords.BackPlateOn(HowMany.Count(_held.Count, "screw")),
                Face = Face.Back,
                Title =
                    _ways.BackPlateScrews == BackPlateScrews.All
                        ? MountStepsWords.TakeOutAgainSetBackPlate(HowMany.Count(_held.Count, "screw"))
                        : MountStepsWords.SetBackPlateWithPads(HowMany.Count(_held.Count, "screw")),
                Detail = BackFilms() + (Bridge() ?? MountStepsWords.OwnPadsAndWashers),
                Caution = MountStepsWords.BackPlateThatTouchesLead,
                Targets = [.. _held.Select(h => h.Id)],
                Count = _held.Count,
                Counted = CountOf.Screws,
            };

        private string BackFilms() =>
            OuterFilms(f => f == Face.Back) is var films and > 0
                ? MountStepsWords.PeelOuterFilmOffItsPads(HowMany.Count(films, "pad"))
                : "";

        /// <summary>A stock plate that the die ring goes through lies behind the board before the first screw.</summary>
        private WorkStep StockUnder(StockPlate plate) =>
            StockPlate(plate) with
            {
                Title = MountStepsWords.LayOnBackOfHoles(plate.Name, TheBoard),
                Detail = MountStepsWords.BlocksScrewsGo(Pads(plate), plate.UsesHoles.Count),
                Done = MountStepsWords.LiesInPlace,
            };

        private WorkStep StockBehind(StockPlate plate) =>
            StockPlate(plate) with
            {
                Title = MountStepsWords.SetBackWithPads(plate.Name, plate.UsesHoles.Count),
                Detail = MountStepsWords.StockScrewsOfTheseHolesStay(Pads(plate)),
                Done = MountStepsWords.BackPlateOn(HowMany.Count(plate.UsesHoles.Count, "screw")),
                Count = plate.UsesHoles.Count,
                Counted = CountOf.Screws,
            };

        private static string StockTarget(StockPlate plate) => $"stock-plate-{plate.Piece}";

        private WorkStep StockPlate(StockPlate plate) =>
            new()
            {
                Id = Id(StockTarget(plate)),
                Kind = StepKind.BackPlate,
                Board = _on.Board,
                Pair = _pair.Key,
                Title = plate.Name,
                Done = "On",
                Face = Face.Back,
                Caution = MountStepsWords.BackPlateThatTouchesLead,
                Targets = [.. plate.UsesHoles, .. plate.Pads],
            };

        private string Pads(StockPlate plate) =>
            plate.Pads.Count == 0 ? "It has no pads."
            : _ways.StockPads == StockPads.Reuse
                ? plate.Pads.Count == 1 ? MountStepsWords.StockPadStays
                    : MountStepsWords.StockPadsStay(plate.Pads.Count)
            : MountStepsWords.NewPadsWhereOldOnesTore(plate.Pads.Count);

        private string Driver(BlockHole h) => MountScrews.Driver(_pair.Block, h);

        /// <summary>What ends this screw: its torque, its stop, or grip and a little more.</summary>
        private string Home(BlockHole hole) =>
            hole.TargetNm is { } nm ? FormattableString.Invariant($"to {nm:0.0#} N·m")
            : hole.Finish is "stop" or null && _ways.Tightness != Tightness.Grip ? "to the stop"
            : hole.Finish == "light" ? "lightly, no further"
            : MountStepsWords.UntilItGripsThen(AfterGrip);

        /// <summary>
        /// Pads give, a die does not: small blocks on pads are turned further after the grip, and never tight.
        /// </summary>
        private string AfterGrip =>
            _pair.Block.Kind is BlockKind.Chip or BlockKind.PowerStage
                ? MountStepsWords.QuarterTurnHalfAtMost
                : "an eighth turn";

        /// <summary>Paste where the back plate meets the front block.</summary>
        private string? Bridge() =>
            _on.Laid.Block.BackPlate?.PasteBridge is { } area
                ? MountStepsWords.PasteFirstWhereItMeetsBlock(area.Area / 100)
                : null;

        private string Where(BlockHole hole) => _places.Describe(_on.Laid.Placement.Apply(hole.At));

        private static string RingName(BlockHole hole) =>
            ScrewOrder.Ring(hole) == 1 ? "inner"
            : hole.Role == HoleRole.Bracket ? "bracket"
            : "outer";

        private string Washers() =>
            _first.Select(h => h.Washer).OfType<string>().Distinct().ToList() is { Count: > 0 } w
                ? MountStepsWords.WasherToBoard(string.Join(" and ", w))
                : "";
    }
}
