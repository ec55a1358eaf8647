using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which pad lies where, and its letter.</summary>
public class PadLayoutTests
{
    private static readonly Dictionary<string, PadMaterial> Materials = new()
    {
        ["soft"] = Sample.Soft,
        ["firm"] = Sample.Soft with { Id = "firm" },
    };

    [Theory]
    [InlineData(0, "A")]
    [InlineData(25, "Z")]
    [InlineData(26, "A2")]
    [InlineData(51, "Z2")]
    [InlineData(52, "A3")]
    [InlineData(79, "B4")]
    public void Letters_go_through_the_alphabet_and_then_with_a_figure(int i, string letter) =>
        Assert.Equal(letter, PadLayout.Letter(i));

    /// <summary>Chips of 8 × 8 mm under a land each.</summary>
    private static IReadOnlyList<PlacedPad> Of(
        (string Id, PartKind Kind, double X, double Y)[] parts,
        LaidPad[]? choices = null,
        Func<Block, Block>? change = null,
        int before = 0
    )
    {
        var sample = Sample.Board();
        var board = sample with
        {
            Parts =
            [
                sample.FindPart("U1")!,
                .. parts.Select(p => Sample.Part(p.Id, p.Kind, p.X, p.Y, 8, 8, 1.2, Cooling.Must)),
            ],
        };
        var block = Sample.Block();
        var plate = block.Plates[0];
        block = block with
        {
            Plates =
            [
                plate with
                {
                    Lands =
                    [
                        plate.Lands[0],
                        .. parts.Select(p =>
                            plate.Lands[1] with
                            {
                                Id = $"L-{p.Id}",
                                Outline = Sample.Rect(p.X, p.Y, 9, 9),
                                For = p.Kind,
                            }
                        ),
                    ],
                },
            ],
        };
        block = change?.Invoke(block) ?? block;
        var laid = LaidBlock.Create(board, block);
        return PadLayout.Compute(
            laid,
            Gaps.Compute(laid, Materials),
            (choices ?? []).ToDictionary(c => c.Part),
            Materials,
            "Q",
            "B",
            before
        );
    }

    [Fact]
    public void Kind_by_kind_row_by_row_from_the_top_left()
    {
        var pads = Of(
            [
                ("V1", PartKind.PowerStage, -40, 40),
                ("M1", PartKind.Memory, 20, -30),
                ("M2", PartKind.Memory, -20, -30),
                ("M3", PartKind.Memory, 20, 31),
                // three millimetres lower is the same row
                ("M4", PartKind.Memory, -20, 29),
            ],
            before: 24
        );
        Assert.Equal(["M4", "M3", "M2", "M1", "V1"], pads.Select(p => p.Part));
        Assert.Equal(["Y", "Z", "A2", "B2", "C2"], pads.Select(p => p.Letter));
        Assert.Equal(["M4", "M3", "M2", "M1"], pads[0].Like);
        Assert.Equal(["V1"], pads[4].Like);
        Assert.All(
            pads,
            p => Assert.Equal(("Q", "B", Face.Front, 8, 8), (p.Pair, p.Board, p.Face, p.WidthMm, p.DepthMm))
        );
        Assert.Equal(["L-M4", "L-M3"], pads.Take(2).Select(p => p.Land));
    }

    [Fact]
    public void What_somebody_chose_lies_there_instead()
    {
        (string, PartKind, double, double)[] two = [("M1", PartKind.Memory, -20, 30), ("M2", PartKind.Memory, 20, 30)];
        var pads = Of(two, [new("M2", 1.05, "firm")]);
        Assert.Equal((1, "soft", false), (pads[0].ThicknessMm, pads[0].Material, pads[0].Chosen));
        Assert.Equal((1.05, "firm", true), (pads[1].ThicknessMm, pads[1].Material, pads[1].Chosen));
        Assert.Equal(("chosen", PadState.Good), (pads[1].Fit!.Source, pads[1].Fit!.State));
        // a material that is gone from the shop chooses nothing
        var gone = Of(two, [new("M2", 1.05, "gone")]);
        Assert.Equal((1, "soft"), (gone[1].ThicknessMm, gone[1].Material));
    }

    [Fact]
    public void A_place_without_any_pad_is_left_out_and_the_kits_tacky_side_is_told()
    {
        (string, PartKind, double, double)[] one = [("M1", PartKind.Memory, -20, 30)];
        Assert.Single(Of(one));
        Assert.Empty(
            Of(
                one,
                change: b =>
                    b with
                    {
                        Kit = null,
                        Plates =
                        [
                            b.Plates[0] with
                            {
                                Lands = [.. b.Plates[0].Lands.Select(l => l with { PadMm = null })],
                            },
                        ],
                    }
            )
        );
        Assert.False(Of(one)[0].OnBlock);
        Assert.True(
            Of(one, change: b => b with { Kit = b.Kit! with { Pads = [b.Kit.Pads[0] with { Tacky = "block" }] } })[
                0
            ].OnBlock
        );
        Assert.False(Of(one, change: b => b with { Kit = null })[0].OnBlock);
    }
}
