using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which plates of a block belong to a board, and what its lands touch there.</summary>
public class LaidBlockTests
{
    private static readonly Plate Main = Sample.Block().Plates[0];

    private static Block Two(params string[] behind) =>
        Sample.Block() with
        {
            Plates =
            [
                Main with
                {
                    Board = "b",
                },
                Main with
                {
                    Id = "other",
                    Board = "c",
                    Holes = [.. Main.Holes.Select(h => h with { Id = "O" + h.Id })],
                },
            ],
            BackPlate = new() { Id = "back", UsesHoles = behind },
        };

    [Fact]
    public void A_block_of_one_board_stays_what_it_is()
    {
        var block = Sample.Block() with
        {
            BackPlate = new() { Id = "back", UsesHoles = ["S1"] },
        };
        Assert.Same(block, LaidBlock.Plates(block, _ => true));
        var none = LaidBlock.Plates(block, _ => false);
        Assert.Empty(none.Plates);
        Assert.Null(none.BackPlate);
    }

    [Fact]
    public void Plates_of_another_board_are_left_out_and_the_back_plate_goes_with_its_holes()
    {
        var first = LaidBlock.Create(Sample.Board(), Two("S1")).Block;
        Assert.Equal(["main"], first.Plates.Select(p => p.Id));
        Assert.Null(first.Plates[0].Board);
        Assert.NotNull(first.BackPlate);
        Assert.Null(LaidBlock.Create(Sample.Board(), Two("OS1")).Block.BackPlate);
        Assert.NotNull(LaidBlock.Create(Sample.Board(), Two("OS1", "S2")).Block.BackPlate);
        // one that uses no holes lies behind any
        Assert.NotNull(LaidBlock.Create(Sample.Board(), Two()).Block.BackPlate);
        Assert.Null(LaidBlock.Plates(Two("S1") with { BackPlate = null }, p => p.Board == "b").BackPlate);
        // all its plates belong here, and still they are told as this board's
        Assert.All(LaidBlock.Plates(Two("S1"), _ => true).Plates, p => Assert.Null(p.Board));
    }

    [Fact]
    public void What_a_land_covers_by_four_fifths_has_to_be_clean_on_both_faces()
    {
        var board = Sample.Board(
            more:
            [
                Sample.Part("B1", PartKind.Memory, 0, 0, 14, 12, 0.9, Cooling.Must) with
                {
                    Face = Face.Back,
                },
                Sample.Part("C1", PartKind.Capacitor, 35, 0, 3, 3, 1),
            ]
        );
        Land Behind(double across) =>
            new()
            {
                Id = "Lb",
                Outline = Sample.Rect(0, 0, across, 13),
                For = PartKind.Memory,
                Through = Through.Pad,
            };
        IReadOnlySet<string> Of(double across) =>
            LaidBlock
                .Create(
                    board,
                    Sample.Block() with
                    {
                        BackPlate = new()
                        {
                            Id = "back",
                            UsesHoles = [],
                            Lands = [Behind(across)],
                        },
                    }
                )
                .Contacts();
        Assert.Equal(["B1", "M1", "M2", "U1"], Of(14).Order());
        Assert.Equal(["M1", "M2", "U1"], Of(10).Order());
        Assert.Equal(["M1", "M2", "U1"], LaidBlock.Create(board, Sample.Block()).Contacts().Order());
    }
}
