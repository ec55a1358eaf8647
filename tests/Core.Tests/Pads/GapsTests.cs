using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Gaps of every plate, in front and behind, with their bands.</summary>
public class GapsTests
{
    private static Block Change(Func<Plate, Plate> change) =>
        Sample.Block() with
        {
            Plates = [change(Sample.Block().Plates[0])],
        };

    private static IReadOnlyList<Gap> Of(Block block, Board? board = null, params StockedPad[] stock) =>
        Compute.Gaps(board ?? Sample.Board(), block, Sample.Materials, stock).Pairs;

    private static Block Chip(double across) =>
        Change(p => p with { Lands = [p.Lands[0], p.Lands[1] with { Outline = Sample.Rect(-15, 33, across, 13) }] });

    [Fact]
    public void A_part_is_under_a_land_from_four_fifths_of_its_top()
    {
        // 14 × 12 mm under a land as deep: 11.2 mm of 14 are four fifths
        var covered = Of(Chip(11.2 + 1e-9)).Single(g => g.Part == "M1");
        Assert.Equal(0.8 * 168, covered.PadAreaMm2, 1e-6);
        Assert.DoesNotContain(Of(Chip(11.1)), g => g.Part == "M1");
    }

    [Fact]
    public void A_lower_die_under_paste_has_a_band_and_so_has_its_film()
    {
        var board = Sample.Board(more: Sample.Part("U2", PartKind.Die, 0, 33, 10, 8, 2.0, Cooling.Must));
        var block = Change(p =>
            p with
            {
                Lands =
                [
                    p.Lands[0] with
                    {
                        StepTolMm = 0.01,
                    },
                    p.Lands[0] with
                    {
                        Id = "L-u2",
                        Outline = Sample.Rect(0, 33, 12, 10),
                        StepTolMm = 0.02,
                    },
                ],
            }
        );
        var gap = Of(block, board).Single(g => g.Part == "U2");
        // 2.1 + 0.03 − 2.0; chain: die 0.05, its land 0.01, this land 0.02, this die 0.05
        Assert.Equal(0.13, gap.NominalMm, 9);
        Assert.Equal((0.0, 0.26), (Math.Round(gap.MinMm, 9), Math.Round(gap.MaxMm, 9)));
        var rss = Math.Sqrt(0.05 * 0.05 * 2 + 0.01 * 0.01 + 0.02 * 0.02);
        Assert.Equal(0.13 - rss, gap.RssMinMm, 9);
        Assert.Equal(0.13 + rss, gap.RssMaxMm, 9);
        Assert.Equal("U2: paste film 0.130 mm between the die and land L-u2.", gap.Why);
    }

    [Fact]
    public void The_root_sum_square_lies_inside_the_worst_case_on_both_sides()
    {
        var gap = Of(Sample.Block()).Single(g => g.Part == "M1");
        Assert.Equal(gap.NominalMm - (gap.RssMaxMm - gap.NominalMm), gap.RssMinMm, 9);
        Assert.True(gap.MinMm < gap.RssMinMm && gap.RssMinMm < gap.NominalMm);
    }

    [Fact]
    public void A_plate_that_nothing_holds_up_has_no_gaps_and_the_first_that_stands_tells_the_plane()
    {
        var plate = Sample.Block().Plates[0];
        var loose = plate with { Id = "loose", Lands = [plate.Lands[1]], Holes = [] };
        var beside = plate with
        {
            Id = "beside",
            Seat = Seat.Standoff,
            StandoffMm = 2.5,
            StandoffTolMm = 0.04,
            Lands = [plate.Lands[2]],
            Holes = [],
        };
        var block = Sample.Block() with { Plates = [loose, plate with { Lands = [.. plate.Lands.Take(2)] }, beside] };
        var result = Compute.Gaps(Sample.Board(), block, Sample.Materials);
        Assert.Equal(2.13, result.PlaneMm!.Value, 9);
        Assert.Equal(["U1", "M1", "M2"], result.Pairs.Select(g => g.Part));
        // 2.5 − 0.23 − 1.2 with 0.04 + 0.02 + 0.05
        var over = result.Pairs[2];
        Assert.Equal(1.07, over.NominalMm, 9);
        Assert.Equal(0.11, over.MaxMm - over.NominalMm, 9);
        Assert.Null(Compute.Gaps(Sample.Board(), block with { Plates = [loose] }, Sample.Materials).PlaneMm);
    }

    private static Board Behind(PartKind kind, double height) =>
        Sample.Board(more: Sample.Part("B1", kind, 0, 0, 14, 12, height, Cooling.Must) with { Face = Face.Back });

    private static Block BackPlate(double? standoff, params Land[] lands) => Sample.Backed(standoff, 0.03, lands);

    private static Land Land(PartKind kind, Through through, double across = 15) =>
        new()
        {
            Id = "Lb",
            Outline = Sample.Rect(0, 0, across, 13),
            For = kind,
            Through = through,
            PadMm = through == Through.Pad ? 1 : null,
        };

    [Fact]
    public void Behind_the_board_a_back_plate_stands_on_its_standoffs_or_on_a_die()
    {
        var pad = Of(BackPlate(1.6, Land(PartKind.Memory, Through.Pad)), Behind(PartKind.Memory, 0.9))
            .Single(g => g.Part == "B1");
        Assert.Equal((Face.Back, Through.Pad), (pad.Face, pad.Through));
        Assert.Equal(0.7, pad.NominalMm, 9);
        // standoff 0.03, part 0.05
        Assert.Equal(0.08, pad.MaxMm - pad.NominalMm, 9);
        // on a die behind, by its film
        var die = Of(BackPlate(null, Land(PartKind.Die, Through.Paste)), Behind(PartKind.Die, 0.9))
            .Single(g => g.Part == "B1");
        Assert.Equal(0.03, die.NominalMm, 9);
        // nothing holds it up, or it covers too little
        Assert.DoesNotContain(
            Of(BackPlate(null, Land(PartKind.Memory, Through.Pad)), Behind(PartKind.Memory, 0.9)),
            g => g.Part == "B1"
        );
        Assert.DoesNotContain(
            Of(BackPlate(1.6, Land(PartKind.Memory, Through.Pad, 11)), Behind(PartKind.Memory, 0.9)),
            g => g.Part == "B1"
        );
    }

    [Fact]
    public void The_supplied_pad_is_told_beside_the_chosen_one_only_where_they_differ()
    {
        var same = Of(Sample.Block()).Single(g => g.Part == "M1");
        Assert.Equal((1, null), (same.Pad!.ThicknessMm, same.Declared));
        var other = Of(Sample.Block(0.03), null, new StockedPad(1.5, "soft")).Single(g => g.Part == "M1");
        Assert.Equal((1.5, 1), (other.Pad!.ThicknessMm, other.Declared!.ThicknessMm));
        var none = Of(Change(p => p with { Lands = [p.Lands[0], p.Lands[1] with { PadMm = null }] }))
            .Single(g => g.Part == "M1");
        Assert.Null(none.Declared);
        Assert.NotNull(none.Pad);
    }
}
