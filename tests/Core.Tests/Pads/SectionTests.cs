using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Section;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class SectionTests
{
    private static SectionResult Cut(Point2 from, Point2 to, double padMm = 1)
    {
        var (board, block) = (Sample.Board(), Sample.Block());
        var gaps = Compute.Gaps(board, block, Sample.Materials);
        var laid = LaidBlock.Create(board, block);
        var pads = PadLayout.Compute(
            laid,
            gaps,
            new Dictionary<string, Pads.Seating.LaidPad> { ["M1"] = new("M1", padMm, "soft") },
            Sample.Materials
        );
        return SectionCut.Compute(board, laid, gaps.PlaneMm, null, pads, from, to);
    }

    [Fact]
    public void The_stack_over_a_memory_chip_has_its_heights()
    {
        var cut = Cut(new(-60, 33), new(60, 33));
        Assert.Equal(120, cut.LengthMm);
        var chip = cut.Shapes.Single(s => s is { Layer: SectionLayer.Part, Id: "M1" }).Points;
        Assert.Equal((38, 52, 1.2), (chip[0].X, chip[1].X, chip[2].Y));
        var gap = Assert.Single(cut.Gaps, g => g.Part == "M1");
        // plane 2.13, land 0.23 nearer: 0.70 over a chip of 1.2
        Assert.Equal(0.7, gap.GapMm, 9);
        Assert.Equal(0.3, gap.Squash!.Value, 9);
        var pad = cut.Shapes.Single(s => s.Layer == SectionLayer.Pad).Points;
        Assert.Equal(1.9, pad.Max(p => p.Y), 9);
    }

    [Fact]
    public void A_pad_that_does_not_reach_leaves_air() =>
        Assert.Contains(
            "0.20 mm of air",
            Cut(new(-60, 33), new(60, 33), 0.5).Gaps.Single(g => g.Part == "M1").Text,
            StringComparison.Ordinal
        );

    [Fact]
    public void The_die_lies_under_a_film() =>
        Assert.Contains(
            "30 µm of paste",
            Cut(new(0, -50), new(0, 50)).Gaps.Single(g => g.Part == "U1").Text,
            StringComparison.Ordinal
        );

    [Fact]
    public void Land_stands_lower_than_the_base_beside_it()
    {
        var steps = Cut(new(-60, 33), new(60, 33))
            .Shapes.Where(s => s.Layer == SectionLayer.Plate)
            .Select(s => Math.Round(s.Points[0].Y, 6))
            .ToList();
        Assert.Equal([3.03, 1.9, 3.03], steps);
    }

    [Fact]
    public void Crossings_are_inside_and_as_long_as_the_polygon_is_there()
    {
        // an L: through both legs, through one, past it
        var l = new Polygon([new(0, 0), new(10, 0), new(10, 4), new(4, 4), new(4, 10), new(0, 10)]);
        Assert.Equal([(1, 11)], LineCrossings.Inside(l, new(-1, 2), new(12, 2)));
        Assert.Equal([(1, 5)], LineCrossings.Inside(l, new(-1, 7), new(12, 7)));
        Assert.Empty(LineCrossings.Inside(l, new(-1, 11), new(12, 11)));
        // slanting through the notch: out and in again
        Assert.Equal(
            2,
            LineCrossings.Inside(l, new(2, 12), new(12, 2)).Count(s => s.To > s.From)
                + LineCrossings.Inside(l, new(0, 12), new(12, 0)).Count
        );
    }

    [Fact]
    public void Two_points_on_one_spot_are_refused() => Assert.Throws<InputException>(() => Cut(new(1, 1), new(1, 1)));
}
