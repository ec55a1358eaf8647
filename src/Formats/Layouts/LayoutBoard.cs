using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>What a layout does not say about a board.</summary>
/// <param name="Die">Designator of the main die, which becomes the origin; null leaves the file's origin.</param>
public sealed record LayoutNames(string Id, string Maker, string Model, string BoardCode, string Revision, string? Die);

/// <summary>A board document out of layout files.</summary>
public static class LayoutBoard
{
    private const double RimMm = 3, UnknownSizeMm = 2;

    /// <exception cref="Core.InputException">The named die is not among the parts, or there is nothing to make a board of.</exception>
    public static Board From(LayoutResult layout, LayoutNames names)
    {
        var die = names.Die is null ? null : layout.Parts.FirstOrDefault(p => p.Id == names.Die) ?? throw new Core.InputException("/die", $"\"{names.Die}\" is not among the parts of these files.");
        var origin = die is null ? default : new Point2(die.X, die.Y);
        var points = layout.Holes.Select(h => new Point2(h.X, h.Y)).Concat(layout.Parts.Select(p => new Point2(p.X, p.Y))).ToList();
        if (layout.Outline is null && points.Count < 2) throw new Core.InputException("/files", "The files hold no outline and fewer than two holes and parts: there is nothing to make a board of.");
        var outline = layout.Outline ?? Around(points);
        return new()
        {
            Id = names.Id, Maker = names.Maker, Model = names.Model, BoardCode = names.BoardCode, Revision = names.Revision, Kind = BoardKind.GraphicsCard,
            Outline = new([.. outline.Points.Select(p => p - origin)]), ThicknessMm = layout.ThicknessMm ?? 1.6, Evidence = EvidenceGrade.B,
            Holes = [.. layout.Holes.Where(h => h.DiameterMm is > 0).Select((h, i) => new BoardHole($"H{i + 1}", h.X - origin.X, h.Y - origin.Y, h.DiameterMm!.Value, HoleRole.Perimeter, h.SlotMm ?? 0, h.SlotDeg ?? 0))],
            Parts = [.. layout.Parts.DistinctBy(p => p.Id).Select(p => new Part
            {
                Id = p.Id, Kind = p.Id == names.Die ? PartKind.Die : p.Kind ?? PartKind.Other, Face = p.Face, X = p.X - origin.X, Y = p.Y - origin.Y, RotationDeg = p.RotationDeg,
                WidthMm = p.WidthMm is > 0 ? p.WidthMm.Value : UnknownSizeMm, DepthMm = p.DepthMm is > 0 ? p.DepthMm.Value : UnknownSizeMm, HeightMm = p.HeightMm ?? 0, Cool = p.Id == names.Die ? Cooling.Must : Cooling.No,
            })],
        };
    }

    private static Polygon Around(List<Point2> points)
    {
        var b = Bounds.Of(points).Grown(RimMm);
        return new([new(b.MinX, b.MinY), new(b.MaxX, b.MinY), new(b.MaxX, b.MaxY), new(b.MinX, b.MaxY)]);
    }
}
