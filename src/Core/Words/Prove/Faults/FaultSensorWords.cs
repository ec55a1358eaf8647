namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault sensor.</summary>
internal static class FaultSensorWords
{
    public static Message BlockCoversNoneOfTheseNothing(string parts) =>
        $"{parts}: the block covers none of these, nothing is expected there.";
}
