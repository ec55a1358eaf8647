using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Prove.Faults;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>Whether a lift is worth it.</summary>
/// <param name="Chance">That something is found under the block which only a lift mends.</param>
/// <param name="Money">Fresh pads and paste; one currency.</param>
public sealed record LiftAdvice(bool Lift, double Chance, double Money, string Currency, Message Text);

/// <summary>
/// Weighs the chance of a fault under the block, and the kelvin it costs, against fresh pads, paste and one more
/// strip-down.
/// </summary>
public static class LiftOrNot
{
    /// <summary>A part this near to its limit, or a die this much too warm, is worth a lift.</summary>
    private const double NearLimitK = 10,
        WarmDieK = 5;

    /// <summary>Less likely than this the block stays down: look first.</summary>
    private const double MinChance = 0.5;

    /// <param name="padsCm2">Of fresh pads that a lift takes.</param>
    public static LiftAdvice Compute(
        FaultResult found,
        ExpectResult expected,
        IReadOnlySet<string> dies,
        int pads,
        double padsCm2,
        double pasteG,
        KitPrices prices
    )
    {
        List<FaultHypothesis> under = [.. found.Hypotheses.Where(h => Under(h.Kind))];
        var chance = under.Sum(h => h.Probability);
        var money = padsCm2 * prices.PadCm2 + pasteG * prices.PasteGram;
        var cost = LiftAdviceWords.FreshPadsOfPaste(pads, pasteG, money, prices.Currency);
        if (under.Count == 0 || chance < MinChance)
            return new(false, chance, money, prices.Currency, LiftAdviceWords.LeaveItDown(chance * 100, cost));
        var first = under[0];
        var worst = first.EffectK.MaxBy(e => e.K)!;
        var part = expected
            .Parts.Where(p => worst.Parts.Contains(p.Part))
            .OrderBy(p => p.LimitC is { } l ? l - p.C : double.PositiveInfinity)
            .FirstOrDefault();
        var margin = part?.LimitC - part?.C - worst.K;
        var die = worst.Parts.Any(dies.Contains) && worst.K >= WarmDieK;
        var lift = die || margin < NearLimitK;
        var where = worst.Parts.Count == 1 ? worst.Parts[0] : $"{worst.Parts[0]} to {worst.Parts[^1]}";
        var left =
            margin is not { } m ? ""
            : m < 0 ? FormattableString.Invariant($", {-m:0} K over its limit")
            : LiftAdviceWords.StillUnderLimit(m);
        return new(
            lift,
            chance,
            money,
            prices.Currency,
            LiftAdviceWords.ThatSomethingIsWrongUnderBlock(
                lift ? "Lift" : "Leave it down",
                chance * 100,
                worst.K,
                where,
                left,
                cost
            )
        );
    }

    private static bool Under(FaultKind kind) =>
        kind
            is FaultKind.FilmLeft
                or FaultKind.PadMissing
                or FaultKind.PadThin
                or FaultKind.PasteVoid
                or FaultKind.Tilt
                or FaultKind.Floats
                or FaultKind.PumpOut;
}
