namespace FaithfulBracket.Core.Words.Blocks.Assumed;

/// <summary>Sentences of assumed block.</summary>
internal static class AssumedBlockWords
{
    public static Message ExpectedFullCoverOrCoreOnly =>
        $"Expected full-cover or core-only: other kinds are described in a document.";

    public static Message BoardHasNoDieOnFront =>
        $"The board has no die on its front: say which part is its die first.";

    public static Message BoardHasNoHoleThatBlocks => $"The board has no hole that a block's screw goes through.";

    public static Message NobodyHasMeasuredHowHighDie(string die) =>
        $"Nobody has measured how high die {die} stands: measure it first.";
}
