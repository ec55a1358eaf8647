using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Core.Mount;

/// <summary>
/// Where a screw is, told from what lies under the block: its die or lid, else the part nearest to the block's middle.
/// Left and right are those of the face that is up.
/// </summary>
internal sealed class ScrewPlaces
{
    /// <summary>Offsets below this are level with the anchor, mm; smaller blocks have a smaller one.</summary>
    private const double MaxLevelMm = 8;
    private const double LevelShare = 0.3;

    private readonly Point2 _anchor;
    private readonly string _name;
    private readonly bool _fromBack;
    private readonly double _levelMm;

    public ScrewPlaces(LaidBlock laid, bool fromBack)
    {
        _fromBack = fromBack;
        List<Point2> holes = [.. laid.Block.Plates.SelectMany(p => p.Holes).Select(h => laid.Placement.Apply(h.At))];
        var middle = holes.Count == 0 ? laid.Placement.Apply(new Point2(0, 0)) : Centre(holes);
        var under = laid.Contacts().Select(laid.Board.FindPart).OfType<Part>().ToList();
        var core = under
            .Where(p => p.Kind is PartKind.Die or PartKind.Lid)
            .OrderByDescending(p => p.WidthMm * p.DepthMm)
            .FirstOrDefault();
        var anchor = core ?? under.MinBy(p => (p.At - middle).Length);
        _anchor = anchor?.At ?? middle;
        _name =
            anchor is null ? "the middle"
            : core is null ? anchor.Id
            : under.Count(p => p.Kind == core.Kind) > 1 ? core.Id
            : core.Kind == PartKind.Lid ? "the lid"
            : "the die";
        var reach = holes.Select(h => h - _anchor).Select(d => Math.Max(Math.Abs(d.X), Math.Abs(d.Y)));
        _levelMm = Math.Min(MaxLevelMm, LevelShare * reach.DefaultIfEmpty(0).Max());
    }

    /// <param name="at">In the board's frame.</param>
    public string Describe(Point2 at)
    {
        var (x, y) = (at.X - _anchor.X, at.Y - _anchor.Y);
        if (_fromBack)
            x = -x;
        var vertical =
            Math.Abs(y) < _levelMm ? ""
            : y > 0 ? "above"
            : "below";
        var side =
            Math.Abs(x) < _levelMm ? ""
            : x > 0 ? "right"
            : "left";
        return (vertical, side) switch
        {
            ("", "") => $"at {_name}",
            (_, "") => $"{vertical} {_name}",
            ("", _) => $"{side} of {_name}",
            _ => $"{vertical} and {side} of {_name}",
        };
    }

    private static Point2 Centre(List<Point2> points) => new(points.Average(p => p.X), points.Average(p => p.Y));
}
