using System.Globalization;

namespace FaithfulBracket.Core;

/// <summary>A number of things in a sentence: "1 screw", "3 screws".</summary>
public static class HowMany
{
    /// <param name="one">What one of them is called.</param>
    /// <param name="more">What several are called; with an s when left out.</param>
    public static string Of(int count, string one, string? more = null) =>
        count == 1 ? $"1 {one}" : string.Create(CultureInfo.InvariantCulture, $"{count} {more ?? $"{one}s"}");
}
