using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Prep;

namespace FaithfulBracket.Core.Prep;

/// <summary>Prep of a block on a socket: processor in, jet plate changed, posts tight from behind.</summary>
internal sealed class SocketPrep(WorkOrder order, SeatPlan seat, Ways ways)
{
    private readonly Pair _pair = order.Pairs.First(p => p.Key == seat.Pair);
    private readonly SeatedProcessor _seated = order.Find(seat.Board)!.Seated!;
    private readonly SeatThings _at = new(seat);

    private WorkStep Step(string target, StepKind kind, Message title, Message? detail, string done) =>
        SeatSteps.Create(order, seat, Station.Prep, target, kind, title, detail, done);

    /// <summary>The processor into its socket, mark to mark, by the levers' order.</summary>
    public IEnumerable<WorkStep> Processor()
    {
        var socket = _seated.Socket;
        var isIn = SeatedBoard.IsIn(order.Find(seat.Board)!);
        var cover =
            ways.Clamp == ProcessorAndClamp.ClampOff ? SocketPrepWords.ClampOffFirst
            : seat.Bare ? SocketPrepWords.KeepCoverOnUntilPackageLies
            : SocketPrepWords.UnderCoverWhichComesOff;
        yield return Step(
            "processor",
            StepKind.Seat,
            $"Lay {(seat.Bare ? "the bare package" : "the processor")} in socket {socket.Name}{Mark()}",
            seat.Bare ? cover : (Message)$"{Levers(socket)} {cover}",
            SocketPrepWords.MarkToMarkLiesFlat
        ) with
        {
            Caution = SocketPrepWords.ContactsBendUnderFingertip,
            Places = seat.Mark is { } at ? [at] : [],
            Acts = Laid(socket, isIn),
        };
    }

    /// <summary>A lidded package under its clamp; a bare one where the clamp is off, or comes off over it.</summary>
    private List<Act> Laid(Socket socket, bool isIn)
    {
        Act laid = new(Verb.Insert, _at.Processor, _at.Board);
        if (!seat.Bare)
            return [.. _at.Unlatch(socket.Levers), laid, .. _at.Latch(socket.Levers)];
        Act off = new(Verb.Remove, _at.Clamp);
        return isIn ? [laid]
            : ways.Clamp == ProcessorAndClamp.ClampOff ? [.. _at.Unlatch(socket.Levers), off, laid]
            : [.. _at.Unlatch(socket.Levers), laid, off];
    }

    private string Mark() =>
        _seated.Socket.CornerMark is { } side
            ? $", corner mark {(side.Y > 0 ? "upper" : "lower")} {(side.X > 0 ? "right" : "left")}"
            : "";

    private static string Levers(Socket socket) =>
        socket.Levers switch
        {
            0 => SocketPrepWords.LoosenClampsScrewsSwingItUp,
            1 => SocketPrepWords.LeverOutAndUpClampOpen,
            _ => SocketPrepWords.LeverUpThenLever,
        };

    /// <summary>A frame in place of the clamp: it holds, it does not press.</summary>
    public WorkStep Frame()
    {
        var nm = seat.Fit?.FrameNm;
        return Step(
            "frame",
            StepKind.Fit,
            nm is { } torque ? SocketPrepWords.FrameInPlaceOfClamp(torque) : SocketPrepWords.FrameInPlaceOfClampScrews,
            SocketPrepWords.SomethingSoftUnderBoard,
            "Frame holds"
        ) with
        {
            Caution = SocketPrepWords.WellUnderNM,
            Feel = SocketPrepWords.EachScrewTurnsLightAndThen,
            Acts = [new(Verb.Fit, _at.Frame, _at.Board)],
            Facts =
            [
                .. nm is { } t ? new[] { new Fact(FormattableString.Invariant($"{t:0.00} N·m"), "each screw") } : [],
                .. seat.Fit?.FrameN is { } n
                    ? new[] { new Fact(FormattableString.Invariant($"{n:0} N"), "it holds with") }
                    : [],
            ],
        };
    }

    /// <summary>The block opened, its jet plate and insert changed, and closed again.</summary>
    public IEnumerable<WorkStep> Rebuild()
    {
        if (seat.Fit is not { JetPlate: { } jet } fit)
            yield break;
        yield return Step(
            "fins",
            StepKind.Rebuild,
            SocketPrepWords.OpenAndLookAtFins(order.Name(_pair)),
            SocketPrepWords.StickerStaysOnFaceMeanwhile,
            SocketPrepWords.FinsCleanAndStraight
        ) with
        {
            Feel = SocketPrepWords.LightFallsThroughEveryGap,
            Acts = [new(Verb.Open, _at.Block), new(Verb.Look, _at.Block)],
        };
        if (fit.Insert is { } insert)
            yield return Step(
                "insert",
                StepKind.Rebuild,
                SocketPrepWords.InsertInOutletsPathClear(insert),
                fit.InsertBowMm is { } bow and > 0 ? SocketPrepWords.ItCrownsFace(bow) : null,
                "Insert in"
            ) with
            {
                Feel = SocketPrepWords.ItLiesInBedByOwn,
                Acts = [new(Verb.Insert, _at.Insert, _at.Block)],
            };
        yield return Jet(jet);
        yield return Step(
            "ports",
            StepKind.Rebuild,
            seat.Way is { } way
                ? SocketPrepWords.HoldBlockAsItWillSit(seat.TurnDeg, SeatedMatch.Ports(way))
                : SocketPrepWords.HoldBlockAsItWillSitAndLook,
            SocketPrepWords.TurningOnlyTopMovesPorts,
            "Ports are right"
        ) with
        {
            Feel = SocketPrepWords.BothHosesReachTheirPorts,
            Acts = [new(Verb.Look, _at.Block)],
        };
        yield return Step(
            "o-ring",
            StepKind.Rebuild,
            SocketPrepWords.FitORingIntoGroove,
            SocketPrepWords.HairUnderORingCausesLeak,
            "O-ring seated"
        ) with
        {
            Picture = StepPicture.Ring,
            Feel = SocketPrepWords.FingertipRunsRoundItWithoutStep,
            Acts = [new(Verb.Insert, _at.LidRing, _at.Block)],
        };
        yield return Step(
            "close",
            StepKind.Rebuild,
            SocketPrepWords.CloseBlocksScrewsEvenlyAlmostHome,
            SocketPrepWords.OppositeOnesByTurns,
            "Almost home"
        ) with
        {
            Picture = StepPicture.Evenly,
        };
        yield return Step("close-home", StepKind.Rebuild, SocketPrepWords.TurnEachScrewHome, null, "Block closed") with
        {
            Feel = SocketPrepWords.GapIsClosedAllRound,
            Acts = [new(Verb.Close, _at.Block)],
        };
    }

    private WorkStep Jet(string jet)
    {
        var plate = _pair.Block.ColdPlate;
        var across = Orientations.SlitAcrossFins(plate);
        return Step(
            "jet",
            StepKind.Rebuild,
            SocketPrepWords.FitJetPlateWithSlitAcrossFins(jet, across ? "" : SocketPrepWords.QuarterTurn),
            across ? SocketPrepWords.AcrossFinsCoolantPartsToBoth : SocketPrepWords.AsItComesSlitLiesAlong,
            "Slit lies across"
        ) with
        {
            Picture = StepPicture.Slit,
            Caution = SocketPrepWords.TurnedWithBlockSlitAndFins,
            Feel = SocketPrepWords.ThroughInletYouSeeFins,
            Acts = [new(Verb.Insert, _at.Jet, _at.Block)],
            Facts = plate is { FinDirectionDeg: { } fins }
                ?
                [
                    new(FormattableString.Invariant($"{fins % 180:0}°"), "fins"),
                    new(FormattableString.Invariant($"{(fins + 90) % 180:0}°"), "slit"),
                ]
                : [],
        };
    }

    /// <summary>Gasket, plate and posts from behind.</summary>
    public IEnumerable<WorkStep> Behind()
    {
        var socket = _seated.Socket;
        var posts = seat.Posts.Count;
        if (socket.Posts == Posts.BackPlate && !socket.StockBackPlate)
        {
            if (socket.Gasket)
                yield return Step(
                    "gasket",
                    StepKind.Fit,
                    SocketPrepWords.FitRubberGasketBehindBoard,
                    SocketPrepWords.ItKeepsMetalPlateOffSolder,
                    "Gasket lies flat"
                ) with
                {
                    Face = Face.Back,
                    Picture = StepPicture.Gasket,
                    Feel = SocketPrepWords.ItLiesFlatNoEdge,
                    Acts = [new(Verb.Fit, _at.Gasket, _at.Board)],
                };
            yield return Step(
                "plate",
                StepKind.Fit,
                SocketPrepWords.LayBackPlateOnIt,
                SocketPrepWords.HoldItWithOneHandWhile,
                "Back plate sits"
            ) with
            {
                Face = Face.Back,
                Caution = SocketPrepWords.MetalOnSolderIsShortCircuit,
                Feel = SocketPrepWords.ItLiesFlatOnGasket,
                Acts = [new(Verb.Fit, _at.Plate, _at.Board)],
            };
        }
        if (posts > 0)
            yield return Step(
                "posts",
                StepKind.Fit,
                socket.Posts == Posts.Captive
                    ? SocketPrepWords.PostsIntoSocketsFrameDown(posts)
                    : SocketPrepWords.PostsIntoBackPlateThenTight(posts),
                SocketPrepWords.StartEachByHandDo,
                $"{posts} posts tight"
            ) with
            {
                Count = posts,
                Counted = CountOf.Posts,
                Places = [.. seat.Posts.Select(p => new Geometry.Point2(p.XMm, p.YMm))],
                Facts = [new($"{posts}", "posts")],
                Feel = SocketPrepWords.EachBitesByHandAndStops,
                Acts = [new(Verb.Fit, _at.Posts, _at.Board, Count: posts)],
            };
    }
}
