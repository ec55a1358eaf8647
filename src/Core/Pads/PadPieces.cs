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

    /// <summary>Where it lies, in words, when that is no part of the board; null on parts.</summary>
    public string? Where { get; init; }

    /// <summary>Its outline in the board's frame, where it lies on no part.</summary>
    public Geometry.Polygon? Outline { get; init; }
}

/// <summary>Which pieces are cut: one for each part, or strips over rows of like parts that stand close together under one land.</summary>
public static class PadPieces
{
    /// <summary>Parts further apart than this get pieces of their own, mm.</summary>
    public const double MostBetweenMm = 4;
    private const double SameRowMm = 0.6;

    public static IReadOnlyList<PadPiece> Of(Board board, IReadOnlyList<PlacedPad> pads, bool strips)
    {
        var pieces = new List<PadPiece>();
        var taken = new HashSet<string>();
        foreach (var pad in pads)
        {
            if (!taken.Add(pad.Part))
                continue;
            List<PlacedPad> row = [pad];
            if (strips)
                row = Row(board, pads, pad, taken);
            pieces.Add(Piece(board, row));
        }
        return pieces;
    }

    /// <summary>The longest row through a pad, along x or along y.</summary>
    private static List<PlacedPad> Row(
        Board board,
        IReadOnlyList<PlacedPad> pads,
        PlacedPad seed,
        HashSet<string> taken
    )
    {
        var like = pads.Where(p =>
                p.Part == seed.Part
                || !taken.Contains(p.Part)
                    && p.Kind == seed.Kind
                    && p.Face == seed.Face
                    && p.Land == seed.Land
                    && p.Material == seed.Material
                    && Math.Abs(p.ThicknessMm - seed.ThicknessMm) < 1e-6
            )
            .ToList();
        var best = new List<PlacedPad> { seed };
        foreach (var alongX in (ReadOnlySpan<bool>)[true, false])
        {
            var own = board.FindPart(seed.Part)!.Top().Bounds;
            double Across(PlacedPad p)
            {
                var b = board.FindPart(p.Part)!.Top().Bounds;
                return alongX ? (b.MinY + b.MaxY) / 2 : (b.MinX + b.MaxX) / 2;
            }
            (double Low, double High) Along(PlacedPad p)
            {
                var b = board.FindPart(p.Part)!.Top().Bounds;
                return alongX ? (b.MinX, b.MaxX) : (b.MinY, b.MaxY);
            }
            var line = like.Where(p =>
                    Math.Abs(Across(p) - (alongX ? own.MinY + own.MaxY : own.MinX + own.MaxX) / 2) <= SameRowMm
                )
                .OrderBy(p => Along(p).Low)
                .ToList();
            var at = line.FindIndex(p => p.Part == seed.Part);
            int from = at,
                to = at;
            while (from > 0 && Along(line[from]).Low - Along(line[from - 1]).High <= MostBetweenMm)
                from--;
            while (to + 1 < line.Count && Along(line[to + 1]).Low - Along(line[to]).High <= MostBetweenMm)
                to++;
            if (to - from + 1 > best.Count)
                best = line[from..(to + 1)];
        }
        foreach (var p in best)
            taken.Add(p.Part);
        return best;
    }

    private static PadPiece Piece(Board board, List<PlacedPad> row)
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
        var b = Geometry.Bounds.Of([.. row.SelectMany(p => board.FindPart(p.Part)!.Top().Points)]);
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
        };
    }
}
