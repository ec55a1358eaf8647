using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Orders;

/// <summary>Tells the kind of an order from its boards, its blocks and the stock assembly.</summary>
public static class JobKinds
{
    public static JobKind Classify(WorkOrder order) =>
        order.Machine is not null ? JobKind.Machine
        : order.First.Board.Kind == BoardKind.MemoryModule ? JobKind.Memory
        : order.First.Board.Kind == BoardKind.ConsoleBoard ? JobKind.Console
        : Has(order, BlockKind.OnePiece) ? JobKind.MainboardOnePiece
        : order.Pieces.FirstOrDefault(p => p.Seated is not null)?.Seated is { } seated ? OnSocket(order, seated)
        : order.First.Board.Kind is BoardKind.Mainboard or BoardKind.Processor ? Mainboard(order)
        : Card(order);

    /// <summary>The kind in the words of the trade.</summary>
    public static string Words(JobKind kind) =>
        kind switch
        {
            JobKind.FullCover => "full-cover card",
            JobKind.CoreOnly => "core-only block",
            JobKind.TwinBoard => "twin-board card",
            JobKind.TwoDies => JobKindsWords.TwoDiesOnOneBoard,
            JobKind.Workstation => "workstation card",
            JobKind.PlugInModule => JobKindsWords.CardWithPlugInModule,
            JobKind.UnknownMake => JobKindsWords.CardOfUnknownMake,
            JobKind.Machine => JobKindsWords.SeveralCardsInOneMachine,
            JobKind.BackPlate => JobKindsWords.BackPlateKeptOrCooled,
            JobKind.MainboardOnePiece => JobKindsWords.MainboardOnePieceBlock,
            JobKind.MainboardSplit => "mainboard, separate blocks",
            JobKind.MainboardBridged => "mainboard, bridged blocks",
            JobKind.Socket => "processor block",
            JobKind.SocketUpgrade => JobKindsWords.ProcessorBlockWithKit,
            JobKind.DirectDie => "direct die",
            JobKind.DirectDieSeveral => JobKindsWords.DirectDieSeveralDies,
            JobKind.Memory => "memory modules",
            _ => "console board",
        };

    private static bool Has(WorkOrder order, BlockKind kind) => order.Pairs.Any(p => p.Block.Kind == kind);

    private static JobKind OnSocket(WorkOrder order, SeatedProcessor seated)
    {
        if (seated.Bare)
            return seated.Processor.Parts.Count(p => p.Kind == PartKind.Die) > 1
                ? JobKind.DirectDieSeveral
                : JobKind.DirectDie;
        var upgraded = order.Pairs.Any(p =>
            p.Block.Sockets.Any(s => s.Socket == seated.Socket.Id && !string.IsNullOrEmpty(s.Kit))
        );
        return upgraded ? JobKind.SocketUpgrade : JobKind.Socket;
    }

    /// <summary>A board that may not run without its block takes one piece, where nothing is chosen yet.</summary>
    private static JobKind Mainboard(WorkOrder order) =>
        order.Pairs.Any(p => p.Block.Joins.Count > 0) ? JobKind.MainboardBridged
        : order.Pairs.Count == 0 && !order.First.Board.UsableWithoutBlock ? JobKind.MainboardOnePiece
        : JobKind.MainboardSplit;

    private static JobKind Card(WorkOrder order)
    {
        var pieces = StockOf(order, a => a.Pieces);
        var leads = StockOf(order, a => a.Leads);
        bool Behind(Piece p) => p is { Face: Face.Back } && (p.Returns || p.Stays);
        // a module is plugged in: a lead ties it to the board
        bool PluggedIn(Piece p) =>
            p is { Face: Face.Back, Returns: true }
            && leads.Exists(l => l.MovesTo is null && l.Between.Contains(p.Id) && l.Between.Contains(Assembly.BoardId));
        return order.Pieces.Count > 1 && order.Card is not null ? JobKind.TwinBoard
            : !BoardLabel.HasCode(order.First.Board) ? JobKind.UnknownMake
            : order.First.Board.Parts.Count(p => p is { Kind: PartKind.Die, Cool: Cooling.Must }) > 1 ? JobKind.TwoDies
            : leads.Exists(l => l.MovesTo is not null) ? JobKind.Workstation
            : pieces.Exists(PluggedIn) ? JobKind.PlugInModule
            : Has(order, BlockKind.BackPlate) || pieces.Exists(Behind) ? JobKind.BackPlate
            : Has(order, BlockKind.CoreOnly) ? JobKind.CoreOnly
            : JobKind.FullCover;
    }

    private static List<T> StockOf<T>(WorkOrder order, Func<Assembly, IReadOnlyList<T>> of) =>
        [.. order.Pieces.Select(p => p.Board.Assembly).Append(order.Assembly).OfType<Assembly>().SelectMany(of)];
}
