using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Kit;

/// <summary>What is picked out of a block's bag for one socket: posts, jet plate, insert, plate and gasket.</summary>
internal static class SocketKit
{
    public static IEnumerable<WorkStep> Steps(WorkOrder order, SeatPlan seat)
    {
        var pair = order.Pairs.First(p => p.Key == seat.Pair);
        var socket = order.Find(seat.Board)!.Seated!.Socket;
        WorkStep Step(string target, string title, string? detail, string done) =>
            SeatSteps.Of(order, seat, Station.Kit, target, StepKind.Count, title, detail, done);
        if (seat.Fit?.Kit is { Length: > 0 } kit)
            yield return Step(
                "upgrade",
                $"Open {kit} and lay it beside the block",
                $"Socket {socket.Name} needs it; the parts in the block's own bag for other sockets stay closed.",
                "Kit is here"
            );
        var posts = seat.Posts.Count;
        if (posts > 0)
            yield return Step(
                "posts",
                $"Pick {posts} posts for socket {socket.Name}: {SocketMatch.Words(socket.Posts)}",
                "Told apart by their threads. Count springs and nuts with them; a washer may be stuck inside a nut.",
                $"{posts} posts"
            ) with
            {
                Count = posts,
                Counted = CountOf.Posts,
                Facts = [new($"{posts}", "posts, springs, nuts")],
            };
        if (seat.Fit is { JetPlate: { } jet } fit)
            yield return Step(
                "jet-plate",
                fit.JetPlateMm is { } mm
                    ? FormattableString.Invariant($"Find jet plate {jet} at the caliper: {mm:0.00} mm")
                    : $"Find jet plate {jet}",
                "Jet plates carry no mark: their thickness tells them apart." + Others(pair.AsSold ?? pair.Block, fit),
                "Right jet plate"
            ) with
            {
                Facts = fit.JetPlateMm is { } t ? [new(FormattableString.Invariant($"{t:0.00} mm"), "thick")] : [],
            };
        if (seat.Fit?.Insert is { } insert)
            yield return Step(
                "insert",
                $"Find insert {insert}, its mark is small",
                seat.Fit.InsertBowMm is { } bow and > 0
                    ? FormattableString.Invariant($"It crowns the block's face by {bow:0.00} mm over this lid.")
                    : null,
                "Right insert"
            );
        if (seat.Match.Shims.Count > 0)
            yield return Step(
                "shims",
                $"Lay out washers of {Shims.InWords(seat.Match.Shims)}, under each spring",
                "The contact lies lower than the springs are made for; the washers give back their load.",
                "Washers laid out"
            );
        if (socket.Posts == Posts.BackPlate)
            yield return Step(
                "back-plate",
                socket.StockBackPlate
                    ? "The board's own plate behind the socket stays: look that it is there"
                    : $"Lay out the back plate{(socket.Gasket ? " and its rubber gasket" : "")}, and a plastic washer for each post",
                socket.Gasket
                    ? "The gasket's notch goes over the socket's own; the plate's cut-outs over the clamp's screws."
                    : "The plate's cut-outs go over the clamp's screws.",
                "Laid out"
            );
    }

    private static string Others(Blocks.Block block, Blocks.SocketFit fit)
    {
        var others = block
            .Sockets.Where(s => s.Socket != fit.Socket && s is { JetPlate: not null, JetPlateMm: not null })
            .Select(s => FormattableString.Invariant($"{s.JetPlate} is {s.JetPlateMm:0.00} mm"))
            .ToList();
        return others.Count == 0 ? "" : $" {string.Join(", ", others)}.";
    }
}
