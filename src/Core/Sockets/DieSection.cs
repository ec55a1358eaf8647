using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Sockets;

namespace FaithfulBracket.Core.Sockets;

/// <summary>What a box of a section is.</summary>
public enum SectionMatter
{
    Board,
    Socket,
    Package,
    Die,
    Bond,
    Lid,
    Small,
    Frame,
    Stop,
    Block,
    Fins,
}

/// <summary>A box seen from the side, mm: along the board and above it.</summary>
public sealed record SectionBox(SectionMatter What, double FromMm, double ToMm, double LowMm, double HighMm);

/// <summary>A height of the chain with its name, mm above the mainboard.</summary>
public sealed record SectionLevel(string Name, double Mm);

/// <summary>One way of mounting, cut through from the side.</summary>
/// <param name="SpringMm">How far the first spring is pressed at home; null without springs.</param>
public sealed record SectionWay(
    IReadOnlyList<SectionBox> Boxes,
    IReadOnlyList<SectionLevel> Levels,
    double? SpringMm,
    HeightChain Chain
)
{
    /// <summary>Springs, load and washers in a line.</summary>
    public string Said
    {
        get
        {
            if (Chain.StopGapMm is < 0 and var early)
                return DieSectionWords.StopsComeTooEarly(-early);
            var said = FormattableString.Invariant($"{Chain.LoadN:0} N");
            if (SpringMm is { } spring)
                said = FormattableString.Invariant($"spring {spring:0.00} mm in, ") + said;
            return Chain.Shims.Count == 0
                ? said
                : said
                    + FormattableString.Invariant($", {Chain.ShimmedLoadN:0} N with washers of ")
                    + Shims.InWords(Chain.Shims);
        }
    }

    /// <summary>Whether stops or springs have to be changed for it.</summary>
    public bool Trouble => Chain.StopGapMm is < 0 || Chain.MissesHeight;
}

/// <summary>Lid on beside lid off, everything at its height, out of the documents.</summary>
public sealed record DieSection(SectionWay Lidded, SectionWay Direct)
{
    private const double BoardMm = 1.6,
        SocketRimMm = 2,
        FrameMm = 3,
        StopMm = 2.5,
        FinMm = 3,
        UnstatedBaseMm = 3;

    public static DieSection Create(
        Socket socket,
        Board processor,
        Block block,
        SocketFit? fit,
        DirectDieResult answer
    ) =>
        new(
            Way(socket, processor, block, fit, answer.Lidded, lid: true),
            Way(socket, processor, block, fit, answer.Direct, lid: false)
        );

    private static SectionWay Way(
        Socket socket,
        Board processor,
        Block block,
        SocketFit? fit,
        HeightChain chain,
        bool lid
    )
    {
        var seat = lid ? socket.SeatMm : fit?.SeatMm ?? socket.SeatMm;
        var top = seat + processor.ThicknessMm;
        var package = socket.PackageOutline.Bounds;
        List<SectionBox> boxes =
        [
            new(SectionMatter.Socket, package.MinX - SocketRimMm, package.MaxX + SocketRimMm, 0, seat),
            new(SectionMatter.Package, package.MinX, package.MaxX, seat, top),
        ];
        SectionBox Side(SectionMatter what, Part p, double low, double high) =>
            new(what, p.Top().Bounds.MinX, p.Top().Bounds.MaxX, low, high);
        var cover = HeightChain.Lid(processor);
        if (lid && cover is not null)
        {
            var under = cover.HeightMm - (cover.LidThicknessMm ?? 2);
            boxes.Add(Side(SectionMatter.Lid, cover, top + under, top + cover.HeightMm));
            var b = cover.Top().Bounds;
            boxes.Add(new(SectionMatter.Lid, b.MinX, b.MinX + 1.6, top, top + under));
            boxes.Add(new(SectionMatter.Lid, b.MaxX - 1.6, b.MaxX, top, top + under));
            boxes.AddRange(
                HeightChain
                    .Dies(processor)
                    .Where(d => under > d.HeightMm)
                    .Select(d => Side(SectionMatter.Bond, d, top + d.HeightMm, top + under))
            );
        }
        boxes.AddRange(HeightChain.Dies(processor).Select(d => Side(SectionMatter.Die, d, top, top + d.HeightMm)));
        boxes.AddRange(
            processor
                .Parts.Where(p => p.Face == Face.Front && p.Kind is PartKind.Capacitor or PartKind.Other)
                .Select(p => Side(SectionMatter.Small, p, top, top + p.HeightMm))
        );
        if (!lid && fit?.FrameN is not null)
            foreach (
                var (from, to) in new[]
                {
                    (package.MinX - 1.5, package.MinX + 1.5),
                    (package.MaxX - 1.5, package.MaxX + 1.5),
                }
            )
                boxes.Add(new(SectionMatter.Frame, from, to, seat, top + FrameMm / 10));
        var plate = block.Plates.SelectMany(p => p.Outline.Points).ToList();
        if (plate.Count > 0)
        {
            var (left, right) = (plate.Min(p => p.X), plate.Max(p => p.X));
            var thick = block.ColdPlate?.BaseMm ?? UnstatedBaseMm;
            boxes.Add(new(SectionMatter.Block, left, right, chain.HomeMm, chain.HomeMm + thick));
            var fins = block.ColdPlate?.FinArea?.Bounds;
            boxes.Add(
                new(
                    SectionMatter.Fins,
                    fins?.MinX ?? left * 0.7,
                    fins?.MaxX ?? right * 0.7,
                    chain.HomeMm + thick,
                    chain.HomeMm + thick + FinMm
                )
            );
            if (fit?.StopHeightMm is { } stop)
                foreach (var from in new[] { left, right - StopMm })
                    boxes.Add(new(SectionMatter.Stop, from, from + StopMm, 0, stop));
            boxes.Insert(0, new(SectionMatter.Board, left - 6, right + 6, -BoardMm, 0));
        }
        var spring = HeightChain.Springs(block, socket.Id).FirstOrDefault();
        return new(
            boxes,
            [
                new("board", 0),
                new("seat", seat),
                new("package", top),
                new("contact", chain.ContactMm),
                new("block", chain.HomeMm),
            ],
            spring is null ? null : HeightChain.Compression(spring, chain.HomeMm, fit?.DesignHeightMm ?? chain.HomeMm),
            chain
        );
    }
}
