namespace FaithfulBracket.Core.Paste;

/// <summary>Paste for one die or lid of a job.</summary>
public sealed record PasteFace(
    string Part,
    string PasteId,
    double ClampN,
    PasteAmount Amount,
    string Method,
    string Why,
    double GramsLeft,
    int Applications
)
{
    public PasteSurface Surface { get; init; }

    /// <summary>The shop's question that decides the method.</summary>
    public required string School { get; init; }

    /// <summary>Volume on each face for liquid metal, µL; null for paste.</summary>
    public double? LiquidPerFaceUl { get; init; }

    /// <summary>Why this material may not go here.</summary>
    public IReadOnlyList<string> Refusals { get; init; } = [];
    public IReadOnlyList<string> Cautions { get; init; } = [];
}
