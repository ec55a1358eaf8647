namespace FaithfulBracket.Core.Orders;

/// <summary>
/// Unicode normalization of capital letters: full-width forms become plain ones, a letter and its accent become one.
/// The server runs without the system's Unicode library, whose normalization leaves everything but ASCII as it is.
/// </summary>
/// <remarks>Source: Unicode Character Database, canonical decompositions of Latin capital letters.</remarks>
internal static class Letters
{
    /// <summary>Letters, the same with an accent, and the accent.</summary>
    private static readonly (string Bare, string Accented, char Accent)[] Accents =
    [
        ("AEIOUNWY", "ÀÈÌÒÙǸẀỲ", '\u0300'),
        ("AEIOUYCLNRSZGKMPW", "ÁÉÍÓÚÝĆĹŃŔŚŹǴḰḾṔẂ", '\u0301'),
        ("AEIOUCGHJSWYZ", "ÂÊÎÔÛĈĜĤĴŜŴŶẐ", '\u0302'),
        ("ANOIUVEY", "ÃÑÕĨŨṼẼỸ", '\u0303'),
        ("AEIOUYG", "ĀĒĪŌŪȲḠ", '\u0304'),
        ("AEGIOU", "ĂĔĞĬŎŬ", '\u0306'),
        ("CEGIZAOBDFHMNPRSTWXY", "ĊĖĠİŻȦȮḂḊḞḢṀṄṖṘṠṪẆẊẎ", '\u0307'),
        ("AEIOUYHWX", "ÄËÏÖÜŸḦẄẌ", '\u0308'),
        ("AEIOUY", "ẢẺỈỎỦỶ", '\u0309'),
        ("AU", "ÅŮ", '\u030A'),
        ("OU", "ŐŰ", '\u030B'),
        ("CDELNRSTZAIOUGKH", "ČĎĚĽŇŘŠŤŽǍǏǑǓǦǨȞ", '\u030C'),
        ("AEIORU", "ȀȄȈȌȐȔ", '\u030F'),
        ("AEIORU", "ȂȆȊȎȒȖ", '\u0311'),
        ("OU", "ƠƯ", '\u031B'),
        ("BDHKLMNRSTVWZAEIOUY", "ḄḌḤḲḶṂṆṚṢṬṾẈẒẠẸỊỌỤỴ", '\u0323'),
        ("U", "Ṳ", '\u0324'),
        ("A", "Ḁ", '\u0325'),
        ("ST", "ȘȚ", '\u0326'),
        ("CGKLNRSTEDH", "ÇĢĶĻŅŖŞŢȨḐḨ", '\u0327'),
        ("AEIUO", "ĄĘĮŲǪ", '\u0328'),
        ("DELNTU", "ḒḘḼṊṰṶ", '\u032D'),
        ("H", "Ḫ", '\u032E'),
        ("EIU", "ḚḬṴ", '\u0330'),
        ("BDKLNRTZ", "ḆḎḴḺṈṞṮẔ", '\u0331'),
    ];

    private const char FullWidthFrom = '\uFF01',
        FullWidthTo = '\uFF5E';

    private const int FullWidthShift = 0xFEE0;

    /// <summary>The capital letters of a text in one form.</summary>
    public static string Normalize(string text)
    {
        var made = new List<char>(text.Length);
        foreach (var c in text.Trim())
        {
            var plain = c is >= FullWidthFrom and <= FullWidthTo ? (char)(c - FullWidthShift) : c;
            var capital = char.ToUpperInvariant(plain);
            if (made.Count > 0 && WithAccent(made[^1], capital) is { } one)
                made[^1] = one;
            else
                made.Add(capital);
        }
        return new([.. made]);
    }

    /// <summary>A letter without its accent.</summary>
    public static char Bare(char letter)
    {
        foreach (var (bare, accented, _) in Accents)
            if (accented.IndexOf(letter, StringComparison.Ordinal) is >= 0 and var at)
                return bare[at];
        return letter;
    }

    private static char? WithAccent(char letter, char accent)
    {
        foreach (var (bare, accented, mark) in Accents)
            if (mark == accent && bare.IndexOf(letter, StringComparison.Ordinal) is >= 0 and var at)
                return accented[at];
        return null;
    }
}
