using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>Before against after for one pair on one board.</summary>
/// <param name="Runs">Repeated runs and sweeps; null in a record from before they were told.</param>
/// <param name="Trial">The runs before and after as one fit; null while a phase has none that can be compared.</param>
public sealed record PairProof(
    string Pair,
    string Board,
    Comparison Comparison,
    RepeatedRuns? Runs = null,
    JobTrial? Trial = null
);

public sealed record ProveResult(IReadOnlyList<PairProof> Pairs, StationPlan Sheet)
{
    /// <summary>What the loop holds; null while no block is chosen, and in jobs finished before this was told.</summary>
    public LoopVolume? Volume { get; init; }

    public Comparison? First => Pairs.Count > 0 ? Pairs[0].Comparison : null;
}

/// <summary>Prove: look, leak test, boot, measure.</summary>
public sealed class ProveStation : IStation<ProveResult>
{
    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>Where cold plates are taken from that readings are compared with.</summary>
    public PlateOf Plates { get; init; } = ExpectedOf.FromNothing;

    /// <summary>What the client complained of; null where of nothing that a sensor reads.</summary>
    public PartKind? ComplainedOf { get; init; }

    /// <summary>Less warming on the way to a block is not worth a word, K.</summary>
    private const double MinRiseK = 0.2;

    public ProveResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, pads, paste) = (context.Order, earlier.Get<PadsResult>(), earlier.Get<PasteResult>());
        // nothing to look at, fill or compare before a block is chosen
        if (order.Pairs.Count == 0)
            return new([], new(Station.Prove, $"waits for a block", true, []));
        var proofs = Proofs(order, pads, Readings, Plates, null, ComplainedOf, context.Cancel);
        List<string> renewed =
        [
            .. pads.Pieces.Count > 0 ? [HowMany.Count(pads.Pieces.Count, "fresh pad")] : Array.Empty<string>(),
            .. paste.Faces.Count > 0
                ? [FormattableString.Invariant($"{paste.MassG:0.00} g of paste")]
                : Array.Empty<string>(),
        ];
        var cost = renewed.Count == 0 ? "a mounting" : string.Join(" and ", renewed);
        return Result(proofs, [.. Steps(context, earlier, proofs, cost)]) with { Volume = earlier.Find<LoopVolume>() };
    }

    /// <summary>The verdict anew from other readings; the steps stay as they were signed.</summary>
    public static ProveResult Again(
        ProveResult signed,
        WorkOrder order,
        PadsResult pads,
        IReadOnlyList<Reading> readings,
        PlateOf plates
    ) =>
        Result(Proofs(order, pads, readings, plates, signed, null, default), signed.Sheet.Steps) with
        {
            Volume = signed.Volume,
        };

    private static ProveResult Result(List<PairProof> proofs, IReadOnlyList<WorkStep> steps)
    {
        var decisive = proofs.Find(p => p.Comparison.Trouble) ?? (proofs.Count > 0 ? proofs[0] : null);
        return new(
            proofs,
            new(
                Station.Prove,
                decisive?.Comparison.Verdict ?? (Message)$"no readings yet",
                decisive?.Comparison.Trouble ?? false,
                steps
            )
        );
    }

    /// <summary>
    /// Of several pairs, those that press a die are proved by its temperature, and modules between carriers by their own.
    /// </summary>
    /// <param name="signed">What a finished job was signed with: what was expected then stands.</param>
    private static List<PairProof> Proofs(
        WorkOrder order,
        PadsResult pads,
        IReadOnlyList<Reading> readings,
        PlateOf plates,
        ProveResult? signed,
        PartKind? complaint,
        CancellationToken cancel
    ) =>
        [
            .. pads
                .Pairs.Where((p, i) => i == 0 || p.Carried is not null || p.Seating is { Dies.Count: > 0 })
                .Select(p =>
                {
                    var block = order.Pairs.First(x => x.Key == p.Pair).Block;
                    var board = order.Find(p.Board)!.Board;
                    var first = p == pads.Pairs[0];
                    var own = readings.Where(r => r.Board is null ? first : r.Board == p.Board).ToList();
                    var before = signed?.Pairs.FirstOrDefault(x => x.Pair == p.Pair && x.Board == p.Board)?.Comparison;
                    var sensors = SensorProofs.Compute(
                        own,
                        board,
                        at =>
                            before is not null
                                ? SensorProofs.AsSigned(before.Sensors, at)
                                : OnBoard(order, pads, p, at, plates, cancel)
                    );
                    var part = board.Kind == BoardKind.MemoryModule ? "module" : "die";
                    var trial = JobTrial.Compute(own, sensors, part);
                    return new PairProof(
                        p.Pair,
                        p.Board,
                        Complaint.On(
                            Comparison.Create(own, sensors, block.Flow?.ShopScale, part, trial),
                            // a module has no sensor but its own
                            first && board.Kind != BoardKind.MemoryModule
                                ? complaint
                                : null,
                            own
                        ),
                        RepeatedRuns.Fit(own),
                        trial
                    );
                }),
        ];

    /// <summary>
    /// What runs under a pair's block; with the first of its board also what other blocks cover there, but for their own
    /// dies: memory and power stages have one sensor a board, whichever block they lie under.
    /// </summary>
    private static ExpectResult? OnBoard(
        WorkOrder order,
        PadsResult pads,
        PairPads pair,
        HeatConditions at,
        PlateOf plates,
        CancellationToken cancel
    )
    {
        var board = order.Find(pair.Board)!.Board;
        var own = Expect(order, pair, at, plates, cancel);
        if (pads.Pairs.First(p => p.Board == pair.Board) != pair)
            return own;
        var beside = pads
            .Pairs.Where(p => p.Board == pair.Board && p != pair)
            .SelectMany(p => Expect(order, p, at, plates, cancel)?.Parts ?? [])
            .Where(p => board.FindPart(p.Part)?.Kind is not (PartKind.Die or PartKind.Lid))
            .ToList();
        return beside.Count == 0 ? own
            : own is null ? new(0, at.CoolantInC, beside, [])
            : own with { Parts = [.. own.Parts.Concat(beside).DistinctBy(p => p.Part)] };
    }

    /// <returns>Null where the documents state too little: nothing is expected then.</returns>
    private static ExpectResult? Expect(
        WorkOrder order,
        PairPads pair,
        HeatConditions at,
        PlateOf plates,
        CancellationToken cancel
    )
    {
        if (order.Pairs.First(x => x.Key == pair.Pair).Block.Flow is null || !ExpectedOf.Possible(pair))
            return null;
        try
        {
            return ExpectedOf.Compute(pair, at, plates, cancel: cancel);
        }
        catch (InputException)
        {
            return null;
        }
    }

    private IEnumerable<WorkStep> Steps(
        PlanContext context,
        EarlierResults earlier,
        List<PairProof> proofs,
        string cost
    )
    {
        var (order, ways, leakHoldS) = (context.Order, context.Ways, context.Shop.LeakHoldS);
        var (pads, volume) = (earlier.Get<PadsResult>(), earlier.Find<LoopVolume>());
        var sinks = StuckSinks.Find(earlier.Get<MatchResult>());
        var lift = ways.Imprint == ImprintCheck.Lift;
        // what stands in its machine by now is not taken out again for the test
        var inPlace =
            order.Machine is not null || ways.Closing == Closing.Tray || pads.Pairs.Any(p => p.Carried is not null);
        foreach (var piece in order.Pieces)
        {
            yield return new()
            {
                Id = new(Station.Prove, order.ScopeOf(piece), "edges"),
                Kind = StepKind.Look,
                Board = piece.Key,
                Done = ProveStationWords.EvenAllRound,
                Title = piece.Seated is null
                    ? ProveStationWords.LookAlongEdges(order.On(piece.Key), Touching(piece, pads))
                    : ProveStationWords.LookAlongEdgesGapEvenAll(order.On(piece.Key)),
                Feel = Dies(piece, pads) ? null : ProveStationWords.SameSliverOfLightAllAlong,
                Detail = lift ? null : ProveStationWords.NoLiftToReadImprintUnless(cost),
            };
            if (lift)
                yield return new()
                {
                    Id = new(Station.Prove, order.ScopeOf(piece), "imprint"),
                    Kind = StepKind.Look,
                    Board = piece.Key,
                    Done = ProveStationWords.ImprintReadMountedAgain,
                    Title = ProveStationWords.LiftOnceReadImprintOfDie(order.On(piece.Key)),
                    Detail = ProveStationWords.CostsPaleCorners(cost),
                    Caution = ProveStationWords.StraightUpTiltedLiftChipsDie,
                };
        }
        yield return new()
        {
            Id = new(Station.Prove, null, "leak"),
            Kind = StepKind.LeakTest,
            Done = "Tight",
            TimerS = leakHoldS,
            Title = inPlace ? ProveStationWords.LeakTestWhereItStandsEverything : ProveStationWords.LeakTestOffMachine,
            Detail = ProveStationWords.PaperUnderEveryJoint,
            Caution = ProveStationWords.PowerOnlyPump,
            Facts =
            [
                new(FormattableString.Invariant($"{Math.Max(1, Math.Round(leakHoldS / 60.0)):0} min"), "hold"),
                new("0.5 bar", "at most"),
            ],
        };
        var about = volume is { } v ? FormattableString.Invariant($"{v.TotalMl:0}") : null;
        yield return new()
        {
            Id = new(Station.Prove, null, "water-out"),
            Kind = StepKind.Fill,
            Done = ProveStationWords.OutAndWeighed,
            Title =
                ProveStationWords.LetTestWaterOut + (about is null ? Message.Empty : ProveStationWords.About(about)),
            Detail = ProveStationWords.AsMuchAsWent,
            Caution = ProveStationWords.AwayFromMachine,
            Feel = ProveStationWords.NothingRunsAnyMoreAndBlock,
            Facts = volume is null
                ? []
                : [new($"{about} mL", FormattableString.Invariant($"± {volume.OffMl:0}, as calculated"))],
        };
        StepId bled = new(Station.Prove, null, "bleed"),
            filled = new(Station.Prove, null, "fill");
        yield return new()
        {
            Id = filled,
            Kind = StepKind.Fill,
            Done = ProveStationWords.FilledNoBubbles,
            Title =
                order.Boxes.Count > 1
                    ? ProveStationWords.FillLoopWithCoolantAndBleed(order.Boxes.Count)
                    : ProveStationWords.FillLoopAndBleedIt,
            Detail = ProveStationWords.PumpOnTiltUntilNoBubble,
            Facts = about is null ? [] : [new($"{about} mL", "coolant, about")],
            Caution = ProveStationWords.DoNotPowerAnythingButPump,
            Once = order.Boxes.Count > 1 ? [bled] : [],
        };
        yield return new()
        {
            Id = new(Station.Prove, null, "boot"),
            Kind = StepKind.Boot,
            Done = ProveStationWords.ItBoots,
            Title = ProveStationWords.PlugInSensorLeadsAndBoot,
        };
        foreach (var seat in earlier.Seats())
            yield return MemorySpeed(order, seat);
        // each board that carries a die of its own is proved on its own
        List<string> measured =
        [
            order.First.Key,
            .. proofs
                .Select(p => p.Board)
                .Where(b => b != order.First.Key && order.Find(b)!.Board.Kind != BoardKind.MemoryModule)
                .Distinct(),
        ];
        foreach (var board in measured)
        {
            var step = Measure(order, proofs, order.Find(board)!, earlier.Find<LoopResult>());
            yield return ComplainedOf is { } of && board == order.First.Key
                ? step with
                {
                    Detail = ProveStationWords.FirstThatWasComplained(PartNames.Several(of), step.Detail),
                }
                : step;
        }
        if (sinks.Count > 0)
            yield return Sinks(sinks);
    }

    /// <summary>What no water cools is proved by its own temperature.</summary>
    private static WorkStep Sinks(IReadOnlyList<StuckSink> sinks)
    {
        var hottest = sinks.OrderByDescending(s => s.Sink.TemperatureC - (s.Sink.LimitC ?? 0)).Take(3).ToList();
        return new()
        {
            Id = new(Station.Prove, null, "sinks"),
            Kind = StepKind.Look,
            Board = hottest[0].Board,
            Pair = hottest[0].Pair,
            Title = ProveStationWords.ReadPartsUnderSinksAtSame(string.Join(", ", hottest.Select(s => s.Part.Id))),
            Detail =
                ProveStationWords.ByTheirOwnSensorsElseProbe
                + (Message)$"{hottest[0].Sink.AirC:0} °C: {string.Join(", ", hottest.Select(Expected))}"
                + ProveStationWords.HotterMoreAirOverThem,
            Caution = ProveStationWords.SinksAreHot,
            Feel = ProveStationWords.FigureStandsStillWithinMinute,
            Done = ProveStationWords.WithinTheirLimits,
            Targets = [.. hottest.Select(s => s.Part.Id)],
            Facts =
            [
                .. hottest.Select(s => new Fact(FormattableString.Invariant($"{s.Sink.TemperatureC:0} °C"), s.Part.Id)),
            ],
        };
    }

    private static string Expected(StuckSink s) =>
        FormattableString.Invariant($"{s.Part.Id} {s.Sink.TemperatureC:0} °C")
        + (s.Sink.LimitC is { } limit ? FormattableString.Invariant($" of {limit:0} allowed") : "");

    private static readonly PartKind[] Padded =
    [
        PartKind.Memory,
        PartKind.PowerStage,
        PartKind.Inductor,
        PartKind.Controller,
        PartKind.BridgeChip,
    ];

    /// <summary>Whether a block presses a die or lid of a board.</summary>
    private static bool Dies(Workpiece piece, PadsResult pads) =>
        pads.Pairs.Any(p => p.Board == piece.Key && p.Seating is { Dies.Count: > 0 });

    /// <summary>Where pads, and the die, can be seen to touch.</summary>
    private static string Touching(Workpiece piece, PadsResult pads)
    {
        var kinds = pads
            .Pieces.Where(p => p.Board == piece.Key)
            .SelectMany(p => p.Parts)
            .Select(p => piece.Board.FindPart(p)?.Kind)
            .ToHashSet();
        List<string> at = [.. Padded.Where(k => kinds.Contains(k)).Select(PartNames.Several)];
        var die = Dies(piece, pads) ? ProveStationWords.NoLightUnderDie : "";
        return at.Count == 0
            ? die
            : $", pads touching at {(at.Count == 1 ? at[0] : $"{string.Join(", ", at.SkipLast(1))} and {at[^1]}")}{die}";
    }

    private static WorkStep Measure(WorkOrder order, List<PairProof> proofs, Workpiece piece, LoopResult? loop)
    {
        var own = proofs.Where(p => p.Board == piece.Key).ToList();
        var why = own.Find(p => p.Comparison.Why.Count > 0)?.Comparison.Why;
        var rise = loop?.Pairs.FirstOrDefault(p => own.Exists(o => o.Pair == p.Pair))?.InletRiseK ?? 0;
        var inlet = rise >= MinRiseK ? ProveStationWords.CoolantComesInWarmer(rise) : Message.Empty;
        return new()
        {
            Id = new(Station.Prove, order.ScopeOf(piece), "after"),
            Kind = StepKind.Run,
            Board = piece.Key,
            Done = ProveStationWords.ReadingsTaken,
            Title =
                piece.Board.Kind == BoardKind.MemoryModule
                    ? ProveStationWords.ReadEveryModulesOwnSensor
                    : ProveStationWords.MeasureAtSameLoadRoom(order.On(piece.Key)),
            Detail = (why is null ? ProveStationWords.CoolantRoomAndFlowNoted : Message.Join(why)) + inlet,
            Targets =
            [
                .. piece
                    .Board.Parts.Where(p => p.Kind is PartKind.Die or PartKind.Lid && p.DissipationW > 0)
                    .Select(p => p.Id),
            ],
        };
    }

    /// <summary>What a socket shows first when it is pressed too little.</summary>
    private static WorkStep MemorySpeed(WorkOrder order, SeatPlan seat)
    {
        var socket = order.Find(seat.Board)!.Seated!.Socket;
        return new()
        {
            Id = new(Station.Prove, order.ScopeOf(order.Pairs.First(p => p.Key == seat.Pair)), "memory-speed"),
            Kind = StepKind.Look,
            Board = seat.Board,
            Pair = seat.Pair,
            Title = ProveStationWords.CheckThatAllMemoryIsDetected,
            Detail = ProveStationWords.ContactsPressedTooLittleShowThere,
            Done = ProveStationWords.AtSpeed,
            Feel = ProveStationWords.EveryModuleIsListedEach,
            Facts =
            [
                new(FormattableString.Invariant($"{seat.Match.SocketLoadN:0} N"), "on the contacts"),
                new(FormattableString.Invariant($"{socket.ContactMinN:0} to {socket.ContactMaxN:0} N"), "they want"),
            ],
        };
    }
}
