using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Paste;

/// <param name="Cells">Cells along the longer side of the face.</param>
/// <param name="TiltMmPerMm">Rise of the plate along x and y.</param>
/// <param name="WithYield">False for a Newtonian paste.</param>
/// <param name="MaxTimeS">Stops then, flowing or not.</param>
public sealed record SqueezeSettings(
    int Cells = 96,
    Point2 TiltMmPerMm = default,
    bool WithYield = true,
    double MaxTimeS = 600,
    double? StopGapUm = null
)
{
    /// <summary>
    /// Crowns of face and plate together, mm: the room grows as a round paraboloid to this at the radius of a disc as
    /// large as the face.
    /// </summary>
    public double CrownMm { get; init; }
}
