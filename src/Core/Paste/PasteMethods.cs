using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Paste;

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

    public static Message Why(PasteSurface surface, PasteWay method, Part part) =>
        (surface, method) switch
        {
            (PasteSurface.BareDie, PasteWay.Spread) => PasteMethodsWords.BareSiliconEverySquareMillimetreCovered,
            (PasteSurface.BareDie, _) => PasteMethodsWords.BareSiliconUnderPattern,
            (PasteSurface.BridgeChip, PasteWay.Spread) => PasteMethodsWords.BridgeChipGivesLittleHeat,
            (PasteSurface.BridgeChip, _) => PasteMethodsWords.BridgeChipGivesLittleHeatSmall,
            (PasteSurface.LargePlate, PasteWay.Spread) => PasteMethodsWords.LargeLidSpreadAndSlightlyMore,
            (PasteSurface.LargePlate, _) => PasteMethodsWords.LargeLidOneDotDoes,
            (_, PasteWay.Line) => PasteMethodsWords.LidOfLineAlongLongSide(part.WidthMm, part.DepthMm),
            _ => PasteMethodsWords.LidSpreadsHeat,
        };

    /// <summary>Liquid metal on this face: what forbids it, what it asks for.</summary>
    /// <param name="coated">Bare parts that are covered by then.</param>
    /// <returns>Refusals first; empty when nothing forbids it.</returns>
    public static (IReadOnlyList<Message> Refusals, IReadOnlyList<Message> Cautions) LiquidMetal(
        Board board,
        Block block,
        Part die,
        IReadOnlyCollection<string>? coated = null
    )
    {
        List<Message> refusals = [],
            cautions = [];
        var metal = block.ColdPlate?.Metal.ToLowerInvariant() ?? "";
        if (metal.Contains("alumin", StringComparison.Ordinal))
            refusals.Add(PasteMethodsWords.BlocksFaceIsAluminium);
        else if (metal.Length == 0)
            cautions.Add(PasteMethodsWords.BlockDoesNotSayWhatFace);
        else if (!metal.Contains("nickel", StringComparison.Ordinal))
            cautions.Add(PasteMethodsWords.BareCopperSoaksLiquidMetalUp);
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
                PasteMethodsWords.BarePartsInReachOfDrop(
                    bare.Count > 6
                        ? $"{string.Join(", ", bare.Take(6))} and {bare.Count - 6} more"
                        : string.Join(", ", bare)
                )
            );
        cautions.Add(PasteMethodsWords.ConductsDropBesideDieIsShort);
        cautions.Add(PasteMethodsWords.FilmOnDieAndOnContact);
        return (refusals, cautions);
    }

    /// <summary>Volume of the film on each of the two faces, µL.</summary>
    public static double LiquidPerFaceUl(double areaMm2) => areaMm2 * LiquidFilmUm / 1000;
}
