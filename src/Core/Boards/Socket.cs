using System.Text.Json.Serialization;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards;

/// <summary>What a block's posts hold to.</summary>
public enum Posts
{
    /// <summary>A plate behind the mainboard takes them.</summary>
    [JsonStringEnumMemberName("backPlate")]
    BackPlate,

    /// <summary>They go straight into the socket's frame.</summary>
    Captive,
}

/// <summary>A socket on a mainboard, its centre the origin. Lengths mm, loads N.</summary>
public sealed record Socket
{
    public required string Id { get; init; }
    public required string Name { get; init; }
    public required Polygon PackageOutline { get; init; }

    /// <summary>Where a package's underside sits under the clamp, mm above the mainboard.</summary>
    public required double SeatMm { get; init; }

    /// <summary>Load on the contacts under which some open, and over which they suffer, N.</summary>
    public required double ContactMinN { get; init; }
    public required double ContactMaxN { get; init; }

    /// <summary>What the clamp holds the package with, N.</summary>
    public double ClampN { get; init; }
    public IReadOnlyList<SocketHole> Holes { get; init; } = [];
    public Posts Posts { get; init; }
    public bool StockBackPlate { get; init; }
    public bool Gasket { get; init; }
    public int Levers { get; init; }

    /// <summary>Towards which corner the mark lies, −1 or 1 along x and y; null when there is none.</summary>
    public Point2? CornerMark { get; init; }

    /// <summary>Where something of the socket stands, and how high, mm.</summary>
    public IReadOnlyList<KeepOut> KeepOut { get; init; } = [];
}

public sealed record SocketHole(string Id, double X, double Y, double DiameterMm);

public sealed record KeepOut(Polygon Outline, double HeightMm);
