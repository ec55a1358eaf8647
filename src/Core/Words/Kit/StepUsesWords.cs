namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of step uses.</summary>
internal static class StepUsesWords
{
    public static string BridgingFittingWithRings(string owner) => $"bridging fitting {owner} with its rings";

    public const string ORingOfBlock = "O-ring of the block";
}
