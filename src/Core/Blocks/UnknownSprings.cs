using FaithfulBracket.Core.Words.Blocks;

namespace FaithfulBracket.Core.Blocks;

/// <summary>What is said while nobody has looked at the springs that press a block down.</summary>
public static class UnknownSprings
{
    /// <summary>In place of a figure that they make.</summary>
    public static string NotStated => UnknownSpringsWords.NotKnownSpringsNotLooked;

    private const int MaxNamed = 6;

    /// <summary>Whose they are, and what to do, in a sentence; null where everybody's are known.</summary>
    public static string? Describe(IEnumerable<BlockHole> screws)
    {
        List<string> unknown = [.. screws.Where(h => h.SpringUnknown).Select(h => h.Id).Distinct()];
        return unknown.Count == 0
            ? null
            : UnknownSpringsWords.NobodyHasLookedWhetherCarrySprings(
                string.Join(", ", unknown.Take(MaxNamed)),
                unknown.Count > MaxNamed ? " …" : ""
            );
    }
}
