using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class PadTests
{
    [Fact]
    public void Gap_bands_add_the_chain_straight_and_in_squares()
    {
        var gap = Compute.Gaps(Sample.Board(), Sample.Block(), Sample.Materials).Pairs.Single(p => p.Part == "M1");
        // 2.1 + 0.03 − 0.23 − 1.2; chain: die 0.05, part 0.05, step 0.02
        Assert.Equal(0.70, gap.NominalMm, 9);
        Assert.Equal(0.58, gap.MinMm, 9);
        Assert.Equal(0.82, gap.MaxMm, 9);
        Assert.Equal(Math.Sqrt(0.05 * 0.05 * 2 + 0.02 * 0.02), gap.RssMaxMm - gap.NominalMm, 9);
    }

    [Fact]
    public void The_die_under_the_plate_keeps_its_bond_line_whatever_its_height()
    {
        var die = Compute
            .Gaps(Sample.Board(), Sample.Block(), Sample.Materials, bondLineMm: 0.05)
            .Pairs.Single(p => p.Part == "U1");
        Assert.Equal(0.05, die.MinMm, 9);
        Assert.Equal(0.05, die.MaxMm, 9);
        Assert.Null(die.Pad);
    }

    [Theory]
    [InlineData(0.6, 0.8, PadState.Good, 0.2, 0.4)]
    [InlineData(0.8, 1.0, PadState.Starved, 0.0, 0.2)]
    [InlineData(0.4, 0.6, PadState.Crushed, 0.4, 0.6)]
    public void Squash_is_judged_over_the_whole_band(double min, double max, PadState state, double least, double most)
    {
        var fit = PadSquash.In(min, max, 1, Sample.Soft, "kit");
        Assert.Equal(state, fit.State);
        Assert.Equal(least, fit.SquashMin, 9);
        Assert.Equal(most, fit.SquashMax, 9);
    }

    [Fact]
    public void Thickness_tolerance_widens_the_band()
    {
        var fit = PadSquash.In(0.7, 0.7, 1, Sample.Soft with { ThicknessTolMm = 0.1 }, "kit");
        Assert.Equal((0.9 - 0.7) / 0.9, fit.SquashMin, 9);
        Assert.Equal((1.1 - 0.7) / 1.1, fit.SquashMax, 9);
    }

    [Fact]
    public void A_starved_kit_pad_gives_way_to_the_drawers_thicker_one()
    {
        var gap = Compute
            .Gaps(Sample.Board(), Sample.Block(memoryStepMm: 0.03), Sample.Materials, [new(1.5, "soft")])
            .Pairs.Single(p => p.Part == "M1");
        Assert.Equal(1.5, gap.Pad!.ThicknessMm);
        Assert.Equal(PadState.Good, gap.Pad.State);
        Assert.Equal(PadState.Starved, gap.Declared!.State);
    }

    [Fact]
    public void Unknown_materials_are_all_named()
    {
        var e = Assert.Throws<InputException>(() =>
            Compute.Gaps(Sample.Board(), Sample.Block(), new Dictionary<string, PadMaterial>(), [new(1, "other")])
        );
        Assert.Equal(2, e.Faults.Count);
    }

    [Fact]
    public void Curves_are_monotone_between_points_and_go_on_with_their_last_slope()
    {
        var curve = new CompressionCurve([new(0, 0), new(0.1, 0.02), new(0.3, 0.03), new(0.5, 0.4)]);
        double last = 0;
        for (var s = 0.0; s <= 0.9; s += 0.005)
        {
            var (stress, slope) = curve.At(s);
            Assert.True(stress >= last - 1e-12 && slope >= -1e-12);
            last = stress;
        }
        Assert.Equal(0.4, curve.At(0.5).StressMPa, 12);
        Assert.Equal(0.4 + (0.4 - 0.03) / 0.2 * 0.1, curve.At(0.6).StressMPa, 9);
        Assert.Equal(0, curve.At(-0.2).StressMPa);
    }
}
