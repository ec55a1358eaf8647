using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Paste;

/// <summary>What kind of face paste goes on.</summary>
public enum PasteSurface
{
    BareDie,
    Lid,
    LargePlate,
    BridgeChip,
}

/// <summary>How paste is best laid on a face, with its reason; refusals and cautions for liquid metal.</summary>
public static class PasteMethods
{
    /// <summary>A face wider than this is a large plate, mm.</summary>
    private const double LargePlateMm = 45;

    /// <summary>Film of liquid metal on each face, µm.</summary>
    public const double LiquidFilmUm = Sockets.MetalFilm.UsualUm;

    /// <summary>Bare parts nearer than this to the die are in reach of a drop, mm.</summary>
    public const double ReachMm = 6;

    public static PasteSurface SurfaceOf(Part part) =>
        part.Kind switch
        {
            PartKind.BridgeChip => PasteSurface.BridgeChip,
            PartKind.Lid => Math.Max(part.WidthMm, part.DepthMm) > LargePlateMm
                ? PasteSurface.LargePlate
                : PasteSurface.Lid,
            _ => PasteSurface.BareDie,
        };

    /// <summary>Which of the shop's questions the face belongs to.</summary>
    public static string SchoolOf(Part part) => part.Kind == PartKind.Lid ? "paste-lid" : "paste-die";

    public static string Why(PasteSurface surface, PasteWay method, Part part) =>
        (surface, method) switch
        {
            (PasteSurface.BareDie, PasteWay.Spread) =>
                "Bare silicon: every square millimetre covered, thin and even; a pattern may leave a corner bare.",
            (PasteSurface.BareDie, _) =>
                "Bare silicon under a pattern: look in the simulation whether the corners are reached before you trust it.",
            (PasteSurface.BridgeChip, PasteWay.Spread) => "A bridge chip gives little heat: a thin spread is enough.",
            (PasteSurface.BridgeChip, _) => "A bridge chip gives little heat: a small amount pressed out does.",
            (PasteSurface.LargePlate, PasteWay.Spread) =>
                "A large lid: spread, and slightly more than a small one takes.",
            (PasteSurface.LargePlate, _) =>
                "A large lid: one dot does not reach its corners; arms do, with slightly more paste.",
            (_, PasteWay.Line) => FormattableString.Invariant(
                $"A lid of {part.WidthMm:0} × {part.DepthMm:0} mm: a line along the long side."
            ),
            _ => "A lid spreads the heat: a pattern or a spread both do.",
        };

    /// <summary>Liquid metal on this face: what forbids it, what it asks for.</summary>
    /// <param name="coated">Bare parts that are covered by then.</param>
    /// <returns>Refusals first; empty when nothing forbids it.</returns>
    public static (IReadOnlyList<string> Refusals, IReadOnlyList<string> Cautions) LiquidMetal(
        Board board,
        Block block,
        Part die,
        IReadOnlyCollection<string>? coated = null
    )
    {
        List<string> refusals = [],
            cautions = [];
        var metal = block.ColdPlate?.Metal.ToLowerInvariant() ?? "";
        if (metal.Contains("alumin", StringComparison.Ordinal))
            refusals.Add("The block's face is aluminium: gallium destroys it. Never.");
        else if (metal.Length == 0)
            cautions.Add("The block does not say what its face is made of: make sure that it is no aluminium.");
        else if (!metal.Contains("nickel", StringComparison.Ordinal))
            cautions.Add("Bare copper soaks liquid metal up: it stains, and a second coat is due after some weeks.");
        var reach = die.Top().Bounds.Grown(ReachMm);
        var bare = board
            .Parts.Where(p =>
                p.Face == die.Face
                && p.Id != die.Id
                && coated?.Contains(p.Id) != true
                && p.Kind is PartKind.Capacitor or PartKind.Other
                && p.Top().Bounds.Meets(reach)
            )
            .Select(p => p.Id)
            .ToList();
        if (bare.Count > 0)
            refusals.Add(
                "Bare parts in reach of a drop: "
                    + $"{(bare.Count > 6 ? $"{string.Join(", ", bare.Take(6))} and {bare.Count - 6} more" : string.Join(", ", bare))}. "
                    + "Coat them, let it dry, then choose it again as covered."
            );
        cautions.Add(
            "Conducts: a drop beside the die is a short circuit. Gloves and a tray; keep it off aluminium tools, laptops and jewellery."
        );
        cautions.Add(
            "A film on the die and on the contact patch, and nowhere else. What is left over is not for the drain."
        );
        return (refusals, cautions);
    }

    /// <summary>Volume of the film on each of the two faces, µL.</summary>
    public static double LiquidPerFaceUl(double areaMm2) => areaMm2 * LiquidFilmUm / 1000;
}
