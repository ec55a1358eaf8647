using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Heat;

namespace FaithfulBracket.Core.Heat;

/// <summary>Dies under a lid: their heat goes through the bond and spreads in the lid before it meets the block.</summary>
internal static class UnderLid
{
    /// <param name="told">The parts that meet the block, lids among them.</param>
    /// <param name="coolantC">Mean of the coolant.</param>
    /// <param name="warnings">Takes what had to be assumed.</param>
    public static IReadOnlyList<ExpectedPart> Dies(
        Board board,
        IReadOnlyList<ExpectedPart> told,
        double coolantC,
        List<Message> warnings
    )
    {
        List<ExpectedPart> dies = [];
        foreach (var top in told)
        {
            if (board.FindPart(top.Part) is not { Kind: PartKind.Lid } lid)
                continue;
            // what a die gives is its share of what its lid passes on
            List<Part> under = [.. board.Parts.Where(p => p is { Kind: PartKind.Die } && p.Under == lid.Id)];
            var stated = under.Sum(d => d.DissipationW);
            var shares =
                stated > 0 && under.TrueForAll(d => d.PowerShare is null)
                    ? [.. under.Select(d => d.DissipationW / stated)]
                    : PowerShares.Compute(under);
            foreach (var (die, share) in under.Zip(shares).Where(d => d.Second > 0))
            {
                if ((die.BondMm ?? lid.BondMm) is { } bondMm && (lid.LidThicknessMm ?? die.LidThicknessMm) is { } lidMm)
                    dies.Add(Through(board, lid, die, top, coolantC, share, bondMm, lidMm));
                else
                    warnings.Add(UnderLidWords.LiesUnderWhichStatesNoBond(die.Id, lid.Id));
            }
        }
        return dies;
    }

    private static ExpectedPart Through(
        Board board,
        Part lid,
        Part die,
        ExpectedPart top,
        double coolantC,
        double share,
        double bondMm,
        double lidMm
    )
    {
        var (area, watts) = (die.Top().Area, top.Watts * share);
        var behind = top.Watts / Math.Max(1e-9, (top.C - coolantC) * lid.Top().Area * 1e-6);
        var bond = watts * bondMm / 1000 / (DirectDie.BondK(board, lid, die) * area * 1e-6);
        var spread =
            watts
            * Spreading.Layer(
                area,
                share * lid.Top().Area,
                lidMm,
                lid.LidKWPerMK ?? die.LidKWPerMK ?? DirectDie.CopperWPerMK,
                behind
            );
        // a bond may come out thicker than it is meant
        var thick = (DirectDie.ThickShare - 1) * bond;
        return new(die.Id, top.C + bond + spread, top.LandC, top.ThroughK + bond + spread, die.LimitC)
        {
            Watts = watts,
            RangeK = Math.Sqrt(
                top.RangeK * top.RangeK + thick * thick + Math.Pow(HeatError.RangeK(bond + spread, 0, 0), 2)
            ),
        };
    }
}
