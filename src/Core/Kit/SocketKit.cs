using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Kit;

namespace FaithfulBracket.Core.Kit;

/// <summary>What is picked out of a block's bag for one socket: posts, jet plate, insert, plate and gasket.</summary>
internal static class SocketKit
{
    public static IEnumerable<WorkStep> Steps(WorkOrder order, SeatPlan seat)
    {
        var pair = order.Pairs.First(p => p.Key == seat.Pair);
        var socket = order.Find(seat.Board)!.Seated!.Socket;
        WorkStep Step(string target, Message title, Message? detail, string done) =>
            SeatSteps.Create(order, seat, Station.Kit, target, StepKind.Count, title, detail, done);
        if (seat.Fit?.Kit is { Length: > 0 } kit)
            yield return Step(
                "upgrade",
                SocketKitWords.OpenAndLayItBesideBlock(kit),
                SocketKitWords.SocketNeedsIt(socket.Name),
                "Kit is here"
            );
        var posts = seat.Posts.Count;
        if (posts > 0)
            yield return Step(
                "posts",
                SocketKitWords.PickPostsForSocket(posts, socket.Name, SocketMatch.Words(socket.Posts)),
                SocketKitWords.DistinguishedByTheirThreads,
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
                    ? SocketKitWords.FindJetPlateAtCaliper(jet, mm)
                    : (Message)$"Find jet plate {jet}",
                SocketKitWords.JetPlatesCarryNoMark + Others(pair.AsSold ?? pair.Block, fit),
                "Right jet plate"
            ) with
            {
                Facts = fit.JetPlateMm is { } t ? [new(FormattableString.Invariant($"{t:0.00} mm"), "thick")] : [],
            };
        if (seat.Fit?.Insert is { } insert)
            yield return Step(
                "insert",
                SocketKitWords.FindInsertMarkIsSmall(insert),
                seat.Fit.InsertBowMm is { } bow and > 0 ? SocketKitWords.ItCrownsBlocksFace(bow) : null,
                "Right insert"
            );
        if (seat.Match.Shims.Count > 0)
            yield return Step(
                "shims",
                SocketKitWords.LayOutWashersOfUnderEach(Shims.InWords(seat.Match.Shims)),
                SocketKitWords.ContactLiesLowerThanSprings,
                "Washers laid out"
            );
        if (socket.Posts == Posts.BackPlate)
            yield return Step(
                "back-plate",
                socket.StockBackPlate
                    ? SocketKitWords.BoardsOwnPlateBehindSocketStays
                    : SocketKitWords.LayOutBackPlateAndPlastic(socket.Gasket ? SocketKitWords.AndRubberGasket : ""),
                socket.Gasket
                    ? SocketKitWords.GasketsNotchGoesOverSocketsOwn
                    : SocketKitWords.PlatesCutOutsGoOverClamps,
                "Laid out"
            );
    }

    private static Message Others(Blocks.Block block, Blocks.SocketFit fit)
    {
        var others = block
            .Sockets.Where(s => s.Socket != fit.Socket && s is { JetPlate: not null, JetPlateMm: not null })
            .Select(s => FormattableString.Invariant($"{s.JetPlate} is {s.JetPlateMm:0.00} mm"))
            .ToList();
        return others.Count == 0 ? Message.Empty : (Message)$" {string.Join(", ", others)}.";
    }
}
