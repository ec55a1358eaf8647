using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Materials;

namespace FaithfulBracket.Core.Materials;

/// <summary>What is left of a pad under a weight.</summary>
/// <param name="MassG">On the pad, grams.</param>
/// <param name="LeftMm">Thickness then, mm.</param>
public sealed record WeighedReading(double MassG, double LeftMm);

/// <summary>A pad's curve from readings under known weights: stress = m·g/area, squash = 1 − left/thickness.</summary>
public static class WeighedPad
{
    private const double GravityMPerS2 = 9.80665;

    /// <param name="thicknessMm">Unpressed.</param>
    /// <returns>Points [squash, MPa], rising.</returns>
    /// <exception cref="InputException">A reading that does not get thinner under more weight.</exception>
    public static IReadOnlyList<Point2> Curve(
        double thicknessMm,
        double areaMm2,
        IReadOnlyList<WeighedReading> readings
    )
    {
        var points = new List<Point2>();
        foreach (var (reading, i) in readings.Select((r, i) => (r, i)).OrderBy(x => x.r.MassG))
        {
            var squash = 1 - reading.LeftMm / thicknessMm;
            if (squash <= (points.Count == 0 ? 0 : points[^1].X))
                throw new InputException(
                    $"/readings/{i}/leftMm",
                    WeighedPadWords.ExpectedLessThanUnderLighterWeight(reading.LeftMm)
                );
            points.Add(new(Math.Round(squash, 4), Math.Round(reading.MassG / 1000 * GravityMPerS2 / areaMm2, 5)));
        }
        return points;
    }
}
