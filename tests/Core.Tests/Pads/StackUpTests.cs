using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What counts while a block is mounted, and when all is on.</summary>
public class StackUpTests
{
    private static StackUp Of(double? standoff, bool plate = true) =>
        Compute.Stack(
            Sample.Board(
                more: Sample.Part("B1", PartKind.Memory, 0, 0, 14, 12, 0.9, Cooling.Must) with
                {
                    Face = Face.Back,
                }
            ),
            Sample.Block() with
            {
                BackPlate = plate
                    ? new()
                    {
                        Id = "back",
                        UsesHoles = ["S1", "S3"],
                        StandoffMm = standoff,
                    }
                    : null,
            },
            [new("M1", 1, "soft"), new("B1", 1, "soft")],
            new Dictionary<string, Materials.PadMaterial>
            {
                ["soft"] = Sample.Soft with { FreshCurve = [new(0, 0), new(0.5, 2)] },
            },
            Sample.Grey
        );

    private static string[] Parts(StackUp s) => [.. s.Pads.Select(p => p.Part)];

    [Fact]
    public void Pads_behind_count_where_a_back_plate_presses_them()
    {
        Assert.True(Of(1.6).BackPlatePresses);
        Assert.Equal(["M1", "B1"], Parts(Of(1.6).Finished()));
        foreach (var none in new[] { Of(null), Of(null, plate: false) })
        {
            Assert.False(none.BackPlatePresses);
            Assert.Equal(["M1"], Parts(none.Finished()));
        }
    }

    [Fact]
    public void While_mounting_pads_are_fresh_and_the_back_plates_screws_are_in_or_not()
    {
        var fresh = Of(1.6).WhileMounting(screwsIn: true);
        Assert.Equal(["M1"], Parts(fresh));
        Assert.Equal(2, fresh.Materials["soft"].Curve[^1].Y);
        Assert.Equal(["S1", "S2", "S3", "S4"], fresh.Block.Plates[0].Holes.Select(h => h.Id));
        Assert.Equal(["S2", "S4"], Of(1.6).WhileMounting(screwsIn: false).Block.Plates[0].Holes.Select(h => h.Id));
        Assert.Equal(4, Of(1.6, plate: false).WhileMounting(screwsIn: false).Block.Plates[0].Holes.Count);
    }
}
