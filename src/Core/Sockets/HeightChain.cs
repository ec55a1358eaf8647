using System.Text.Json.Serialization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Sockets;

/// <summary>
/// How high things stand above the mainboard and what the springs make of it. Stops hold the block off when they come
/// first: then nothing reaches the contact.
/// </summary>
/// <param name="ContactMm">Top of the lid, or of the tallest die without one.</param>
/// <param name="HomeMm">Where the block's die land comes to rest.</param>
/// <param name="StopGapMm">Room over the stops when the block rests on the contact; negative when they come first,
/// null without stops.</param>
/// <param name="SpringLoadN">What the springs pull with at home.</param>
/// <param name="LoadN">What of it reaches the contact.</param>
/// <param name="SocketLoadN">Load on the socket's contacts: that and the clamp's or frame's.</param>
/// <param name="ShimMm">What under the springs would give back the whole load they are made for.</param>
public sealed record HeightChain(
    double ContactMm,
    double HomeMm,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? StopGapMm,
    double SpringLoadN,
    double LoadN,
    double SocketLoadN,
    double ShimMm
)
{
    /// <summary>Washers that can be bought for it, one stack under each spring.</summary>
    public IReadOnlyList<double> Shims { get; init; } = [];

    /// <summary>What the springs pull with over those.</summary>
    public double ShimmedLoadN { get; init; } = SpringLoadN;

    /// <summary>The springs miss so much of their height that it is told.</summary>
    [JsonIgnore]
    public bool MissesHeight => ShimMm >= Sockets.Shims.MinMm;

    /// <summary>Heights closer than this are equal, mm.</summary>
    public const double EqualMm = 1e-6;

    /// <param name="lid">False where the lid is taken off.</param>
    /// <param name="bondMm">Film between contact and block.</param>
    public static HeightChain Create(
        Socket socket,
        Board processor,
        Block block,
        SocketFit? kit,
        bool lid,
        double bondMm
    )
    {
        var seat = lid ? socket.SeatMm : kit?.SeatMm ?? socket.SeatMm;
        var contact = seat + processor.ThicknessMm + TopMm(processor, lid);
        var home = Math.Max(contact + bondMm, kit?.StopHeightMm ?? double.NegativeInfinity);
        var gap = contact + bondMm - kit?.StopHeightMm;
        // equal heights meet, whatever their sums round to
        if (gap is { } g && Math.Abs(g) < EqualMm)
            gap = 0;
        var design = kit?.DesignHeightMm ?? contact + bondMm;
        var springs = Springs(block, socket.Id).Sum(h => h.Spring!.RateNPerMm * Compression(h, home, design));
        var load = gap is < 0 ? 0 : springs;
        var hold = lid ? socket.ClampN : kit?.FrameN ?? 0;
        var shim = gap is < 0 || design - contact - bondMm < EqualMm ? 0 : design - contact - bondMm;
        var shims = Sockets.Shims.Under(shim);
        return new(contact, home, gap, springs, load, load + hold, shim)
        {
            Shims = shims,
            ShimmedLoadN =
                shims.Count == 0
                    ? springs
                    : Springs(block, socket.Id)
                        .Sum(h => h.Spring!.RateNPerMm * Compression(h, home + shims.Sum(), design)),
        };
    }

    /// <summary>The sprung screws or posts that count on this socket.</summary>
    public static IEnumerable<BlockHole> Springs(Block block, string socket) =>
        block
            .Plates.SelectMany(p => p.Holes)
            .Where(h => h.Spring is not null && (h.Sockets.Count == 0 || h.Sockets.Contains(socket)));

    public static double Compression(BlockHole hole, double homeMm, double designMm) =>
        Math.Max(0, hole.Spring!.TravelMm + homeMm - designMm);

    /// <summary>Top of the lid, or of the tallest die when there is none, above the substrate.</summary>
    private static double TopMm(Board processor, bool lid) =>
        (lid ? Lid(processor) : null)?.HeightMm ?? Dies(processor).Select(d => d.HeightMm).DefaultIfEmpty(0).Max();

    public static Part? Lid(Board processor) => processor.Parts.FirstOrDefault(p => p.Kind == PartKind.Lid);

    public static IReadOnlyList<Part> Dies(Board processor) =>
        [.. processor.Parts.Where(p => p.Kind == PartKind.Die && p.Face == Face.Front)];
}
