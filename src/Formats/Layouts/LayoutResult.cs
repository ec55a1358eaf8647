using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>One file of a layout export.</summary>
public sealed record LayoutFile(string Name, ReadOnlyMemory<byte> Content);

/// <param name="Units">Overrides what the file says or leaves open.</param>
/// <param name="IntegerDigits">Digits before the decimal point of numbers written without one.</param>
/// <param name="Columns">What the columns of known tables mean, by <see cref="TableLook.Signature"/>.</param>
/// <param name="Sheet">Of workbooks, by name; null takes the first.</param>
public sealed record LayoutOptions(
    LengthUnit? Units = null,
    int? IntegerDigits = null,
    int? DecimalDigits = null,
    IReadOnlyDictionary<string, ColumnMap>? Columns = null,
    string? Sheet = null
);

public enum LengthUnit
{
    Mm,
    Inch,
    Mil,
    Cm,
    Decimetre,
    Metre,
    Micron,
    Foot,
    Yard,
    Microinch,
}

public sealed record LayoutHole(
    double X,
    double Y,
    double? DiameterMm,
    bool? Plated = null,
    double? SlotMm = null,
    double? SlotDeg = null
);

public sealed record LayoutPart(
    string Id,
    double X,
    double Y,
    double RotationDeg,
    Face Face,
    double? HeightMm = null,
    PartKind? Kind = null,
    double? WidthMm = null,
    double? DepthMm = null,
    string? Package = null
)
{
    /// <summary>Its closed line where a drawing has one, in the file's frame.</summary>
    public Polygon? Outline { get; init; }
}

public sealed record LayoutWarning(string File, int Line, string Text);

/// <summary>What layout files hold, in mm, coordinates as in the files.</summary>
/// <param name="Units">Of the first file that has any.</param>
/// <param name="Assumptions">Choices the files left open.</param>
public sealed record LayoutResult(
    IReadOnlyList<LayoutHole> Holes,
    IReadOnlyList<LayoutPart> Parts,
    Polygon? Outline,
    double? ThicknessMm,
    LengthUnit Units,
    IReadOnlyList<string> Assumptions,
    IReadOnlyList<LayoutWarning> Warnings
);

/// <summary>Gathers what the files of one export say.</summary>
internal sealed class LayoutDraft
{
    public const int MaxItems = 50_000;

    public List<LayoutHole> Holes { get; } = [];
    public List<LayoutPart> Parts { get; } = [];

    /// <summary>Height and size by package name, mm.</summary>
    public Dictionary<string, (double? HeightMm, double? WidthMm, double? DepthMm)> Packages { get; } =
        new(StringComparer.OrdinalIgnoreCase);
    public Polygon? Outline { get; set; }
    public double? ThicknessMm { get; set; }
    public LengthUnit? Units { get; set; }
    public List<string> Assumptions { get; } = [];
    public List<LayoutWarning> Warnings { get; } = [];

    /// <summary>Where the board is, as far as is known: its outline's corners, or its parts.</summary>
    public IReadOnlyList<Point2> Places() => Outline is { } o ? o.Points : [.. Parts.Select(p => new Point2(p.X, p.Y))];

    /// <summary>Adds what another draft gathered.</summary>
    public void Take(LayoutDraft other)
    {
        Holes.AddRange(other.Holes);
        Units ??= other.Units;
        other.Assumptions.ForEach(Assume);
        Warnings.AddRange(other.Warnings);
    }

    /// <summary>The outline of the file that is read last; where another stood, that is told.</summary>
    public void SetOutline(TextFile file, Polygon outline)
    {
        if (Outline is not null)
            Assume(LayoutResultWords.OutlineTakesPlace(file.Name));
        Outline = outline;
    }

    public void Assume(string text)
    {
        if (!Assumptions.Contains(text))
            Assumptions.Add(text);
    }

    public void Warn(TextFile file, int line, string text)
    {
        if (Warnings.Count < 500)
            Warnings.Add(new(file.Name, line, text));
    }
}

public static class LengthUnits
{
    public static double ToMm(this LengthUnit unit) =>
        unit switch
        {
            LengthUnit.Inch => 25.4,
            LengthUnit.Mil => 0.0254,
            LengthUnit.Cm => 10,
            LengthUnit.Decimetre => 100,
            LengthUnit.Metre => 1000,
            LengthUnit.Micron => 0.001,
            LengthUnit.Foot => 304.8,
            LengthUnit.Yard => 914.4,
            LengthUnit.Microinch => 25.4e-6,
            _ => 1,
        };

    public static LengthUnit? Parse(string text) =>
        text.Trim().ToLowerInvariant() switch
        {
            "mm" or "millimeter" or "millimeters" or "millimetre" or "millimetres" or "metric" => LengthUnit.Mm,
            "in" or "inch" or "inches" or "\"" or "imperial" or "english" => LengthUnit.Inch,
            "mil" or "mils" or "thou" => LengthUnit.Mil,
            "cm" or "centimeter" or "centimeters" or "centimetre" or "centimetres" => LengthUnit.Cm,
            "dm" or "decimetre" or "decimetres" => LengthUnit.Decimetre,
            "m" or "meter" or "meters" or "metre" or "metres" => LengthUnit.Metre,
            "um" or "µm" or "micron" or "microns" => LengthUnit.Micron,
            "ft" or "foot" or "feet" => LengthUnit.Foot,
            "yd" or "yard" or "yards" => LengthUnit.Yard,
            "uin" or "microinch" or "microinches" => LengthUnit.Microinch,
            _ => null,
        };
}
