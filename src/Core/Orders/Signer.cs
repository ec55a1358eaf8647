using System.Globalization;
using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Orders;

/// <summary>Bench initials: who signs.</summary>
public static class Signer
{
    /// <summary>Most letters of bench initials.</summary>
    public const int MaxLetters = 4;

    /// <summary>
    /// Initials as they are stored and compared: capital letters, one form of each, no space around them.
    /// </summary>
    public static string Normalize(string initials) => Letters.Normalize(initials);

    /// <summary>
    /// Whether initials can be signed with: one to four letters, none that looks like a Latin letter and is another.
    /// </summary>
    public static bool IsGood(string? by) => WhyNot(by) is null;

    /// <summary>Why initials cannot be signed with; null where they can.</summary>
    public static string? WhyNot(string? by)
    {
        if (
            by is null
            || Normalize(by) is not { Length: >= 1 and <= MaxLetters } initials
            || !initials.All(char.IsLetter)
        )
            return Expected;
        return initials.FirstOrDefault(IsLookAlike) is var odd and not '\0'
            ? SignerWords.LetterUCanBeMistaken(odd, (int)odd)
            : null;
    }

    /// <summary>The message for initials that are not valid.</summary>
    public static string Expected => SignerWords.SignWithOneToFourLetters;

    /// <summary>Inks of a stamp, by name.</summary>
    public static IReadOnlyList<string> Colours { get; } = ["ink", "copper", "cool", "amber", "plum"];

    /// <summary>
    /// Greek, Coptic and Cyrillic capitals that are drawn like Latin ones, and Latin letters that are drawn like other
    /// Latin ones.
    /// </summary>
    private const string Drawn = "ΑΒΕΖΗΙΚΜΝΟΡΤΥΧϹϺͿϳ" + "АВЕКМНОРСТУХЅІЇЈҮԌԐԚԜҺӀӏ" + "ⲀⲂⲈⲎⲒⲔⲘⲚⲞⲢⲤⲦⲨⲬ" + "ıȷƖǀƧƼƽƷȜɅƆ";

    /// <summary>
    /// Scripts made of letters drawn like Latin ones: phonetic letters, Armenian, Cherokee, Lisu, letter-like Latin.
    /// </summary>
    private static readonly (char From, char To)[] Scripts =
    [
        ('\u0250', '\u02AF'),
        ('\u0531', '\u058F'),
        ('\u13A0', '\u13FF'),
        ('\u1D00', '\u1DBF'),
        ('\uA4D0', '\uA4FF'),
        ('\uA720', '\uA7FF'),
        ('\uAB30', '\uABBF'),
    ];

    private static bool IsLookAlike(char c)
    {
        // an accent is seen: what stands under it decides
        var bare = Letters.Bare(c);
        return Drawn.Contains(bare, StringComparison.Ordinal)
            || Scripts.Any(s => bare >= s.From && bare <= s.To)
            || char.GetUnicodeCategory(c) == UnicodeCategory.ModifierLetter;
    }
}
