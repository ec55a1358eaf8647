using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class BackPlateSeatingTests
{
    /// <summary>
    /// Two chips behind the board under a back plate on 1.6 mm standoffs, held by the die's four screws.
    /// </summary>
    private static Board Board =>
        Sample.Board(
            more:
            [
                Sample.Part("B1", PartKind.Memory, -15, 0, 14, 12, 0.9, Cooling.Must) with
                {
                    Face = Face.Back,
                },
                Sample.Part("B2", PartKind.Memory, 15, 0, 14, 12, 0.9, Cooling.Must) with
                {
                    Face = Face.Back,
                },
            ]
        );

    private static Block Block => Sample.Backed(1.6, 0, Sample.PadLand("Lb1", -15), Sample.PadLand("Lb2", 15));

    private static readonly LaidPad[] Front = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    private static SeatingResult Solve(LaidPad[] pads, BoardStiffness? elastic = null) =>
        Compute.Seat(Board, Block, pads, Sample.Materials, Sample.Grey, elastic: elastic);

    [Fact]
    public void Pads_behind_are_squashed_by_the_standoffs_and_leave_a_stiff_boards_front_alone()
    {
        var with = Solve([.. Front, new("B1", 1, "soft"), new("B2", 1, "soft")]);
        // gap 1.6 − 0.9 = 0.7: squash 0.3, stress 0.3 MPa on 168 mm²
        var behind = with.Pads.Single(p => p.Part == "B1");
        Assert.Equal(0.3, behind.Squash, 3);
        Assert.Equal(0.3 * 168, behind.LoadN, 0.2);
        var without = Solve(Front);
        Assert.Equal(without.Dies[0].LoadN, with.Dies[0].LoadN, 6);
        Assert.Equal(4, with.Screws.Count);
    }

    [Fact]
    public void On_a_bending_board_pads_behind_the_die_press_it_against_the_block()
    {
        var stiff = new BoardStiffness();
        var with = Solve([.. Front, new("B1", 1.2, "soft"), new("B2", 1.2, "soft")], stiff);
        Assert.True(with.Dies[0].LoadN > Solve(Front, stiff).Dies[0].LoadN, "the die is pressed harder");
    }

    [Fact]
    public void A_pad_behind_without_a_back_plate_is_refused() =>
        Assert.Throws<InputException>(() =>
            Compute.Seat(Board, Sample.Block(), [.. Front, new("B1", 1, "soft")], Sample.Materials, Sample.Grey)
        );
}
