using System.Globalization;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using FaithfulBracket.Formats.Layouts;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>Lengths as hands type them: with a unit or without, point or comma.</summary>
internal static partial class Lengths
{
    private const double MaxMm = 1e6;

    [GeneratedRegex(@"^([-+]?\d*[.,]?\d+)\s*(\D*)$")]
    private static partial Regex LengthPattern();

    public static bool IsLength(string field) => field is "x" or "y" || field.EndsWith("Mm", StringComparison.Ordinal);

    /// <returns>Millimetres; null where it is no length.</returns>
    public static JsonNode? Parse(string text)
    {
        if (LengthPattern().Match(text.Trim()) is not { Success: true } m)
            return null;
        var unit = m.Groups[2].Value.Trim() is { Length: > 0 } u ? LengthUnits.Parse(u) : LengthUnit.Mm;
        if (
            unit is not { } known
            || !double.TryParse(
                m.Groups[1].Value.Replace(',', '.'),
                NumberStyles.Float,
                CultureInfo.InvariantCulture,
                out var v
            )
        )
            return null;
        var mm = v * known.ToMm();
        return Math.Abs(mm) < MaxMm ? JsonValue.Create(Math.Round(mm, 6)) : null;
    }
}
