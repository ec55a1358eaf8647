using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Lengths, the view box and transforms of a vector drawing (SVG 1.1, chapters 4 and 7).</summary>
internal static partial class SvgUnits
{
    private const double MmPerInch = 25.4,
        PixelsPerInch = 96;

    public readonly record struct ViewBox(double X, double Y, double Width, double Height);

    /// <summary>Millimetres in one unit of the drawing, across and down.</summary>
    public static (double X, double Y) MmOf(TextFile file, XElement root, LayoutOptions options, LayoutDraft draft)
    {
        if (options.Units is { } forced)
        {
            draft.Assume(LayoutUnitWords.UnitsTakenAsAsAsked(file.Name, forced.ToString().ToLowerInvariant()));
            return (forced.ToMm(), forced.ToMm());
        }
        var (width, height) = (Sized(root, "width"), Sized(root, "height"));
        if (Box(root) is { } box && width is { } w && height is { } h)
        {
            if (w.Pixels)
                draft.Assume(InPixels(file));
            // both ways alike: the drawing is fitted into its sheet, not stretched over it
            var mm = Math.Min(w.Mm / box.Width, h.Mm / box.Height);
            return (mm, mm);
        }
        draft.Assume(InPixels(file));
        return (MmPerInch / PixelsPerInch, MmPerInch / PixelsPerInch);
    }

    private static string InPixels(TextFile file) => SvgUnitsWords.ItStatesNoLength(file.Name, PixelsPerInch);

    public static ViewBox? Box(XElement root)
    {
        var numbers = Numbers((string?)root.Attribute("viewBox") ?? "");
        if (numbers is [var x, var y, > 0 and var w, > 0 and var h])
            return new(x, y, w, h);
        // without a box its units are the pixels of the sheet
        return Sized(root, "height") is { } sheet && Sized(root, "width") is { } across
            ? new(0, 0, across.Mm * PixelsPerInch / MmPerInch, sheet.Mm * PixelsPerInch / MmPerInch)
            : null;
    }

    private static (double Mm, bool Pixels)? Sized(XElement e, string attribute)
    {
        if (Measure().Match((string?)e.Attribute(attribute) ?? "") is not { Success: true } m)
            return null;
        var value = double.Parse(m.Groups[1].ValueSpan, CultureInfo.InvariantCulture);
        double? mm = m.Groups[2].Value switch
        {
            "mm" => value,
            "cm" => value * 10,
            "in" => value * MmPerInch,
            "pt" => value * MmPerInch / 72,
            "pc" => value * MmPerInch / 6,
            "" or "px" => value * MmPerInch / PixelsPerInch,
            _ => null,
        };
        return mm is > 0 ? (mm.Value, m.Groups[2].Value is "" or "px") : null;
    }

    /// <summary>A length in units of the drawing; 0 where it is not stated.</summary>
    /// <exception cref="InputException">It is not a number of a unit that can be told.</exception>
    public static double Length(TextFile file, XElement e, string attribute)
    {
        if ((string?)e.Attribute(attribute) is not { } text)
            return 0;
        var line = ((IXmlLineInfo)e).LineNumber;
        if (Measure().Match(text) is not { Success: true } m)
            // a list of places, one a letter: the first is where the text begins
            return Numbers(text) is [var first, ..]
                ? first
                : throw file.Refuse(
                    line,
                    SvgUnitsWords.OfExpectedNumberFound(attribute, e.Name.LocalName, LayoutReader.Short(text))
                );
        var value = double.Parse(m.Groups[1].ValueSpan, CultureInfo.InvariantCulture);
        return m.Groups[2].Value switch
        {
            "" or "px" => value,
            "mm" => value * PixelsPerInch / MmPerInch,
            "cm" => value * 10 * PixelsPerInch / MmPerInch,
            "in" => value * PixelsPerInch,
            "pt" => value * PixelsPerInch / 72,
            "pc" => value * PixelsPerInch / 6,
            _ => throw file.Refuse(
                line,
                SvgUnitsWords.OfHasNoLengthOfOwn(attribute, e.Name.LocalName, LayoutReader.Short(text))
            ),
        };
    }

    /// <exception cref="InputException">It can't be read.</exception>
    public static DrawnFrame Transform(string text, Func<string, InputException> refuse)
    {
        var all = DrawnFrame.Moved(0, 0);
        foreach (Match m in Step().Matches(text))
        {
            var n = Numbers(m.Groups[2].Value);
            static double Rad(double degrees) => degrees * Math.PI / 180;
            var step = (m.Groups[1].Value, n) switch
            {
                ("matrix", [var a, var b, var c, var d, var e, var f]) => new(new(a, b), new(c, d), new(e, f)),
                ("translate", [var x]) => DrawnFrame.Moved(x, 0),
                ("translate", [var x, var y]) => DrawnFrame.Moved(x, y),
                ("scale", [var k]) => new(new(k, 0), new(0, k), default),
                ("scale", [var x, var y]) => new(new(x, 0), new(0, y), default),
                ("rotate", [var deg]) => Turned(Rad(deg)),
                ("rotate", [var deg, var x, var y]) => DrawnFrame
                    .Moved(-x, -y)
                    .Under(Turned(Rad(deg)))
                    .Under(DrawnFrame.Moved(x, y)),
                ("skewX", [var deg]) => new(new(1, 0), new(Math.Tan(Rad(deg)), 1), default),
                ("skewY", [var deg]) => new(new(1, Math.Tan(Rad(deg))), new(0, 1), default),
                _ => (DrawnFrame?)null,
            };
            all = step?.Under(all) ?? throw refuse(SvgUnitsWords.TransformIsNotUnderstood(LayoutReader.Short(m.Value)));
        }
        return all;

        static DrawnFrame Turned(double rad) =>
            new(new Point2(1, 0).Turned(rad), new Point2(0, 1).Turned(rad), default);
    }

    public static List<double> Numbers(string text) =>
        [.. Number().Matches(text).Select(m => double.Parse(m.ValueSpan, CultureInfo.InvariantCulture))];

    [GeneratedRegex(@"[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?", RegexOptions.CultureInvariant)]
    private static partial Regex Number();

    [GeneratedRegex(
        @"^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?)\s*([a-zA-Z%]*)\s*$",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex Measure();

    [GeneratedRegex(@"([a-zA-Z]+)\s*\(([^)]*)\)", RegexOptions.CultureInvariant)]
    private static partial Regex Step();
}
