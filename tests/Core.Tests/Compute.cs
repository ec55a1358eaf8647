using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;

namespace FaithfulBracket.Core.Tests;

/// <summary>One block laid on one board, asked in one line.</summary>
internal static class Compute
{
    public static StackUp Stack(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste
    ) => new(LaidBlock.Create(board, block), pads, materials, paste);

    public static GapsResult Gaps(
        Board board,
        Block block,
        IReadOnlyDictionary<string, PadMaterial> materials,
        IReadOnlyList<StockedPad>? stock = null,
        double bondLineMm = PlaneHeight.DefaultBondLineMm
    ) => Pads.Gaps.Compute(LaidBlock.Create(board, block, new(bondLineMm)), materials, stock, bondLineMm);

    public static SeatingResult Seat(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        double maxBondLineUm = SeatingSolver.DefaultMaxBondLineUm,
        BoardStiffness? elastic = null
    ) => SeatingSolver.Solve(Stack(board, block, pads, materials, paste), maxBondLineUm, elastic);

    public static TighteningResult Tighten(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        double? turnsPerMove = null,
        IReadOnlyList<string>? order = null
    ) =>
        Tightening.Simulate(
            Stack(board, block, pads, materials, paste).WhileMounting(screwsIn: true),
            turnsPerMove,
            order
        );

    public static PracticeResult Practise(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        IReadOnlyList<(string Hole, double Turns)> turns
    ) => Tightening.Practise(Stack(board, block, pads, materials, paste).WhileMounting(screwsIn: true), turns);

    public static PadFaultResult Fault(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        string part,
        PadFault fault,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste
    ) => PadFaults.Try(Stack(board, block, pads, materials, paste), part, fault);

    public static IReadOnlyList<Alternative> Others(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyList<string> parts,
        IReadOnlyList<StockedPad> atHand,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste
    ) => Alternatives.For(Stack(board, block, pads, materials, paste), parts, atHand);

    public static IReadOnlyList<PlateModel> Models(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste
    ) => PlateModel.For(Stack(board, block, pads, materials, paste));

    /// <summary>A job of one board and one block.</summary>
    public static JobContext Job(Board board, Block? block = null) => new() { Order = WorkOrder.Plain(board, block) };
}
