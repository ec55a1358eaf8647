using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Paste;

public enum PatternKind
{
    Spread,
    Dot,
    Line,
    Cross,
    Strokes,
}

/// <summary>How paste is laid before the plate comes down.</summary>
/// <param name="DiameterMm">Of a dot; the half sphere's when null.</param>
/// <param name="LengthMm">Of a line or of each arm of a cross; as the amount gives when null.</param>
/// <param name="AngleDeg">Turn of a line or cross.</param>
/// <param name="Strokes">Drawn lines, mm from the face's centre.</param>
/// <param name="At">Centre of a dot, line or cross.</param>
public sealed record PastePattern(
    PatternKind Kind,
    double? DiameterMm = null,
    double? LengthMm = null,
    double AngleDeg = 0,
    IReadOnlyList<IReadOnlyList<Point2>>? Strokes = null,
    Point2 At = default
)
{
    /// <summary>Whether a point of the face lies under paste as laid.</summary>
    public Func<Point2, bool> Mask(PasteAmount amount, double beadMm)
    {
        switch (Kind)
        {
            case PatternKind.Spread:
                return _ => true;
            case PatternKind.Dot:
                var radius = (DiameterMm ?? amount.DotDiameterMm) / 2;
                return p => (p - At).Length <= radius;
            case PatternKind.Strokes:
                return new StrokeBins(Strokes ?? [], beadMm / 2).Covers;
            default:
                var half = (LengthMm ?? (Kind == PatternKind.Line ? amount.LineLengthMm : amount.CrossArmMm)) / 2;
                var angle = (AngleDeg + (Kind == PatternKind.Cross ? 45 : 0)) * Math.PI / 180;
                IReadOnlyList<Point2> Arm(double a) =>
                    [At - new Point2(half, 0).Turned(a), At + new Point2(half, 0).Turned(a)];
                IReadOnlyList<Point2>[] arms =
                    Kind == PatternKind.Line ? [Arm(angle)] : [Arm(angle), Arm(angle + Math.PI / 2)];
                return new StrokeBins(arms, beadMm / 2).Covers;
        }
    }
}
