using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class FitTests
{
    [Fact]
    public void A_matching_pair_seats_on_the_makers_word()
    {
        var fit = Fit.Judge(Sample.Board(), Sample.Block());
        Assert.Equal(Verdict.Seats, fit.Verdict);
        Assert.Equal(EvidenceGrade.A, fit.Grade);
        Assert.Equal(2.13, fit.PlaneMm!.Value, 9);
        Assert.Equal(Placement.Identity, fit.Placement);
        Assert.Equal(1, fit.ChanceOfSeating);
        Assert.All(fit.Screws, s => Assert.Equal(0.15, s.SlackMm!.Value, 9));
    }

    [Theory]
    [InlineData(2.6, Verdict.Seats)]
    [InlineData(2.8, Verdict.SeatsWithWork)]
    [InlineData(3.4, Verdict.Clashes)]
    public void A_capacitor_under_the_base_is_judged_by_its_room(double heightMm, Verdict verdict)
    {
        var fit = Fit.Judge(
            Sample.Board(0, Sample.Part("C1", PartKind.Capacitor, 35, 0, 5, 5, heightMm)),
            Sample.Block()
        );
        Assert.Equal(verdict, fit.Verdict);
        // plane 2.13 + base step 0.9
        Assert.Equal(3.03 - heightMm, fit.Margins.Single(m => m.Part == "C1").MarginMm, 9);
    }

    [Fact]
    public void Land_beats_pocket_and_pocket_beats_base_and_the_lowest_counts()
    {
        var plate = Sample.Block().Plates[0] with
        {
            Lands =
            [
                new()
                {
                    Id = "L",
                    Outline = Sample.Rect(0, 0, 10, 10),
                    StepMm = 0,
                    For = PartKind.Die,
                    Through = Through.Paste,
                },
            ],
            Pockets = [new(Sample.Rect(0, 0, 20, 20), 5)],
        };
        var ceiling = new Ceiling(plate, Placement.Identity, 2);
        CeilingRegion? Region(double x, double size) => Over(x, size)?.Region;
        PartMargin? Over(double x, double size)
        {
            var p = Sample.Part("C", PartKind.Capacitor, x, 0, size, size, 1);
            return ceiling.Over(p, p.Top());
        }
        Assert.Equal(CeilingRegion.Land, Region(0, 4));
        Assert.Equal(CeilingRegion.Pocket, Region(7.5, 2));
        Assert.Equal(CeilingRegion.Land, Region(5, 4));
        Assert.Equal(CeilingRegion.Base, Region(10, 4));
        Assert.Equal(CeilingRegion.Base, Region(30, 4));
        Assert.Null(Over(80, 4));
        Assert.Equal(1, Over(5, 4)!.MarginMm, 9);
        Assert.Equal(6, Over(7.5, 2)!.MarginMm, 9);
    }

    [Fact]
    public void A_required_screw_without_a_hole_clashes_and_an_optional_one_does_not()
    {
        var block = Sample.Block();
        BlockHole extra = new()
        {
            Id = "S9",
            X = 44,
            Y = 0,
            ScrewMm = 2.5,
        };
        Block With(bool required) =>
            block with
            {
                Plates =
                [
                    block.Plates[0] with
                    {
                        Holes = [.. block.Plates[0].Holes, extra with { Required = required }],
                    },
                ],
            };
        var refused = Fit.Judge(Sample.Board(), With(true));
        Assert.Equal(Verdict.Clashes, refused.Verdict);
        Assert.Null(refused.Screws.Single(s => s.BlockHole == "S9").BoardHole);
        Assert.Equal(Verdict.Seats, Fit.Judge(Sample.Board(), With(false)).Verdict);
    }

    [Fact]
    public void A_block_drawn_about_another_origin_is_still_laid_on_its_holes()
    {
        var truth = new Placement(12, -7, 90);
        var block = Sample.Block();
        var plate = block.Plates[0];
        // every point of the block brought into a frame that is turned and shifted
        Point2 Back(Point2 p) => (p - new Point2(truth.XMm, truth.YMm)).Turned(-truth.Radians);
        Polygon BackAll(Polygon p) => new([.. p.Points.Select(Back)]);
        var moved = block with
        {
            Rotations = [0, 90],
            Plates =
            [
                plate with
                {
                    Outline = BackAll(plate.Outline),
                    Lands = [.. plate.Lands.Select(l => l with { Outline = BackAll(l.Outline) })],
                    Holes = [.. plate.Holes.Select(h => h with { X = Back(h.At).X, Y = Back(h.At).Y })],
                },
            ],
        };
        var fit = Fit.Judge(Sample.Board(), moved);
        Assert.Equal(Verdict.Seats, fit.Verdict);
        Assert.Equal(truth.XMm, fit.Placement.XMm, 6);
        Assert.Equal(truth.YMm, fit.Placement.YMm, 6);
        Assert.Equal(90, fit.Placement.RotationDeg, 6);
    }

    [Fact]
    public void Uncovered_hot_parts_are_named_and_empty_sites_are_not()
    {
        var fit = Fit.Judge(
            Sample.Board(
                0,
                Sample.Part("M3", PartKind.Memory, 33, 10, 12, 14, 1.2, Cooling.Must),
                Sample.Part("E1", PartKind.Empty, -33, 10, 12, 14, 0, Cooling.Must)
            ),
            Sample.Block()
        );
        Assert.Equal(["M3"], fit.Uncovered);
        Assert.Equal(Verdict.SeatsWithWork, fit.Verdict);
    }

    [Theory]
    [InlineData(0.12)]
    [InlineData(0.2)]
    public void The_chance_of_two_screws_follows_the_error_of_their_distance(double sigma)
    {
        // two screws fit iff their distance is off by at most twice the slack; the error is normal with √2·σ
        var board = Sample.Board(sigma);
        var block = Sample.Block();
        block = block with { Plates = [block.Plates[0] with { Holes = [.. block.Plates[0].Holes.Take(2)] }] };
        var z = 2 * 0.15 / (Math.Sqrt(2) * sigma);
        Assert.Equal(Erf(z / Math.Sqrt(2)), Fit.Judge(board, block).ChanceOfSeating, 0.03);
    }

    [Fact]
    public void A_traced_board_is_unproven_between_the_bounds_and_the_same_seed_answers_the_same()
    {
        var fit = Fit.Judge(Sample.Board(0.14), Sample.Block());
        Assert.InRange(fit.ChanceOfSeating, 0.05, 0.95);
        Assert.Equal(Verdict.Unproven, fit.Verdict);
        Assert.Equal(fit.ChanceOfSeating, Fit.Judge(Sample.Board(0.14), Sample.Block()).ChanceOfSeating);
    }

    [Fact]
    public void A_measured_clash_beats_the_statement()
    {
        var fit = Fit.Judge(Sample.Board(0, Sample.Part("C1", PartKind.Capacitor, 35, 0, 5, 5, 4)), Sample.Block());
        Assert.Equal(EvidenceGrade.A, fit.Grade);
        Assert.Equal(Verdict.Clashes, fit.Verdict);
    }

    /// <summary>Abramowitz and Stegun 7.1.26, error below 1.5e-7.</summary>
    private static double Erf(double x)
    {
        var t = 1 / (1 + 0.3275911 * x);
        return 1
            - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592)
                * t
                * Math.Exp(-x * x);
    }
}
