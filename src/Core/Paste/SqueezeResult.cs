namespace FaithfulBracket.Core.Paste;

/// <summary>One moment of a squeeze.</summary>
/// <param name="Coverage">Share of the face that is wet, 0 to 1.</param>
public sealed record SqueezeMoment(double TimeS, double GapUm, double Coverage);

/// <param name="Bare">Places of the face without paste, named by where they lie, with their share of the face.</param>
/// <param name="SpillMl">Paste pressed over the edge.</param>
/// <param name="SpillEdges">Over which sides it went.</param>
/// <param name="Film">The face as rows from −y to +y, one sign a cell: # wet, + partly, . bare, space off the face.</param>
/// <param name="Frames">The film on its way, coarser.</param>
public sealed record SqueezeResult(
    double Coverage,
    double FinalGapUm,
    double TimeS,
    double SpillMl,
    double VolumeErrorShare,
    IReadOnlyList<BareSpot> Bare,
    IReadOnlyList<SpillEdge> SpillEdges,
    IReadOnlyList<SqueezeMoment> History,
    IReadOnlyList<string> Film,
    IReadOnlyList<FilmFrame> Frames
)
{
    /// <summary>Whether the work ended before the film did: the true film is thinner and covers more.</summary>
    public bool CutShort { get; init; }
}

/// <param name="Where">left, right, lower or upper edge, or notch.</param>
public sealed record SpillEdge(string Where, double Ml);

/// <summary>The film at one moment, rows as in <see cref="SqueezeResult.Film"/>.</summary>
public sealed record FilmFrame(double TimeS, double GapUm, double Coverage, IReadOnlyList<string> Rows);

public sealed record BareSpot(string Where, double ShareOfFace);
