using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Prove;

/// <summary>Under what a job's parts are expected: as they were measured, or as the shop usually runs them.</summary>
public static class JobConditions
{
    /// <param name="after">The last after reading; null before there is one.</param>
    public static HeatConditions From(Reading? after, ShopSettings shop, Board board) =>
        after is { CoolantC: { } coolant }
            ? new(BoardW(board, after.PowerW), coolant, after.FlowLMin ?? shop.FlowLPerMin)
            : new(null, shop.CoolantInC, shop.FlowLPerMin);

    /// <summary>Of a run with coolant and flow.</summary>
    public static HeatConditions From(Reading run, Board board) =>
        new(BoardW(board, run.PowerW), run.CoolantC!.Value, run.FlowLMin!.Value);

    /// <summary>
    /// What all parts of a board give when its meter shows this: a card's meter counts the whole card, a mainboard's
    /// the package of its processor.
    /// </summary>
    private static double BoardW(Board board, double readW)
    {
        if (board.Kind != BoardKind.Mainboard)
            return readW;
        double all = board.Parts.Where(p => p.Kind != PartKind.Empty).Sum(p => p.DissipationW),
            package = board.Parts.Where(p => p.Kind is PartKind.Die or PartKind.Lid).Sum(p => p.DissipationW);
        return package > 0 ? readW * all / package : readW;
    }
}
