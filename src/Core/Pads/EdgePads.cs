using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Pads;

/// <summary>A strip of pad along a carrier's edge, between two bolts. Lengths mm along the edge.</summary>
public sealed record EdgePad(string Carrier, double FromMm, double ToMm, double WidthMm, double ThicknessMm)
{
    public double LengthMm => ToMm - FromMm;
}

/// <summary>
/// The narrow second pad on a carrier's edge: clear of every bolt hole, with room for the pad to spread.
/// </summary>
public static class EdgePads
{
    /// <summary>Pieces shorter than this are not worth cutting, mm.</summary>
    public const double ShortestMm = 4;

    /// <summary>Room beside a hole, mm: what the pad gives way when the block presses it.</summary>
    public static double SpreadMm(double thicknessMm) => Math.Max(0.5, thicknessMm);

    public static IReadOnlyList<EdgePad> Compute(Carrier carrier)
    {
        if (carrier is not { TopPadMm: { } thick, TopPadWidthMm: { } wide })
            return [];
        var edge = carrier.Outline.Bounds;
        var pads = new List<EdgePad>();
        var at = edge.MinX;
        foreach (var hole in carrier.BoltHoles.OrderBy(b => b.X))
        {
            var clear = hole.DiameterMm / 2 + SpreadMm(thick);
            Add(at, Math.Min(hole.X - clear, edge.MaxX));
            at = Math.Max(at, hole.X + clear);
        }
        Add(at, edge.MaxX);
        return pads;

        void Add(double from, double to)
        {
            if (to - from >= ShortestMm)
                pads.Add(new(carrier.Id, Math.Round(from, 3), Math.Round(to, 3), wide, thick));
        }
    }

    /// <summary>The pieces of every pair with carriers, in the material of its kit.</summary>
    /// <param name="letter">Letter of the n-th piece.</param>
    public static IReadOnlyList<PadPiece> Pieces(WorkOrder order, Func<int, string> letter)
    {
        var pieces = new List<PadPiece>();
        foreach (var pair in order.Pairs)
        foreach (var carrier in pair.Block.Carriers)
        foreach (var pad in Compute(carrier))
        {
            if (Material(pair.Block, pad.ThicknessMm) is not { } material)
                continue;
            pieces.Add(
                new(
                    letter(pieces.Count),
                    [],
                    Boards.PartKind.Other,
                    carrier.Face,
                    pad.ThicknessMm,
                    material,
                    Math.Round(pad.LengthMm, 2),
                    pad.WidthMm,
                    true
                )
                {
                    Pair = pair.Key,
                    Board = pair.On ?? order.First.Key,
                    Where = $"edge of {carrier.Id.Replace('-', ' ')}",
                    Outline = Geometry.Polygon.Rectangle(
                        new((pad.FromMm + pad.ToMm) / 2, carrier.Outline.Bounds.MaxY),
                        pad.LengthMm,
                        pad.WidthMm
                    ),
                }
            );
        }
        return pieces;
    }

    /// <summary>Null where the kit holds no pads at all.</summary>
    internal static string? Material(Block block, double thicknessMm) =>
        (
            block.Kit?.Pads.FirstOrDefault(p => Math.Abs(p.ThicknessMm - thicknessMm) < 1e-6)
            ?? (block.Kit is { Pads: [var any, ..] } ? any : null)
        )?.Material;
}
