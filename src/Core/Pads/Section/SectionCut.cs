using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Pads.Section;

namespace FaithfulBracket.Core.Pads.Section;

public enum SectionLayer
{
    Board,
    Part,
    Pad,
    Paste,
    Plate,
}

/// <summary>One shape of the section: distance along the line and height above the board's front, mm.</summary>
/// <param name="Id">Part or plate it belongs to; empty for the board.</param>
public sealed record SectionShape(SectionLayer Layer, string Id, IReadOnlyList<Point2> Points);

/// <summary>What the line meets under the plate: a part with its gap.</summary>
/// <param name="GapMm">Between the part's top and the face above it, at the middle of the stretch, mm.</param>
/// <param name="PadMm">Thickness of the pad as laid; null for none.</param>
public sealed record SectionGap(string Part, double AtMm, double GapMm, double? PadMm, double? Squash, Message Text);

public sealed record SectionResult(double LengthMm, IReadOnlyList<SectionShape> Shapes, IReadOnlyList<SectionGap> Gaps);

/// <summary>The stack cut through along a line: board, parts, pads, paste and plate as the block comes to rest.</summary>
public static class SectionCut
{
    private const double PlateAboveMm = 1.5,
        MinStretchMm = 0.05;

    /// <param name="seating">Where the block rests; null lays it level on its nominal plane.</param>
    /// <exception cref="InputException">The two points are the same.</exception>
    public static SectionResult Compute(
        Board board,
        LaidBlock? laid,
        double? planeMm,
        SeatingResult? seating,
        IReadOnlyList<PlacedPad> pads,
        Point2 from,
        Point2 to
    )
    {
        var length = (to - from).Length;
        var (block, placement) = (laid?.Block, laid?.Placement ?? Placement.Identity);
        if (length < 1)
            throw new InputException("x2", SectionCutWords.ChooseTwoPointsAtLeastMillimetre);
        var u = (to - from) * (1 / length);
        Point2 At(double s) => from + u * s;
        var shapes = new List<SectionShape>();
        var gaps = new List<SectionGap>();
        foreach (var (a, b) in LineCrossings.Inside(board.Outline, from, to))
            shapes.Add(Box(SectionLayer.Board, "", a, b, -board.ThicknessMm, 0));
        var parts = board
            .Parts.Where(p => p.Kind != PartKind.Empty)
            .SelectMany(p => LineCrossings.Inside(p.Top(), from, to).Select(s => (Part: p, s.From, s.To)))
            .Where(x => x.To - x.From > MinStretchMm)
            .ToList();
        foreach (var (p, a, b) in parts)
            shapes.Add(
                p.Face == Face.Front
                    ? Box(SectionLayer.Part, p.Id, a, b, 0, p.HeightMm)
                    : Box(SectionLayer.Part, p.Id, a, b, -board.ThicknessMm - p.HeightMm, -board.ThicknessMm)
            );
        if (block is null || planeMm is not { } plane)
            return new(length, shapes, gaps);
        double slopeX = seating is null ? 0 : -Math.Tan(seating.TiltDeg[1] * Math.PI / 180),
            slopeY = seating is null ? 0 : Math.Tan(seating.TiltDeg[0] * Math.PI / 180);
        double Plane(double s)
        {
            var p = At(s);
            return (seating?.PlaneMm ?? plane) + slopeX * p.X + slopeY * p.Y;
        }
        foreach (var plate in block.Plates.Where(p => p.Face == Face.Front))
        {
            foreach (var (a, b, step) in Underside(plate, placement, from, to))
            {
                var high =
                    Plane((a + b) / 2)
                    + plate.Pockets.Select(k => k.StepMm).Append(plate.BaseStepMm).Max()
                    + PlateAboveMm;
                shapes.Add(
                    new(
                        SectionLayer.Plate,
                        plate.Id,
                        [new(a, Plane(a) + step), new(b, Plane(b) + step), new(b, high), new(a, high)]
                    )
                );
                foreach (var (part, x, y) in parts.Where(x => x.Part.Face == Face.Front))
                {
                    double lo = Math.Max(a, x),
                        hi = Math.Min(b, y);
                    if (hi - lo <= MinStretchMm)
                        continue;
                    Fill(
                        part,
                        pads.FirstOrDefault(p => p.Part == part.Id),
                        lo,
                        hi,
                        s => Plane(s) + step,
                        shapes,
                        gaps,
                        part.Kind is PartKind.Die or PartKind.Lid
                    );
                }
            }
        }
        return new(
            length,
            shapes,
            [.. gaps.GroupBy(g => g.Part).Select(g => g.MinBy(x => x.GapMm)!).OrderBy(g => g.AtMm)]
        );
    }

    private static void Fill(
        Part part,
        PlacedPad? pad,
        double lo,
        double hi,
        Func<double, double> ceiling,
        List<SectionShape> shapes,
        List<SectionGap> gaps,
        bool die
    )
    {
        double h = part.HeightMm,
            middle = (lo + hi) / 2,
            gap = ceiling(middle) - h;
        if (pad is { Face: Face.Front })
        {
            double Top(double s) => Math.Min(h + pad.ThicknessMm, Math.Max(ceiling(s), h));
            shapes.Add(new(SectionLayer.Pad, part.Id, [new(lo, h), new(hi, h), new(hi, Top(hi)), new(lo, Top(lo))]));
            var squash = (pad.ThicknessMm - gap) / pad.ThicknessMm;
            gaps.Add(
                new(
                    part.Id,
                    middle,
                    gap,
                    pad.ThicknessMm,
                    squash,
                    gap < 0 ? TooTall(part, gap)
                        : squash > 0 ? SectionCutWords.GapPadSquashed(part.Id, gap, pad.ThicknessMm, squash * 100)
                        : SectionCutWords.GapPadLeavesOfAir(part.Id, gap, pad.ThicknessMm, gap - pad.ThicknessMm)
                )
            );
            return;
        }
        if (die && gap < 0.5)
            shapes.Add(
                new(SectionLayer.Paste, part.Id, [new(lo, h), new(hi, h), new(hi, ceiling(hi)), new(lo, ceiling(lo))])
            );
        gaps.Add(
            new(
                part.Id,
                middle,
                gap,
                null,
                null,
                gap < 0 ? TooTall(part, gap)
                    : die && gap < 0.5 ? (Message)$"{part.Id}: {gap * 1000:0} µm of paste."
                    : (Message)$"{part.Id}: {gap:0.00} mm of air."
            )
        );
    }

    private static Message TooTall(Part part, double gap) => SectionCutWords.MeetsPlateTooTall(part.Id, -gap);

    private static SectionShape Box(SectionLayer layer, string id, double a, double b, double low, double high) =>
        new(layer, id, [new(a, low), new(b, low), new(b, high), new(a, high)]);

    /// <summary>The plate's underside along the line: stretches with their step. Land beats pocket beats base.</summary>
    private static IEnumerable<(double From, double To, double Step)> Underside(
        Plate plate,
        Placement placement,
        Point2 from,
        Point2 to
    )
    {
        var outline = LineCrossings.Inside(placement.Apply(plate.Outline), from, to);
        var lands = plate
            .Lands.SelectMany(l =>
                LineCrossings.Inside(placement.Apply(l.Outline), from, to).Select(s => (s.From, s.To, Step: l.StepMm))
            )
            .ToList();
        var pockets = plate
            .Pockets.SelectMany(l =>
                LineCrossings.Inside(placement.Apply(l.Outline), from, to).Select(s => (s.From, s.To, Step: l.StepMm))
            )
            .ToList();
        foreach (var (a, b) in outline)
        {
            var cuts = lands
                .Concat(pockets)
                .SelectMany(x => new[] { x.From, x.To })
                .Where(x => x > a && x < b)
                .Append(a)
                .Append(b)
                .Order()
                .ToList();
            for (var i = 1; i < cuts.Count; i++)
            {
                if (cuts[i] - cuts[i - 1] < 1e-9)
                    continue;
                var m = (cuts[i] + cuts[i - 1]) / 2;
                bool Over((double From, double To, double Step) x) => x.From <= m && m <= x.To;
                var step =
                    lands.Exists(Over) ? lands.Where(Over).Min(x => x.Step)
                    : pockets.Exists(Over) ? pockets.Where(Over).Min(x => x.Step)
                    : plate.BaseStepMm;
                yield return (cuts[i - 1], cuts[i], step);
            }
        }
    }
}
