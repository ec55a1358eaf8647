namespace FaithfulBracket.Core.Words.Blocks.Assumed;

/// <summary>Sentences of assumed block.</summary>
internal static class AssumedBlockWords
{
    public const string ExpectedFullCoverOrCoreOnly =
        "Expected full-cover or core-only: other kinds are described in a document.";

    public const string BoardHasNoDieOnFront = "The board has no die on its front: say which part is its die first.";

    public const string BoardHasNoHoleThatBlocks = "The board has no hole that a block's screw goes through.";

    public static string NobodyHasMeasuredHowHighDie(string die) =>
        $"Nobody has measured how high die {die} stands: measure it first.";
}
