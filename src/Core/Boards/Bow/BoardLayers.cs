using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>
/// What lies flat on a board and bends with it: packages, a socket's frame, the plate behind the socket. One answer
/// for how it bows and for where a block comes to rest on it.
/// </summary>
public static class BoardLayers
{
    /// <summary>The board's packages and its socket with what holds it.</summary>
    /// <param name="joined">For packages and frames that do not state how well their solder joins, 0 to 1.</param>
    public static IReadOnlyList<BowLayer> Compute(Board board, double joined = Substrate.UsualJoined)
    {
        var layers = new List<BowLayer>();
        foreach (var part in board.Parts)
            if (PackageOf(part, board) is { } package)
                layers.Add(
                    new(
                        Outline(part, package),
                        package.ThicknessMm,
                        package.EMPa,
                        BowLayer.UsualNu,
                        part.Substrate?.Joined ?? joined
                    )
                );
        if (board.SocketFrame is { } frame)
            layers.Add(new(frame, Substrate.SocketMm, Substrate.SocketEMPa, BowLayer.UsualNu, joined));
        if (board.Backing is { } plate)
            layers.Add(Screwed(plate.Area, plate.ThicknessMm, plate.EMPa));
        return layers;
    }

    /// <summary>What a part is built on and soldered with; null where it has none, or lies in a socket.</summary>
    public static Substrate? PackageOf(Part part, Board board) =>
        InSocket(part, board) ? null : Substrate.From(part, board);

    /// <summary>Where a part's force comes upon the board: all over what it is built on.</summary>
    public static Polygon Under(Part part, Board board) =>
        InSocket(part, board) && board.SocketFrame is { } frame ? frame
        : PackageOf(part, board) is { } package ? Outline(part, package)
        : Polygon.Rectangle(part.At, part.WidthMm, part.DepthMm, part.RotationDeg);

    /// <summary>A layer that makes the board so many times as stiff.</summary>
    public static BowLayer Times(Polygon area, double factor, Board board, BoardStiffness laminate)
    {
        // D grows as t³: the board's own stuff, so many times its rigidity less the board
        var mm = board.ThicknessMm * Math.Cbrt(factor - 1);
        return new(area, mm, laminate.EMPa, laminate.Nu, 0) { Soldered = false };
    }

    /// <summary>Held at its screws alone it slides on the board and adds just its own rigidity.</summary>
    public static BowLayer Screwed(Polygon area, double mm, double eMPa) =>
        new(area, mm, eMPa, MetalNu, 0) { Soldered = false };

    private const double MetalNu = 0.3;

    private static bool InSocket(Part part, Board board) =>
        board.SocketFrame is not null && part.Kind is PartKind.Die or PartKind.Lid;

    private static Polygon Outline(Part part, Substrate package) =>
        Polygon.Rectangle(part.At, package.WidthMm, package.DepthMm, part.RotationDeg);
}
