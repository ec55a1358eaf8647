namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>Pads to cut: final sizes, mm.</summary>
/// <param name="Material">Null takes any material.</param>
public sealed record CutPiece(
    string Id,
    double WidthMm,
    double DepthMm,
    double ThicknessMm,
    string? Material,
    int Count
);

/// <summary>Sheets, strips and offcuts to cut from, mm.</summary>
/// <param name="Material">Null serves any material.</param>
/// <param name="Offcut">Already in the drawer; does not count as a new sheet.</param>
public sealed record CutStock(
    string Id,
    double WidthMm,
    double DepthMm,
    double ThicknessMm,
    string? Material,
    int Count,
    bool Offcut
);

/// <summary>A piece on its sheet, lower left corner at x, y; sizes as laid.</summary>
public sealed record CutPlacement(string PieceId, double XMm, double YMm, double WidthMm, double DepthMm, bool Rotated);

/// <summary>One edge-to-edge cut: axis x cuts along x = at between from and to.</summary>
public sealed record Cut(int Order, char Axis, double AtMm, double FromMm, double ToMm);

public sealed record Leftover(double XMm, double YMm, double WidthMm, double DepthMm);

public sealed record CutSheet(
    string StockId,
    bool Offcut,
    double WidthMm,
    double DepthMm,
    IReadOnlyList<CutPlacement> Placements,
    IReadOnlyList<Cut> Cuts,
    IReadOnlyList<Leftover> Leftovers
)
{
    public double? ThicknessMm { get; init; }
    public string? Material { get; init; }

    /// <summary>How many of its rests are worth keeping.</summary>
    public int RestsWorthKeeping => Cutting.Leftovers.Usable(this).Count;
}

public sealed record UnplacedPiece(string PieceId, Message Reason);

/// <param name="NewSheets">Sheets opened that were no offcuts.</param>
/// <param name="WasteFraction">1 − placed area / area of the sheets used.</param>
public sealed record CutPlan(
    IReadOnlyList<CutSheet> Sheets,
    IReadOnlyList<UnplacedPiece> Unplaced,
    int NewSheets,
    double WasteFraction
);
