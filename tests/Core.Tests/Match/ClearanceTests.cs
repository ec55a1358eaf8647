using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The underside of a plate over a part: which of its faces counts, and how much room it leaves.</summary>
public class ClearanceTests
{
    /// <summary>40 × 40 mm, its base 1 mm over the plane; the plane lies 3 mm over the board.</summary>
    private static PartMargin? Over(
        double x,
        double y,
        IEnumerable<Land>? lands = null,
        IEnumerable<Pocket>? pockets = null,
        Placement? at = null
    )
    {
        var part = Sample.Part("C1", PartKind.Capacitor, x, y, 4, 4, 2);
        var plate = Sample.Block().Plates[0] with
        {
            Outline = Sample.Rect(0, 0, 40, 40),
            BaseStepMm = 1,
            Lands = [.. lands ?? []],
            Pockets = [.. pockets ?? []],
        };
        return new Ceiling(plate, at ?? Placement.Identity, 3).Over(part, part.Top());
    }

    private static Land Land(double x, double y, double size, double step) =>
        new()
        {
            Id = $"L{x}",
            Outline = Sample.Rect(x, y, size, size),
            For = PartKind.Memory,
            StepMm = step,
        };

    private static Pocket Pocket(double x, double y, double size, double step) =>
        new(Sample.Rect(x, y, size, size), step);

    private static void Is(double margin, CeilingRegion region, PartMargin? told)
    {
        Assert.Equal("C1", told!.Part);
        Assert.Equal(margin, told.MarginMm, 9);
        Assert.Equal(region, told.Region);
    }

    [Fact]
    public void The_base_counts_where_nothing_else_is_and_nothing_counts_beside_the_plate()
    {
        Is(2, CeilingRegion.Base, Over(0, 0));
        Is(2, CeilingRegion.Base, Over(-15, 8));
        // half of it reaches out from under the plate
        Is(2, CeilingRegion.Base, Over(20, 0));
        Assert.Null(Over(22, 0));
        Assert.Null(Over(30, 30));
    }

    [Fact]
    public void A_land_beats_the_base_over_all_of_a_part_and_the_lower_of_both_counts_over_its_edge()
    {
        Land[] low = [Land(0, 0, 10, -0.2)],
            high = [Land(0, 0, 10, 1.5)];
        Is(0.8, CeilingRegion.Land, Over(0, 0, low));
        Is(0.8, CeilingRegion.Land, Over(5, 0, low));
        Is(2.5, CeilingRegion.Land, Over(0, 0, high));
        Is(2, CeilingRegion.Base, Over(5, 0, high));
        // at the edge itself it does not lie under the land
        Is(2, CeilingRegion.Base, Over(7, 0, low));
    }

    [Fact]
    public void Of_two_lands_over_one_part_the_lower_counts() =>
        Is(0.5, CeilingRegion.Land, Over(5, 0, [Land(0, 0, 10, -0.2), Land(10, 0, 10, -0.5)]));

    [Fact]
    public void A_pocket_gives_room_only_where_all_of_the_part_lies_in_it()
    {
        Is(3.5, CeilingRegion.Pocket, Over(10, 0, pockets: [Pocket(10, 0, 10, 2.5)]));
        Is(2, CeilingRegion.Base, Over(14, 0, pockets: [Pocket(10, 0, 10, 2.5)]));
        // over the plate's rim a pocket gives room to what of the part lies under the plate, and none beside it
        Is(3.5, CeilingRegion.Pocket, Over(19, 0, pockets: [Pocket(20, 0, 10, 2.5)]));
        Is(1.5, CeilingRegion.Pocket, Over(19, 0, pockets: [Pocket(20, 0, 10, 0.5)]));
        Assert.Null(Over(23, 0, pockets: [Pocket(20, 0, 10, 2.5)]));
        // two pockets side by side are one room, as high as the lower
        Is(2.5, CeilingRegion.Pocket, Over(15, 0, pockets: [Pocket(10, 0, 10, 2.5), Pocket(20, 0, 10, 1.5)]));
    }

    [Fact]
    public void A_land_beats_a_pocket_that_it_lies_in_and_the_rest_of_the_pocket_still_counts()
    {
        Pocket[] deep = [Pocket(0, 0, 20, 2.5)],
            boss = [Pocket(0, 0, 8, -1)];
        Land[] land = [Land(0, 0, 10, 0.5)];
        Is(1.5, CeilingRegion.Land, Over(0, 0, land, deep));
        // on the land's edge both are over it: the land is lower
        Is(1.5, CeilingRegion.Land, Over(5, 0, land, deep));
        Is(3.5, CeilingRegion.Pocket, Over(7.5, 0, land, deep));
        // a low pocket under the land is not there; beside it it would be
        Is(1.5, CeilingRegion.Land, Over(0, 0, land, boss));
        Is(0, CeilingRegion.Pocket, Over(0, 0, [], boss));
        Is(0, CeilingRegion.Pocket, Over(5, 0, land, [Pocket(6, 0, 4, -1)]));
    }

    [Fact]
    public void Everything_goes_with_the_placement()
    {
        Land[] low = [Land(10, 0, 10, -0.2)];
        var turned = new Placement(100, 50, 90);
        // the land at (10, 0) lies at (100, 60) once the block is turned by 90° and shifted
        Is(0.8, CeilingRegion.Land, Over(100, 60, low, at: turned));
        Is(2, CeilingRegion.Base, Over(110, 50, low, at: turned));
        Assert.Null(Over(10, 0, low, at: turned));
    }

    [Fact]
    public void A_part_too_high_has_less_than_no_room()
    {
        var part = Sample.Part("C1", PartKind.Capacitor, 0, 0, 4, 4, 4.3);
        var plate = Sample.Block().Plates[0] with { Outline = Sample.Rect(0, 0, 40, 40), BaseStepMm = 1, Lands = [] };
        Is(-0.3, CeilingRegion.Base, new Ceiling(plate, Placement.Identity, 3).Over(part, part.Top()));
    }
}
