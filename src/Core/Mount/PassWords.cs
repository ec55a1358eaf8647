using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>One pass over a ring in a sentence: how far, and in which order.</summary>
internal static class PassWords
{
    /// <summary>As many numbers are read at a glance; more are a run.</summary>
    private const int MaxNumbers = 8;

    /// <param name="ring">Ring that a hole belongs to, as a word before "screws".</param>
    public static Message Title(IReadOnlyList<ScrewTurn> turns, int pass, int passes, Func<string, string> ring)
    {
        var amounts = turns.GroupBy(t => t.HowFar).ToList();
        var name = passes == 1 ? PassSentences.OnePass : PassSentences.PassOf(pass, passes);
        if (amounts.Count == 1)
            return PassSentences.AllAlike(name, Each(turns[0].HowFar), Numbers(turns));
        var words = amounts.ConvertAll(a => a.Select(t => ring(t.Hole)).Distinct().ToList());
        var rings = words.ConvertAll(w => string.Join(" and ", w));
        // a ring is told by its word where the whole of it is turned alike
        var apart = words.SelectMany(w => w).Distinct().Count() == words.Sum(w => w.Count);
        return PassSentences.ByAmount(
            name,
            apart
                ? string.Join(", ", amounts.Select((a, i) => $"{rings[i]} {Plural(a)} {a.Key}"))
                : string.Join(", ", amounts.Select(a => $"{Numbers([.. a])} {a.Key}"))
        );
    }

    /// <summary>How the order goes.</summary>
    public static Message Order(IReadOnlyList<ScrewTurn> turns) =>
        turns.Count == 2
            ? PassSentences.AlternateBetweenTwoLittleByLittle(turns[0].Thing)
            : PassSentences.TurnInOrderOfTheirNumbers(turns[0].Thing);

    /// <summary>What a pass feels like.</summary>
    public static Message Feel(bool last) =>
        last ? PassSentences.ResistanceRisesToEndSame : PassSentences.ResistanceGrowsSoftlyAndSame;

    /// <summary>"half a turn each", "each until it grips, then an eighth turn".</summary>
    private static string Each(string howFar) =>
        howFar.StartsWith("each ", StringComparison.Ordinal) ? howFar
        : howFar.EndsWith("turn", StringComparison.Ordinal) || howFar.EndsWith("turns", StringComparison.Ordinal)
            ? howFar.Contains(',', StringComparison.Ordinal) ? $"each {howFar}"
                : $"{howFar} each"
        : $"each {howFar}";

    private static string Plural(IEnumerable<ScrewTurn> turns) =>
        turns.Count() == 1 ? turns.First().Thing : $"{turns.First().Thing}s";

    private static string Numbers(IReadOnlyList<ScrewTurn> turns)
    {
        List<int> numbers = [.. turns.Select(t => t.Number)];
        var run = numbers.Zip(numbers.Skip(1), (a, b) => b == a + 1).All(x => x);
        return $"{Plural(turns)} "
            + (
                numbers.Count > 2 && run ? $"{numbers[0]} to {numbers[^1]}"
                : numbers.Count <= MaxNumbers ? string.Join(" ", numbers)
                : $"{string.Join(" ", numbers.Take(MaxNumbers - 1))} and {numbers.Count - MaxNumbers + 1} more"
            );
    }
}
