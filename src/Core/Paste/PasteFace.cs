using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Paste;

/// <summary>Paste for one die or lid of a job.</summary>
public sealed record PasteFace(
    string Part,
    string PasteId,
    double ClampN,
    PasteAmount Amount,
    PasteWay Method,
    Message Why,
    double GramsLeft,
    int Applications
)
{
    /// <summary>Key of the pair whose land presses it.</summary>
    public required string Pair { get; init; }

    /// <summary>Key of the board the part is on.</summary>
    public required string Board { get; init; }
    public PasteSurface Surface { get; init; }

    /// <summary>The shop's question that decides the method.</summary>
    public required string School { get; init; }

    /// <summary>Crowns of lid and insert together, mm; 0 for flat faces.</summary>
    public double CrownMm { get; init; }

    /// <summary>Volume on each face for liquid metal, µL; null for paste.</summary>
    public double? LiquidPerFaceUl { get; init; }

    /// <summary>Why this material may not go here.</summary>
    public IReadOnlyList<Message> Refusals { get; init; } = [];
    public IReadOnlyList<Message> Cautions { get; init; } = [];
}
