namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of step uses.</summary>
internal static class StepUsesWords
{
    public static Message BridgingFittingWithRings(string owner) => $"bridging fitting {owner} with its rings";

    public static Message ORingOfBlock => $"O-ring of the block";
}
