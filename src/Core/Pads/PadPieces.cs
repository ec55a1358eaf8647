using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Pads;

/// <summary>One piece of pad as cut: for one part, or a strip over a row of parts.</summary>
/// <param name="Id">The letter, or the letters of the row.</param>
/// <param name="Parts">What it lies on, in order along the strip.</param>
public sealed record PadPiece(
    string Id,
    IReadOnlyList<string> Parts,
    PartKind Kind,
    Face Face,
    double ThicknessMm,
    string Material,
    double WidthMm,
    double DepthMm,
    bool OnBlock
)
{
    /// <summary>Keys of the pair whose lands press it and of the board it lies on.</summary>
    public required string Pair { get; init; }
    public required string Board { get; init; }

    /// <summary>Kinds of the parts it lies on, where they are several; else empty.</summary>
    public IReadOnlyList<PartKind> Kinds
    {
        get;
        init => field = value.Count > 1 ? value : [];
    } = [];

    /// <summary>Half of the block that it is laid into before the board is lowered on it; null on the board.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string? Half { get; init; }

    /// <summary>Where it lies, in words, when that is no part of the board; null on parts.</summary>
    public string? Where { get; init; }

    /// <summary>Its outline in the board's frame, where it lies on no part.</summary>
    public Geometry.Polygon? Outline { get; init; }
}

/// <summary>Which pieces are cut: one for each part, or strips over rows of parts.</summary>
public static class PadPieces
{
    public static IReadOnlyList<PadPiece> Compute(Board board, IReadOnlyList<PlacedPad> pads, bool strips) =>
        [
            .. (strips ? PadStrips.Rows(board, pads) : [.. pads.Select(p => (IReadOnlyList<PlacedPad>)[p])]).Select(r =>
                Piece(board, r)
            ),
        ];

    private static PadPiece Piece(Board board, IReadOnlyList<PlacedPad> row)
    {
        var first = row[0];
        if (row.Count == 1)
            return new(
                first.Letter,
                [first.Part],
                first.Kind,
                first.Face,
                first.ThicknessMm,
                first.Material,
                first.WidthMm,
                first.DepthMm,
                first.OnBlock
            )
            {
                Pair = first.Pair,
                Board = first.Board,
            };
        var b = Geometry.Bounds.From([.. row.SelectMany(p => board.FindPart(p.Part)!.Top().Points)]);
        return new(
            $"{first.Letter}–{row[^1].Letter}",
            [.. row.Select(p => p.Part)],
            first.Kind,
            first.Face,
            first.ThicknessMm,
            first.Material,
            Math.Round(b.Width, 3),
            Math.Round(b.Height, 3),
            first.OnBlock
        )
        {
            Pair = first.Pair,
            Board = first.Board,
            Kinds = [.. row.Select(p => p.Kind).Distinct()],
        };
    }
}
