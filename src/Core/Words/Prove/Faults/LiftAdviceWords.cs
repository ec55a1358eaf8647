namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of lift advice.</summary>
internal static class LiftAdviceWords
{
    public static Message FreshPadsOfPaste(int pads, double pasteG, double money, string currency) =>
        $"{pads} fresh pads, {pasteG:0.0} g of paste ({money:0} {currency}) and one more strip-down";

    public static Message LeaveItDown(double chance, string cost) =>
        $"Leave it down: {chance:0} % that anything is wrong under the block. Lifting costs {cost}.";

    public static Message StillUnderLimit(double marginK) => $", still {marginK:0} K under its limit";

    public static Message ThatSomethingIsWrongUnderBlock(
        string advice,
        double percent,
        double riseK,
        string where,
        string left,
        string cost
    ) =>
        $"{advice}: {percent:0} % that something is wrong under the block, {riseK:0} K at {where}{left}. Lifting "
        + $"costs {cost}.";
}
