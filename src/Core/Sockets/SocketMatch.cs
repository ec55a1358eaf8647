using System.Text.Json.Serialization;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Sockets;

namespace FaithfulBracket.Core.Sockets;

/// <param name="Kit">
/// The upgrade kit that is needed; null when the block's own parts do or the block does not fit at all.
/// </param>
/// <param name="PeakMPa">Highest pressure on the lid, or on a die without one.</param>
public sealed record SocketMatchResult(
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] string? Kit,
    Posts Posts,
    double ContactMm,
    double HomeMm,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? StopGapMm,
    double SpringLoadN,
    double LoadN,
    double SocketLoadN,
    double ShimMm,
    double PeakMPa,
    Verdict Verdict,
    IReadOnlyList<Reason> Reasons,
    IReadOnlyList<Orientation> Orientations
)
{
    /// <summary>Washers that are laid under each spring; what springs pull over them is in the reason.</summary>
    public IReadOnlyList<double> Shims { get; init; } = [];
}

/// <summary>Does this block go on this socket with this processor: kit, height chain, loads, turns.</summary>
public static class SocketMatch
{
    public const double DefaultBondLineMm = 0.03;

    public static SocketMatchResult Compute(
        Board? board,
        Socket socket,
        Board processor,
        Block block,
        double bondLineMm = DefaultBondLineMm,
        CancellationToken cancel = default
    )
    {
        var lidded = HeightChain.Lid(processor) is not null;
        var kit = SocketKits.Choose(block, socket, processor, lidded, bondLineMm);
        var chain = HeightChain.Create(socket, processor, block, kit, lidded, bondLineMm);
        var stamp = Stamp(socket, processor, block, kit, chain);
        var peak = stamp.Dies.Select(d => d.PeakMPa).DefaultIfEmpty(0).Max();
        var turns = Orientations.Find(board, socket, block, kit, chain.HomeMm, cancel);
        List<Judgement> judged =
        [
            .. Fits(socket, processor, block, kit),
            .. Heights(chain),
            .. Loads(socket, processor, chain, stamp),
            .. Turns(turns),
        ];
        var verdict =
            judged.Any(j => j.Weight == Weight.Clash) ? Verdict.Clashes
            : judged.Any(j => j.Weight == Weight.Work) ? Verdict.SeatsWithWork
            : Verdict.Seats;
        return new(
            kit?.Kit is { Length: > 0 } named ? named : null,
            socket.Posts,
            chain.ContactMm,
            chain.HomeMm,
            chain.StopGapMm,
            chain.SpringLoadN,
            chain.LoadN,
            chain.SocketLoadN,
            chain.ShimMm,
            peak,
            verdict,
            [.. judged.OrderByDescending(j => j.Weight).Select(j => j.Reason with { Weight = j.Weight })],
            turns
        )
        {
            Shims = chain.Shims,
        };
    }

    /// <summary>The load on lid or dies, with the springs where the block's best turn puts them.</summary>
    internal static StampResult Stamp(Socket socket, Board processor, Block block, SocketFit? kit, HeightChain chain)
    {
        var faces = HeightChain.Lid(processor) is { } lid ? (IReadOnlyList<Part>)[lid] : HeightChain.Dies(processor);
        return Stamp(socket, faces, block, kit, chain);
    }

    internal static StampResult Stamp(
        Socket socket,
        IReadOnlyList<Part> faces,
        Block block,
        SocketFit? kit,
        HeightChain chain
    )
    {
        var turn = new Geometry.Placement(0, 0, kit?.BestRotationDeg ?? block.Rotations[0]);
        var design = kit?.DesignHeightMm ?? chain.HomeMm;
        var springs = HeightChain
            .Springs(block, socket.Id)
            .Select(h =>
                (At: turn.Apply(h.At), Force: h.Spring!.RateNPerMm * HeightChain.Compression(h, chain.HomeMm, design))
            )
            .ToList();
        var total = springs.Sum(s => s.Force);
        var at =
            total > 0
                ? springs.Aggregate(default(Geometry.Point2), (sum, s) => sum + s.At * (s.Force / total))
                : default;
        return faces.Count == 0
            ? new([], at, at, true)
            : DieStamp.Compute([.. faces.Select(f => (f.Id, f.Top()))], chain.LoadN, at);
    }

    internal static IEnumerable<Judgement> Fits(Socket socket, Board processor, Block block, SocketFit? kit)
    {
        if (processor.Socket is { } own && own != socket.Id)
            yield return Clash("wrong-socket", SocketMatchWords.ProcessorIsMadeForSocket(own, socket.Name, socket.Id));
        if (kit is null)
            yield return Clash(
                "wrong-socket",
                block.Sockets.Count == 0
                    ? SocketMatchWords.BlockNamesNoSocket(socket.Name)
                    : SocketMatchWords.BlockIsMade(
                        string.Join(", ", block.Sockets.Select(s => s.Socket)),
                        socket.Name,
                        socket.Id
                    )
            );
        else if (PostsOf(kit.Posts) is { } posts && posts != socket.Posts)
            yield return Clash(
                "wrong-socket",
                SocketMatchWords.KitsPostsAre(Words(posts), socket.Name, Words(socket.Posts))
            );
    }

    internal static Posts? PostsOf(string? text) =>
        text switch
        {
            "backPlate" or "back-plate" => Posts.BackPlate,
            "captive" => Posts.Captive,
            _ => null,
        };

    public static string Words(Posts posts) =>
        posts == Posts.Captive ? SocketMatchWords.CaptiveThreadedAllWayDown : SocketMatchWords.ForBackPlateWithShoulder;

    private static IEnumerable<Judgement> Heights(HeightChain c)
    {
        if (c.StopGapMm is < 0 and var gap)
            yield return Clash("stop-before-contact", SocketMatchWords.BlockLandsOnStopsBefore(-gap));
        else if (c.MissesHeight)
            yield return Shimmed(c, SocketMatchWords.ContactLiesLowerThanSprings(c.ShimMm));
    }

    /// <summary>Washers that give back load, with what the springs pull with and without them.</summary>
    internal static Judgement Shimmed(HeightChain c, Message why)
    {
        var text =
            c.Shims.Count == 0
                ? SocketMatchWords.TheyPullNoWasherThatThin(c.LoadN)
                : SocketMatchWords.WashersUnderEachMakeItWithout(
                    Sockets.Shims.InWords(c.Shims),
                    c.ShimmedLoadN,
                    c.LoadN
                );
        return c.Shims.Count == 0 ? Note("shim", why + text) : Work("shim", why + text);
    }

    private static IEnumerable<Judgement> Loads(Socket socket, Board processor, HeightChain c, StampResult stamp)
    {
        if (!stamp.Balanced)
            yield return Clash("over-load", SocketMatchWords.SpringsPullOutsideAllThatThey);
        foreach (var d in stamp.Dies)
        {
            var part = processor.FindPart(d.Part)!;
            if (part.MaxLoadN is { } most && d.LoadN > most)
                yield return Clash("over-load", DirectDieWords.WouldCarryOfAtMost(d.Part, d.LoadN, most));
            if (part.MaxPressureMPa is { } limit && d.PeakMPa > limit)
                yield return Clash("over-load", DirectDieWords.WouldBePressed(d.Part, d.PeakMPa, limit));
        }
        if (c.SocketLoadN < socket.ContactMinN)
            yield return Work("contact-low", SocketMatchWords.OnContactsAtLeast(c.SocketLoadN, socket.ContactMinN));
        else if (c.SocketLoadN > socket.ContactMaxN)
            yield return Work("contact-high", DirectDieWords.OnContactsAtMost(c.SocketLoadN, socket.ContactMaxN));
    }

    private static IEnumerable<Judgement> Turns(IReadOnlyList<Orientation> turns)
    {
        if (turns.Count > 0 && turns.All(t => t.Clashes.Count > 0))
            yield return Clash(
                "keep-out",
                SocketMatchWords.HoweverItIsTurnedBlockMeets(turns[0].Clashes[0].Part, -turns[0].Clashes[0].MarginMm)
            );
        if (turns.Count > 0 && !turns[0].SlitAcrossFins)
            yield return Work("slit-along-fins", SocketMatchWords.JetsSlitLiesAlongFins);
    }

    private static Judgement Clash(string code, Message text) => new(Weight.Clash, new(code, text, []));

    private static Judgement Note(string code, Message text) => new(Weight.Note, new(code, text, []));

    private static Judgement Work(string code, Message text) => new(Weight.Work, new(code, text, []));
}
