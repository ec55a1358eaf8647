using System.Text.Json.Serialization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Core.Sockets;

/// <param name="FacingDeg">Where it points, counter-clockwise from +x; null for one that points away from the board.</param>
public sealed record TurnedPort(
    string Id,
    double XMm,
    double YMm,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? FacingDeg
);

/// <summary>The block turned one way on the socket.</summary>
/// <param name="Clashes">Parts of the mainboard and keep-outs of the socket that it meets.</param>
/// <param name="Allowed">No clash, and the slit across the fins.</param>
public sealed record Orientation(
    double RotationDeg,
    IReadOnlyList<TurnedPort> Ports,
    bool SlitAcrossFins,
    IReadOnlyList<PartMargin> Clashes,
    bool Allowed
)
{
    /// <summary>Whether the maker says that it cools best this way round.</summary>
    public bool Best { get; init; }

    /// <summary>Where the sprung posts or screws that count on this socket then stand.</summary>
    public IReadOnlyList<TurnedSpring> Springs { get; init; } = [];
}

public sealed record TurnedSpring(string Id, double XMm, double YMm);

/// <summary>Each way a block may be turned, against what stands round its socket.</summary>
public static class Orientations
{
    private const double SlitToleranceDeg = 1;

    public static IReadOnlyList<Orientation> Find(
        Board? board,
        Socket socket,
        Block block,
        SocketFit? kit,
        double homeMm,
        CancellationToken cancel = default
    )
    {
        var across = SlitAcrossFins(block.ColdPlate);
        List<(Part Part, Polygon Top)> standing =
        [
            .. (board?.Parts ?? [])
                .Where(p => p.Face == Face.Front && p.Kind != PartKind.Empty)
                .Select(p => (p, p.Top())),
            .. socket.KeepOut.Select((k, i) => (Block(k, i), k.Outline)),
        ];
        return
        [
            .. block.Rotations.Select(r =>
            {
                cancel.ThrowIfCancellationRequested();
                var turned = new Placement(0, 0, r);
                var ceilings = block
                    .Plates.Where(p => p.Face == Face.Front)
                    .Select(p => new Ceiling(p, turned, homeMm))
                    .ToList();
                List<PartMargin> clashes =
                [
                    .. standing
                        .Select(s =>
                            ceilings.Select(c => c.Over(s.Part, s.Top)).OfType<PartMargin>().MinBy(m => m.MarginMm)
                        )
                        .OfType<PartMargin>()
                        .Where(m => m.MarginMm < 0)
                        .OrderBy(m => m.MarginMm),
                ];
                return new Orientation(
                    r,
                    [.. block.Ports.Select(p => Turned(p, turned, r))],
                    across,
                    clashes,
                    clashes.Count == 0 && across
                )
                {
                    Springs =
                    [
                        .. HeightChain
                            .Springs(block, socket.Id)
                            .Select(h => (h.Id, At: turned.Apply(h.At)))
                            .Select(h => new TurnedSpring(h.Id, h.At.X, h.At.Y)),
                    ],
                    Best = kit?.BestRotationDeg is { } best && Same(best, r),
                };
            }),
        ];
    }

    /// <summary>Fins and slit turn together: the angle between them is the block's own.</summary>
    public static bool SlitAcrossFins(ColdPlate? plate) =>
        plate is not { FinDirectionDeg: { } fins, SlitDirectionDeg: { } slit }
        || Math.Abs(Modulo(fins - slit, 180) - 90) <= SlitToleranceDeg;

    /// <summary>What a keep-out is called.</summary>
    public static string KeepOutName(int index) => $"keep-out {index + 1}";

    private static Part Block(KeepOut k, int index) =>
        new()
        {
            Id = KeepOutName(index),
            Kind = PartKind.Other,
            X = k.Outline.Centroid.X,
            Y = k.Outline.Centroid.Y,
            WidthMm = k.Outline.Bounds.Width,
            DepthMm = k.Outline.Bounds.Height,
            HeightMm = k.HeightMm,
        };

    private static TurnedPort Turned(Port port, Placement turned, double rotation)
    {
        var at = turned.Apply(port.At);
        double? facing = port.Facing switch
        {
            "right" => 0,
            "up" => 90,
            "left" => 180,
            "down" => 270,
            _ => null,
        };
        return new(port.Id, at.X, at.Y, facing is { } f ? Modulo(f + rotation, 360) : null);
    }

    private static bool Same(double a, double b) => Math.Abs(Modulo(a - b + 180, 360) - 180) < 0.5;

    private static double Modulo(double v, double m) => (v % m + m) % m;
}
