using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>Something that pushes the plate up (+) or pulls it down (−), as a function of the plate's height at a point.</summary>
public abstract class Contact(IReadOnlyList<QuadraturePoint> points)
{
    /// <summary>Where it acts; weights are mm² for faces and 1 for screws.</summary>
    public IReadOnlyList<QuadraturePoint> Points { get; } = points;

    /// <summary>Upward force per weight at a plate height, N/mm² or N, and its derivative by height (never positive).</summary>
    public abstract (double Force, double Slope) At(double heightMm);

    /// <summary>The plate may not come down to this height; −∞ when nothing forbids it.</summary>
    public virtual double FloorMm => double.NegativeInfinity;
}

/// <summary>Paste over a die: P = τy·(c/h)^(1/m), locally.</summary>
/// <param name="offsetMm">Film thickness minus plate height: land step − part height.</param>
public sealed class PasteFilm(IReadOnlyList<QuadraturePoint> points, double offsetMm, PasteMaterial paste)
    : Contact(points)
{
    private readonly double _power = 1 / paste.M;

    public override double FloorMm => -offsetMm;

    public double FilmMm(double heightMm) => heightMm + offsetMm;

    public override (double Force, double Slope) At(double heightMm)
    {
        var film = heightMm + offsetMm;
        var pressure = paste.PressureMPa(film * 1000);
        return (pressure, -_power * pressure / film);
    }
}

/// <summary>A pad squeezed between part and land.</summary>
public sealed class SqueezedPad(
    IReadOnlyList<QuadraturePoint> points,
    double offsetMm,
    double thicknessMm,
    CompressionCurve curve
) : Contact(points)
{
    public double Squash(double heightMm) => (thicknessMm - heightMm - offsetMm) / thicknessMm;

    public override (double Force, double Slope) At(double heightMm)
    {
        var (stress, slope) = curve.At(Squash(heightMm));
        return (stress, -slope / thicknessMm);
    }
}

/// <summary>A spring screw: F = k·max(0, travel + rise), rise measured from home.</summary>
/// <param name="homeMm">Plate height at zero bond line.</param>
/// <param name="travelMm">Compression at home, less what the screw still has to turn in.</param>
public sealed class SpringScrew(Point2 at, double homeMm, double rateNPerMm, double travelMm)
    : Contact([new(at.X, at.Y, 1)])
{
    public override (double Force, double Slope) At(double heightMm)
    {
        var compression = travelMm + heightMm - homeMm;
        return compression <= 0 ? (0, 0) : (-rateNPerMm * compression, -rateNPerMm);
    }
}

/// <summary>A screw the plate cannot rise past, or a standoff it cannot sink below.</summary>
/// <param name="fromBelow">True for a standoff under the plate.</param>
public sealed class StiffStop(Point2 at, double stopMm, bool fromBelow = false) : Contact([new(at.X, at.Y, 1)])
{
    /// <summary>An M2.5 screw of 6 mm: E·A/L, N/mm.</summary>
    public const double StiffnessNPerMm = 1e5;

    public override (double Force, double Slope) At(double heightMm)
    {
        var past = heightMm - stopMm;
        return fromBelow == past < 0 && past != 0 ? (-StiffnessNPerMm * past, -StiffnessNPerMm) : (0, 0);
    }
}
