using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class FilmResistanceTests
{
    private static PairPads Pair(params DieContact[] dies) =>
        new("P", "A", new(null, []), [], new(dies, [0, 0], [], [], false, 2.1, $""))
        {
            Stack = new(
                LaidBlock.Create(
                    Sample.Board(
                        more: Sample.Part("U2", PartKind.Die, 40, 0, 10, 8, 2.1, Cooling.Must) with
                        {
                            DissipationW = 30,
                        }
                    ),
                    Sample.Block()
                ),
                [],
                Sample.Materials,
                Sample.Grey with
                {
                    ConductivityWPerMK = 4,
                }
            ),
        };

    [Fact]
    public void It_is_the_mean_film_over_conductivity_and_face_of_the_hottest_die()
    {
        // 25 µm over 24 × 22 mm at 4 W/(m·K)
        Assert.Equal(
            25e-6 / (4 * 528e-6),
            FilmResistance
                .Compute(
                    Pair(
                        new("U2", [90, 90, 90, 90], 50, 1, null, null),
                        new("U1", [10, 20, 30, 40], 200, 1, null, null)
                    )
                )!
                .Value,
            12
        );
        Assert.Null(FilmResistance.Compute(Pair()));
        Assert.Null(FilmResistance.Compute(Pair(new DieContact("U1", [10], 200, 1, null, null)) with { Stack = null }));
    }
}
