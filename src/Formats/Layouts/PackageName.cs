using System.Globalization;
using System.Text.RegularExpressions;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>What the name of a package says of its size.</summary>
internal static partial class PackageName
{
    private const double MinMm = 0.3,
        MaxMm = 100;

    [GeneratedRegex(@"(?<![\d.,])(\d+(?:[.,]\d+)?)\s*[xX×]\s*(\d+(?:[.,]\d+)?)(?![\d.,])")]
    private static partial Regex SidesPattern();

    /// <summary>Words of packages whose "2x5" counts rows and pins.</summary>
    [GeneratedRegex("pin|header|hdr|conn|socket|jack|array|net", RegexOptions.IgnoreCase)]
    private static partial Regex CountsPattern();

    /// <returns>Along x and y of the unturned package, with the words they were read from; null where the name says none.</returns>
    public static (double WidthMm, double DepthMm, string Read)? Size(string name)
    {
        if (CountsPattern().IsMatch(name) || SidesPattern().Match(name) is not { Success: true } m)
            return null;
        double Side(int group) =>
            double.Parse(m.Groups[group].Value.Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture);
        var (width, depth) = (Side(1), Side(2));
        return width is >= MinMm and <= MaxMm && depth is >= MinMm and <= MaxMm
            ? (width, depth, $"\"{LayoutReader.Short(name)}\"")
            : null;
    }
}
