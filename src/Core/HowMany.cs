using System.Globalization;

namespace FaithfulBracket.Core;

/// <summary>A number of things in a sentence: "1 screw", "3 screws".</summary>
public static class HowMany
{
    /// <summary>All there are: "the pad", "both pads", "all 3 pads".</summary>
    public static string All(int count, string one) =>
        count switch
        {
            1 => $"the {one}",
            2 => $"both {one}s",
            _ => $"all {Count(count, one)}",
        };

    /// <param name="one">What one of them is called.</param>
    /// <param name="more">What several are called; with an s when left out.</param>
    public static string Count(int count, string one, string? more = null) =>
        count == 1 ? $"1 {one}" : string.Create(CultureInfo.InvariantCulture, $"{count} {more ?? $"{one}s"}");
}
