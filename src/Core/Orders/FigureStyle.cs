using System.Globalization;
using System.Text.RegularExpressions;

namespace FaithfulBracket.Core.Orders;

/// <summary>
/// How figures in words are written: with a comma, with inches beside millimetres. Codes, times and names stay as they are.
/// </summary>
public sealed partial record FigureStyle(bool Comma = false, bool Inches = false)
{
    public const double MmPerInch = 25.4;

    public bool Plain => !Comma && !Inches;

    /// <summary>A text as this style has it.</summary>
    public string Tell(string text)
    {
        // what rounds to nothing from below is nothing
        if (text.Contains("-0", StringComparison.Ordinal))
            text = Nothing().Replace(text, "$1");
        if (Plain || !text.Any(char.IsAsciiDigit))
            return text;
        if (Inches)
            text = Millimetres().Replace(text, m => Beside(text, m));
        return Comma ? Decimal().Replace(text, "$1,$2") : text;
    }

    /// <summary>Inches in brackets, or after a comma where the millimetres stand in brackets already.</summary>
    private static string Beside(string text, System.Text.RegularExpressions.Match mm)
    {
        var inches = $"{Inch().Replace(mm.Groups["figures"].Value, InInches)} in";
        var end = mm.Index + mm.Length;
        var bracketed = mm.Index > 0 && text[mm.Index - 1] == '(' && end < text.Length && text[end] == ')';
        return bracketed ? $"{mm.Value}, {inches}" : $"{mm.Value} ({inches})";
    }

    /// <summary>Three places where the millimetres had decimals, else two: a thousandth of an inch is a fortieth of a millimetre.</summary>
    private static string InInches(System.Text.RegularExpressions.Match figure)
    {
        var places = figure.Value.Contains('.', StringComparison.Ordinal) ? 3 : 2;
        var inches = double.Parse(figure.Value, CultureInfo.InvariantCulture) / MmPerInch;
        return inches.ToString("F" + places.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);
    }

    [GeneratedRegex(
        @"(?<![\w.,/:])(?<!\w-)(?<figures>\d+(?:\.\d+)?(?:(?: ?[–×] ?| to | by |, ±| ± )\d+(?:\.\d+)?)*) mm(?![²³\w])"
    )]
    private static partial Regex Millimetres();

    [GeneratedRegex(@"\d+(?:\.\d+)?")]
    private static partial Regex Inch();

    [GeneratedRegex(@"(?<![\w./:-])-(0(?:\.0+)?)(?![\w-]|[.,]\d)")]
    private static partial Regex Nothing();

    // no part of a code (M2.5), a name (1.0-soft), a version (1.2.3), a time or a path
    [GeneratedRegex(@"(?<![\w.,/:])(?<!\w-)(\d+)\.(\d+)(?![\d.\w/-])")]
    private static partial Regex Decimal();
}
