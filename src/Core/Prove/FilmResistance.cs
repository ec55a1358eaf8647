using FaithfulBracket.Core.Pads;

namespace FaithfulBracket.Core.Prove;

/// <summary>What the paste film adds between die and block.</summary>
public static class FilmResistance
{
    /// <summary>
    /// Mean film thickness over conductivity and area of the hottest die, K/W; null where no die is under paste or
    /// nobody knows what presses it.
    /// </summary>
    public static double? Compute(PairPads pair)
    {
        if (pair is not { Seating: { Dies: { Count: > 0 } dies, LoadUnknown: false }, Stack: { } stack })
            return null;
        var die = dies.MaxBy(d => stack.Board.FindPart(d.Part)!.DissipationW)!;
        var area = stack.Board.FindPart(die.Part)!.Top().Area;
        return die.BondLinesUm.Average() / 1000 / (stack.Paste.ConductivityWPerMK / 1000 * area);
    }
}
