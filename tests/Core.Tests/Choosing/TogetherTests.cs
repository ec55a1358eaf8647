using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which blocks of a library cover a whole board, judged together and told the best first.</summary>
public class TogetherTests
{
    private static readonly KitPrices Prices = new(Fitting: 10, Plug: 3, PadCm2: 1, PasteGram: 2);

    /// <summary>A die of 240 W and two memory chips of 3 and 2 W.</summary>
    private static Board Card() =>
        Sample.Board() with
        {
            Parts =
            [
                .. Sample
                    .Board()
                    .Parts.Select(p => p.Kind == PartKind.Memory ? p with { DissipationW = p.Id == "M1" ? 3 : 2 } : p),
            ],
        };

    private static Block Full(string id = "full", double? price = 100) =>
        Sample.Block() with
        {
            Id = id,
            Model = id,
            Price = price is { } p ? new(p, "CHF") : null,
        };

    private static Block Core(string id = "core", double? price = 40) =>
        Full(id, price) with
        {
            Kind = BlockKind.CoreOnly,
            Kit = null,
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Lands = [Sample.Block().Plates[0].Lands[0]],
                    Outline = Sample.Rect(0, 0, 60, 60),
                },
            ],
        };

    private static IReadOnlyList<TogetherChoice> Choose(Board board, params Block[] blocks) =>
        Together.Compute(WorkOrder.Plain(board), blocks, Prices, new());

    [Fact]
    public void What_leaves_least_heat_uncovered_comes_first_and_says_what_it_leaves()
    {
        var choices = Choose(Card(), Core(), Full());
        Assert.Equal(["full", "core"], choices.Select(c => c.Blocks.Single().BlockId));
        Assert.Empty(choices[0].Uncovered);
        Assert.Equal(0, choices[0].UncoveredW);
        Assert.Equal(["M1", "M2"], choices[1].Uncovered);
        Assert.Equal(5, choices[1].UncoveredW, 9);
        Assert.Equal(
            ("Brineworks core", BlockKind.CoreOnly, 1),
            (choices[1].Blocks[0].Name, choices[1].Blocks[0].Kind, choices[1].Blocks[0].Count)
        );
        Assert.All(choices, c => Assert.NotEqual(Verdict.Clashes, c.Verdict));
    }

    [Fact]
    public void Of_two_that_cover_alike_the_cheaper_comes_first_and_one_without_a_price_last()
    {
        var choices = Choose(Card(), Full("dear", 300), Full("free", null), Full("cheap", 80));
        Assert.Equal(["cheap", "dear", "free"], choices.Select(c => c.Blocks[0].BlockId));
        // fittings and a gram of paste come with it
        Assert.Equal([80 + 20 + 2, 300 + 20 + 2, null], choices.Select(c => c.Total));
        Assert.Equal(["CHF", "CHF", "EUR"], choices.Select(c => c.Currency));
    }

    [Fact]
    public void A_block_that_does_not_line_up_or_covers_nothing_hot_is_no_choice()
    {
        var crooked = Full("crooked") with
        {
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Holes = [.. Sample.Block().Plates[0].Holes.Select(h => h with { X = h.X * 1.2 })],
                },
            ],
        };
        Assert.Empty(Choose(Card(), crooked));
        Assert.Empty(Choose(Card()));
        var cold = Card() with { Parts = [.. Card().Parts.Select(p => p with { Cool = Cooling.No })] };
        Assert.Empty(Choose(cold, Full()));
    }

    [Fact]
    public void A_bridging_fitting_without_its_other_end_is_no_choice() =>
        Assert.Equal(
            ["core"],
            Choose(Card(), Full() with { Joins = [new("J1", "A", new("elsewhere", "B"), 30, 1)] }, Core())
                .Select(c => c.Blocks[0].BlockId)
        );

    [Fact]
    public void A_block_for_bare_dies_or_for_sockets_is_left_out_on_a_card()
    {
        var socket = Full("socket") with { Sockets = [new("gull", null, null, null, null, null, null)] };
        Assert.Equal(
            ["full"],
            Choose(Card(), Full("bare") with { Kind = BlockKind.DirectDie }, socket, Full())
                .Select(c => c.Blocks[0].BlockId)
        );
    }

    [Fact]
    public void Whoever_leaves_stops_it()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        Assert.ThrowsAny<OperationCanceledException>(() =>
            Together.Compute(WorkOrder.Plain(Card()), [Full()], Prices, new(), gone.Token)
        );
    }
}
