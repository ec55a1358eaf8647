using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Prep;

/// <summary>Prep of a block on a socket: processor in, jet plate changed, posts tight from behind.</summary>
internal sealed class SocketPrep(WorkOrder order, SeatPlan seat, Ways ways)
{
    private readonly Pair _pair = order.Pairs.First(p => p.Key == seat.Pair);
    private readonly SeatedProcessor _seated = order.Find(seat.Board)!.Seated!;
    private readonly SeatThings _at = new(seat);

    private WorkStep Step(string target, StepKind kind, string title, string? detail, string done) =>
        SeatSteps.Of(order, seat, Station.Prep, target, kind, title, detail, done);

    /// <summary>The processor into its socket, mark to mark, by the levers' order.</summary>
    public IEnumerable<WorkStep> Processor()
    {
        var socket = _seated.Socket;
        var isIn = SeatedBoard.IsIn(order.Find(seat.Board)!);
        var cover =
            ways.Clamp == ProcessorAndClamp.ClampOff ? "Clamp off first; nothing may touch the open contacts."
            : seat.Bare ? "Keep the cover on until the package lies over the contacts."
            : "Under its cover, which comes off by itself when the clamp closes.";
        yield return Step(
            "processor",
            StepKind.Seat,
            $"Lay {(seat.Bare ? "the bare package" : "the processor")} in socket {socket.Name}{Mark()}",
            seat.Bare ? cover : $"{Levers(socket)} {cover}",
            "Mark to mark, lies flat"
        ) with
        {
            Caution = "Contacts bend under a fingertip: hold the package by its edges, straight down, no sliding.",
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
            0 => "Loosen the clamp's screws, swing it up, and close it the same way.",
            1 => "Lever out and up, clamp open; afterwards clamp down, lever home.",
            _ => $"Lever 1 up, then lever 2; afterwards lever 2 home first, lever 1 last.",
        };

    /// <summary>A frame in place of the clamp: it holds, it does not press.</summary>
    public WorkStep Frame()
    {
        var nm = seat.Fit?.FrameNm;
        return Step(
            "frame",
            StepKind.Fit,
            nm is { } torque
                ? FormattableString.Invariant(
                    $"Frame in place of the clamp: screws loose, then to {torque:0.00} N·m each"
                )
                : "Frame in place of the clamp: screws loose, then just firm",
            "Something soft under the board first, so that the back plate does not fall. The frame "
                + "holds the package; it does not make the contact pressure.",
            "Frame holds"
        ) with
        {
            Caution = "Well under 1 N·m: a frame drawn tight bends the package.",
            Feel = "Each screw turns light and then stops; the package does not move under the frame.",
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
            $"Open {order.Name(_pair)} and look at its fins",
            "The sticker stays on the face meanwhile. The O-ring likes to stay behind in the lid; parts drop out: over a tray.",
            "Fins clean and straight"
        ) with
        {
            Feel = "Light falls through every gap between the fins; nothing shines or sticks in them.",
            Acts = [new(Verb.Open, _at.Block), new(Verb.Look, _at.Block)],
        };
        if (fit.Insert is { } insert)
            yield return Step(
                "insert",
                StepKind.Rebuild,
                $"Insert {insert} in, the outlet's path clear over it",
                fit.InsertBowMm is { } bow and > 0
                    ? FormattableString.Invariant($"It crowns the face by {bow:0.00} mm.")
                    : null,
                "Insert in"
            ) with
            {
                Feel = "It lies in its bed by its own weight and does not rock.",
                Acts = [new(Verb.Insert, _at.Insert, _at.Block)],
            };
        yield return Jet(jet);
        yield return Step(
            "ports",
            StepKind.Rebuild,
            seat.Way is { } way
                ? FormattableString.Invariant(
                    $"Hold the block as it will sit, turned {seat.TurnDeg:0}°: {SeatedMatch.Ports(way)}"
                )
                : "Hold the block as it will sit and look where its ports point",
            "Turning only the top moves the ports and leaves jet and fins. Does the loop reach them?",
            "Ports are right"
        ) with
        {
            Feel = "Both hoses reach their ports in an easy curve, none against board or case.",
            Acts = [new(Verb.Look, _at.Block)],
        };
        yield return Step(
            "o-ring",
            StepKind.Rebuild,
            "O-ring into its groove, all round, no twist",
            "A hair under it is a leak.",
            "O-ring seated"
        ) with
        {
            Picture = StepPicture.Ring,
            Feel = "A fingertip runs round it without a step or a soft spot.",
            Acts = [new(Verb.Insert, _at.LidRing, _at.Block)],
        };
        yield return Step(
            "close",
            StepKind.Rebuild,
            "Close the block's screws evenly, almost home",
            "Opposite ones by turns; the gap stays even all round.",
            "Almost home"
        ) with
        {
            Picture = StepPicture.Evenly,
        };
        yield return Step("close-home", StepKind.Rebuild, "Now each screw home, in turn", null, "Block closed") with
        {
            Feel = "The gap is closed all round, no ring in sight; each screw stops hard.",
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
            $"Jet plate {jet} in, its slit across the fins{(across ? "" : ": turn it by a quarter")}",
            across
                ? "Across the fins coolant parts to both sides; along them it runs through one gap."
                : "As it comes the slit lies along the fins: coolant would run through one gap and leave the rest warm.",
            "Slit lies across"
        ) with
        {
            Picture = StepPicture.Slit,
            Caution = "Turned with the block, slit and fins stay as they are: only the plate itself can be wrong.",
            Feel = "Through the inlet you see fins to the left and right of the slit, not one gap along it.",
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
                    "Rubber gasket behind the board, its notch over the socket's own",
                    "It keeps the metal plate off the solder.",
                    "Gasket lies flat"
                ) with
                {
                    Face = Face.Back,
                    Picture = StepPicture.Gasket,
                    Feel = "It lies flat, no edge of the socket's plate under it.",
                    Acts = [new(Verb.Fit, _at.Gasket, _at.Board)],
                };
            yield return Step(
                "plate",
                StepKind.Fit,
                "Back plate on it, its cut-outs over the clamp's screws",
                "Hold it with one hand while the board is turned over; plastic washers in front.",
                "Back plate sits"
            ) with
            {
                Face = Face.Back,
                Caution = "Metal on solder is a short circuit: no gasket, no plate.",
                Feel = "It lies flat on the gasket; light falls through every post hole.",
                Acts = [new(Verb.Fit, _at.Plate, _at.Board)],
            };
        }
        if (posts > 0)
            yield return Step(
                "posts",
                StepKind.Fit,
                socket.Posts == Posts.Captive
                    ? $"{posts} posts into the socket's frame, down to the shoulder, then tight"
                    : $"{posts} posts into the back plate, then tight",
                "Start each by hand, do not strip the plate's thread. A loose post comes out later instead of its nut.",
                $"{posts} posts tight"
            ) with
            {
                Count = posts,
                Counted = CountOf.Posts,
                Places = [.. seat.Posts.Select(p => new Geometry.Point2(p.XMm, p.YMm))],
                Facts = [new($"{posts}", "posts")],
                Feel = "Each bites by hand and stops at its shoulder; none leans.",
                Acts = [new(Verb.Fit, _at.Posts, _at.Board, Count: posts)],
            };
    }
}
