using System.Globalization;
using System.Text.RegularExpressions;

namespace FaithfulBracket.Formats.Logs;

/// <summary>Times of the clock as loggers write them, with or without a date.</summary>
/// <param name="DayFirst">Dates with slashes have the day in front.</param>
internal sealed partial record LogClock(bool DayFirst)
{
    private const string DatePart = @"(?:(?<a>\d{1,4})(?<mark>[./-])(?<b>\d{1,2})\k<mark>(?<c>\d{2,4})[ T,]+)?",
        TimePart = @"(?<h>\d{1,2}):(?<m>\d{2})(?::(?<s>\d{2}(?:[.,]\d+)?))?",
        RestPart = @"\s*(?<half>[AP]M)?(?<zone>Z|[+-]\d{2}:?\d{2})?";

    [GeneratedRegex($"^{DatePart}{TimePart}{RestPart}$", RegexOptions.IgnoreCase)]
    private static partial Regex TimePattern();

    /// <summary>From all cells of the column: a first number above 12 anywhere is a day.</summary>
    public static LogClock Detect(IEnumerable<string> cells) =>
        new(
            cells.Any(t =>
                TimePattern().Match(t) is { Success: true } m
                && m.Groups["mark"].Value == "/"
                && Whole(m.Groups["a"]) is > 12 and <= 31
            )
        );

    /// <summary>Seconds of the day, or since a day far back where a date stands in front; null where it is no time.</summary>
    public double? Seconds(string text)
    {
        if (TimePattern().Match(text.Trim()) is not { Success: true } m)
            return null;
        var hour = Whole(m.Groups["h"]);
        if (m.Groups["half"] is { Success: true } half)
            hour = hour % 12 + (half.Value.StartsWith("P", StringComparison.OrdinalIgnoreCase) ? 12 : 0);
        var seconds = m.Groups["s"] is { Success: true } s
            ? double.Parse(s.Value.Replace(',', '.'), CultureInfo.InvariantCulture)
            : 0;
        if (hour > 23 || Whole(m.Groups["m"]) > 59 || seconds >= 61)
            return null;
        var day = hour * 3600 + Whole(m.Groups["m"]) * 60 + seconds;
        if (!m.Groups["a"].Success)
            return day;
        return Date(m) is { } date
            ? (date.ToDateTime(default) - DateTime.UnixEpoch).TotalSeconds + day - Zone(m.Groups["zone"].Value)
            : null;
    }

    private DateOnly? Date(Match m)
    {
        var (a, b, c) = (Whole(m.Groups["a"]), Whole(m.Groups["b"]), Whole(m.Groups["c"]));
        var (year, month, day) =
            m.Groups["a"].Length == 4 ? (a, b, c)
            : m.Groups["mark"].Value == "/" && !DayFirst ? (c, a, b)
            : (c, b, a);
        if (year < 100)
            year += 2000;
        return
            year is >= 1970 and < 9999
            && month is >= 1 and <= 12
            && day >= 1
            && day <= DateTime.DaysInMonth(year, month)
            ? new DateOnly(year, month, day)
            : null;
    }

    private static double Zone(string text)
    {
        if (text.Length < 5)
            return 0;
        var digits = text[1..].Replace(":", "", StringComparison.Ordinal);
        var seconds =
            int.Parse(digits[..2], CultureInfo.InvariantCulture) * 3600
            + int.Parse(digits[2..], CultureInfo.InvariantCulture) * 60;
        return text[0] == '-' ? -seconds : seconds;
    }

    private static int Whole(Group g) => int.Parse(g.Value, CultureInfo.InvariantCulture);
}
