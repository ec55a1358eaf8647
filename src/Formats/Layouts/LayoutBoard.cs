using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>What a layout does not say about a board.</summary>
/// <param name="Die">Designator of the main die, which becomes the origin; null leaves the file's origin.</param>
public sealed record LayoutNames(string Id, string Maker, string Model, string BoardCode, string Revision, string? Die);

/// <summary>A board document out of layout files.</summary>
public static class LayoutBoard
{
    private const double RimMm = 3,
        UnknownSizeMm = 2,
        UnknownThicknessMm = 1.6;

    /// <exception cref="Core.InputException">
    /// The named die is not among the parts, or there is nothing to make a board of.
    /// </exception>
    public static Board From(LayoutResult layout, LayoutNames names)
    {
        var die = names.Die is null
            ? null
            : layout.Parts.FirstOrDefault(p => p.Id == names.Die)
                ?? throw new Core.InputException("/die", LayoutBoardWords.IsNotAmongParts(names.Die));
        var origin = die is null ? default : new Point2(die.X, die.Y);
        var points = layout
            .Holes.Select(h => new Point2(h.X, h.Y))
            .Concat(layout.Parts.Select(p => new Point2(p.X, p.Y)))
            .ToList();
        if (layout.Outline is null && points.Count < 2)
            throw new Core.InputException("/files", LayoutBoardWords.FilesHoldNoOutlineAndFewer);
        var outline = layout.Outline ?? Around(points);
        // designators of other programs may hold anything
        var taken = layout.Parts.Select(p => p.Id).Where(Documents.DocumentIds.IsValid).ToHashSet();
        string Valid(string id) => Documents.DocumentIds.IsValid(id) ? id : Documents.DocumentIds.Valid(id, taken);
        return new()
        {
            Id = names.Id,
            Maker = names.Maker,
            Model = names.Model,
            BoardCode = names.BoardCode,
            Revision = names.Revision,
            Kind = BoardKind.GraphicsCard,
            Outline = new([.. outline.Points.Select(p => p - origin)]),
            ThicknessMm = layout.ThicknessMm ?? UnknownThicknessMm,
            Evidence = EvidenceGrade.B,
            Holes =
            [
                .. layout
                    .Holes.Where(h => h.DiameterMm is > 0)
                    .Select(
                        (h, i) =>
                            new BoardHole(
                                $"H{i + 1}",
                                h.X - origin.X,
                                h.Y - origin.Y,
                                h.DiameterMm!.Value,
                                HoleRole.Perimeter,
                                h.SlotMm ?? 0,
                                h.SlotDeg ?? 0
                            )
                    ),
            ],
            Parts =
            [
                .. layout
                    .Parts.DistinctBy(p => p.Id)
                    .Select(p => (p, Kind: p.Id == names.Die ? PartKind.Die : p.Kind ?? PartKind.Unknown))
                    .Select(t => new Part
                    {
                        Id = Valid(t.p.Id),
                        Kind = t.Kind,
                        Face = t.p.Face,
                        X = t.p.X - origin.X,
                        Y = t.p.Y - origin.Y,
                        RotationDeg = t.p.RotationDeg,
                        WidthMm = t.p.WidthMm is > 0 ? t.p.WidthMm.Value : UnknownSizeMm,
                        DepthMm = t.p.DepthMm is > 0 ? t.p.DepthMm.Value : UnknownSizeMm,
                        HeightMm = t.p.HeightMm ?? 0,
                        HeightUnknown = t.p.HeightMm is null && t.Kind != PartKind.Empty,
                        StatedCool = PartKinds.UsualCooling(t.Kind),
                    }),
            ],
        };
    }

    /// <summary>What a board made of this layout takes for granted because the files do not say it.</summary>
    public static IEnumerable<string> TakenForGranted(LayoutResult layout)
    {
        static string Names(IEnumerable<LayoutPart> parts) =>
            parts.Select(p => p.Id).ToList() is var ids && ids.Count > 6
                ? $"{string.Join(", ", ids.Take(6))} and {ids.Count - 6} more"
                : string.Join(", ", ids);
        if (layout.Parts.Where(p => p.HeightMm is null).ToList() is { Count: > 0 } flat)
            yield return LayoutBoardWords.NoHeightIsStated(Names(flat));
        if (layout.Parts.Where(p => p.WidthMm is null or <= 0).ToList() is { Count: > 0 } small)
            yield return LayoutBoardWords.NoSizeIsStated(Names(small), UnknownSizeMm);
        if (layout.Holes.Count(h => h.DiameterMm is not > 0) is > 0 and var nameless)
            yield return LayoutBoardWords.WithoutDiameterLeftOut(HowMany.Count(nameless, "hole"));
        if (layout.ThicknessMm is null)
            yield return LayoutBoardWords.NoThicknessIsStated(UnknownThicknessMm);
        if (layout.Outline is null)
            yield return LayoutBoardWords.NoOutlineIsStated(RimMm);
    }

    private static Polygon Around(List<Point2> points)
    {
        var b = Bounds.From(points).Grown(RimMm);
        return new([new(b.MinX, b.MinY), new(b.MaxX, b.MinY), new(b.MaxX, b.MaxY), new(b.MinX, b.MaxY)]);
    }
}
