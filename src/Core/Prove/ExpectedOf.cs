using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>What the parts under one block of a job run at: the one answer that plan, forecast, passport and verdict give.</summary>
public static class ExpectedOf
{
    /// <summary>Each cold plate from nothing.</summary>
    public static readonly PlateOf FromNothing = (laid, flow, cancel) => BlockHeat.Compute(laid, null, flow, cancel);

    /// <summary>Whether anything stands under the block that could be calculated.</summary>
    public static bool Possible(PairPads pair) =>
        pair.Carried is not null || pair is { Stack: not null, Seating: not null };

    /// <param name="materials">Pads of other materials that are tried; null takes those of the plan.</param>
    /// <param name="paste">A paste that is tried; null takes that of the plan.</param>
    /// <exception cref="InputException">Nothing is seated, or the documents state too little.</exception>
    public static ExpectResult Compute(
        PairPads pair,
        HeatConditions at,
        PlateOf plates,
        IReadOnlyDictionary<string, PadMaterial>? materials = null,
        PasteMaterial? paste = null,
        CancellationToken cancel = default
    )
    {
        if (pair.Carried is { } carried)
            return CarrierHeat.Compute(materials is null ? carried : carried with { Materials = materials }, at);
        if (pair is not { Stack: { } stack, Seating: not null })
            throw new InputException("", ExpectedOfWords.ChooseBlockAndPaste);
        return Expect.Compute(
            plates(stack.Laid, at.FlowLMin, cancel).At(at.PowerW),
            stack.Pads,
            materials ?? stack.Materials,
            paste ?? stack.Paste,
            at
        );
    }

    /// <summary>The board it is of.</summary>
    public static Board Board(PairPads pair) => pair.Carried?.Board ?? pair.Stack!.Board;
}
