using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record PairAnswer(string Key, Verdict Verdict, IReadOnlyList<PlateFit> Plates);

internal sealed record OrderAnswer(
    Verdict Verdict,
    IReadOnlyList<PairAnswer> Pairs,
    IReadOnlyList<UncoveredPart> Uncovered,
    IReadOnlyList<BetweenFault> Between,
    IReadOnlyList<Reason> Reasons
);

/// <summary>Several blocks on several boards: where each goes, and what stands between them.</summary>
internal static class WorkOrderEndpoint
{
    public const string InWords = WorkOrderEndpointWords.LimitsBodyOfMiBBoardsBlocks;

    public static async Task<Ok<OrderAnswer>> AnswerAsync(HttpRequest request)
    {
        var (order, settings) = await Bodies.ReadAsync(request, Read);
        var fit = OrderFits.Judge(order, settings, request.HttpContext.RequestAborted);
        return TypedResults.Ok(
            new OrderAnswer(
                fit.Verdict,
                [.. fit.Pairs.Select(p => new PairAnswer(p.Key, p.Verdict, p.Plates))],
                fit.Uncovered,
                fit.Between,
                fit.Reasons
            )
        );
    }

    private static (WorkOrder, FitSettings) Read(ObjectReader o)
    {
        var plain = new FitSettings();
        var settings = plain with
        {
            BondLineMm = o.Number("bondLineMm", 0, 5, plain.BondLineMm),
            MinClearanceMm = o.Number("minClearanceMm", 0, 50, plain.MinClearanceMm),
            Seed = (ulong)(o.OptionalInteger("seed", 0, int.MaxValue) ?? (int)plain.Seed),
        };
        return (CarrierOrder.Compose(Stated(o)), settings);
    }

    /// <summary>The boards or the card of a body, and the blocks on them, as they are stated.</summary>
    /// <param name="boards">Those of a machine; null reads them.</param>
    /// <param name="blocks">Null reads them.</param>
    internal static WorkOrder Stated(
        ObjectReader o,
        IReadOnlyList<Workpiece>? boards = null,
        IReadOnlyList<Pair>? blocks = null
    )
    {
        var pairs = blocks ?? Pairs(o);
        if (pairs.Count is < 1 or > WorkOrder.MaxPairs)
            o.Fault("pairs", WorkOrderEndpointWords.ExpectedToBlocksFound(WorkOrder.MaxPairs, pairs.Count));
        var order = o.Has("card")
            ? WorkOrder.From(CardReader.Read(o.Object("card")), pairs)
            : new WorkOrder { Pieces = boards ?? Boards(o), Pairs = pairs };
        DocumentRules.Unique(o, "pairs", pairs.Select(p => p.Key));
        if (order.Pieces.Count == 0)
            return Nothing;
        Belong(o, order);
        return order;
    }

    private static List<Pair> Pairs(ObjectReader o) =>
        o.Objects(
            "pairs",
            p => new Pair(DocumentRules.Key(p), BlockReader.Read(p.Object("block")), p.OptionalText("on", 12))
        );

    private static List<Workpiece> Boards(ObjectReader o)
    {
        var boards = o.Objects(
            "boards",
            b => new Workpiece(
                DocumentRules.Key(b),
                BoardReader.Read(b.Object("board")),
                b.OptionalObject("pose") is { } pose ? CardReader.Pose(pose) : null
            )
        );
        if (boards.Count is < 1 or > WorkOrder.MaxPieces)
            o.Fault("boards", WorkOrderEndpointWords.ExpectedToBoardsOrCardFound(WorkOrder.MaxPieces, boards.Count));
        DocumentRules.Unique(o, "boards", boards.Select(b => b.Key));
        return boards;
    }

    /// <summary>Every plate has its board.</summary>
    private static void Belong(ObjectReader o, WorkOrder order)
    {
        for (var i = 0; i < order.Pairs.Count; i++)
        {
            var pair = order.Pairs[i];
            if (pair.On is { } on && order.Find(on) is null)
                o.FaultAt($"pairs/{i}/on", MissingWords.ThereIsNoBoardHere(on));
            for (var k = 0; k < pair.Block.Plates.Count; k++)
                if (order.KeyOf(pair, pair.Block.Plates[k]) is null)
                    o.FaultAt(
                        $"pairs/{i}/block/plates/{k}/board",
                        MissingWords.ThereIsNoBoardHere(pair.Block.Plates[k].Board)
                    );
        }
    }

    private static readonly WorkOrder Nothing = new() { Pieces = [] };
}
