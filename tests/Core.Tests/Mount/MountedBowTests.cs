using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class MountedBowTests
{
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    private static MountedBowResult Bow(double stiffness)
    {
        var block = Sample.Block() with
        {
            BackPlate = new()
            {
                Id = "back",
                UsesHoles = ["S1", "S2", "S3", "S4"],
                StiffnessFactor = stiffness,
            },
        };
        return MountedBow.Of(
            LaidBlock.Of(Sample.Board(), block),
            Reckon.Seat(Sample.Board(), block, Pads, Sample.Materials, Sample.Grey)
        );
    }

    [Fact]
    public void Die_and_pads_press_the_board_away_between_its_screws_and_a_back_plate_holds_it()
    {
        var bow = Bow(4);
        double Middle(BowResult r) => r.Map.Mm[r.Map.Rows / 2 * r.Map.Columns + r.Map.Columns / 2]!.Value;
        Assert.True(Middle(bow.Without!) < -0.01);
        Assert.True(Math.Abs(Middle(bow.With!)) < 0.7 * Math.Abs(Middle(bow.Without!)));
        // what the screws hold is what die and pads press
        var seated = Reckon.Seat(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey);
        Assert.Equal(
            seated.Dies.Sum(d => d.LoadN) + seated.Pads.Sum(p => p.LoadN),
            bow.Without!.Reactions.Sum(r => r.ForceN),
            0.01
        );
    }

    [Fact]
    public void A_back_plate_that_stiffens_nothing_changes_nothing() => Assert.Null(Bow(1).With);

    [Fact]
    public void Compliance_is_symmetric_and_gives_the_bending_of_balanced_forces()
    {
        var problem = new BowProblem(Sample.Rect(0, 0, 120, 100), 1.6, 22_000, 0.15) { Elements = 900 };
        BowLoad[] at =
        [
            new(-30, -30, 4, 4, 1),
            new(30, -30, 4, 4, 1),
            new(30, 30, 4, 4, 1),
            new(-30, 30, 4, 4, 1),
            new(0, 0, 20, 20, 1),
        ];
        var c = BoardBow.Compliance(problem, at, [new Point2(0, 0)]);
        for (var i = 0; i < 5; i++)
        for (var j = 0; j < i; j++)
            Assert.Equal(c[i, j], c[j, i], 1e-7);
        // the same board on four pins under the middle load: the middle against the corners
        double[] force = [25, 25, 25, 25, -100];
        double Of(int i) => Enumerable.Range(0, 5).Sum(j => c[i, j] * force[j]);
        var pinned = BoardBow.Solve(
            problem with
            {
                Loads = [at[4] with { ForceN = -100 }],
                Supports = [.. at.Take(4).Select(l => new BowSupport(l.X, l.Y, SupportKind.Pinned, 4.5))],
                Probes = [new(0, 0)],
            }
        );
        Assert.Equal(pinned.ProbesMm[0], Of(5) - Of(0), 0.02 * Math.Abs(pinned.ProbesMm[0]));
    }
}
