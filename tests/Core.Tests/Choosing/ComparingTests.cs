using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Blocks side by side for one board: what a complete kit costs, what it cools and what it holds the parts at.</summary>
public class ComparingTests
{
    private static readonly KitPrices Prices = new(Fitting: 10, Plug: 3, PadCm2: 1, PasteGram: 2, SocketKit: 20);

    /// <summary>Three ports, no plugs and no paste in its kit, pads for 24 cm² of which its lands take 3.9.</summary>
    private static Block Priced(string id, double? price, double? resistance = 0.02) =>
        Sample.Block() with
        {
            Id = id,
            Price = price is { } p ? new(p, "CHF") : null,
            Flow = resistance is { } a ? new(a, 0.03, 0.8, "L/min", []) : null,
            Ports =
            [
                new("A", "G1/4", 0, 70, "up", null),
                new("B", "G1/4", 20, 70, null, null),
                new("C", "G1/4", 40, 70, "up", null),
            ],
        };

    /// <summary>Its screws do not line up with the board's holes.</summary>
    private static Block Clashing(Block block) =>
        block with
        {
            Plates =
            [
                .. block.Plates.Select(p =>
                    p with
                    {
                        Holes = [.. p.Holes.Select(h => h with { X = h.X + 4 * h.Y / 29 })],
                    }
                ),
            ],
        };

    private static IReadOnlyList<Choice> Compare(Board board, params Block[] blocks) =>
        Comparing.Compute(board, blocks, 1, Prices, Sample.Materials, []);

    private static IEnumerable<string> Lines(Block block, Board? board = null) =>
        Compare(board ?? Sample.Board(), block)[0]
            .Cost.Select(c => FormattableString.Invariant($"{c.What} {c.Amount:0.##}"));

    [Fact]
    public void Each_line_of_the_cost_is_there_once_it_is_needed()
    {
        Assert.Equal(["block 100", "2 fittings 20", "1 plug 3", "paste, 1 g 2"], Lines(Priced("a", 100)));
        var kit = Priced("a", 100).Kit!;
        Assert.Equal(
            ["block 100", "2 fittings 20"],
            Lines(Priced("a", 100) with { Kit = kit with { Plugs = 1, PasteG = 0.5 } })
        );
        // pads: 2 lands of 15 × 13 mm are 3.9 cm²; without a kit all is bought, with too small a sheet the rest
        Assert.Contains("pads the kit lacks 3.9", Lines(Priced("a", 100) with { Kit = null }));
        Assert.Contains(
            "pads the kit lacks 1.9",
            Lines(Priced("a", 100) with { Kit = kit with { Pads = [new(1, 10, 10, 2, "soft", null)] } })
        );
        Assert.Contains(
            "block with its back plate 100",
            Lines(Priced("a", 100) with { BackPlate = new() { Id = "behind" } })
        );
    }

    [Fact]
    public void A_block_without_a_price_has_no_total_and_speaks_of_the_shops_money()
    {
        var free = Compare(Sample.Board(), Priced("a", null))[0];
        Assert.Null(free.Total);
        Assert.Equal("EUR", free.Currency);
        Assert.Equal("CHF", Compare(Sample.Board(), Priced("a", 100))[0].Currency);
        Assert.Equal(["2 fittings 20", "1 plug 3", "paste, 1 g 2"], Lines(Priced("a", null)));
    }

    [Fact]
    public void A_socket_kit_is_bought_where_the_block_needs_one_for_this_socket()
    {
        SocketFit fit = new("gull", "K-7", null, null, null, null, null);
        var block = Priced("a", 100) with { Sockets = [fit, new("heron", null, null, null, null, null, null)] };
        var board = Sample.Board();
        Assert.Contains("socket kit K-7 20", Lines(block, board with { Socket = "gull" }));
        Assert.DoesNotContain(
            Lines(block, board with { Socket = "heron" }),
            l => l.StartsWith("socket", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(Lines(block, board), l => l.StartsWith("socket", StringComparison.Ordinal));
    }

    [Fact]
    public void Ports_are_told_with_the_way_they_face_where_it_is_known()
    {
        var choice = Compare(Sample.Board(), Priced("a", 100))[0];
        Assert.Equal(["A G1/4, up", "B G1/4", "C G1/4, up"], choice.Ports);
        Assert.Equal("Brineworks Full", choice.Name);
        Assert.Equal((2, 2), (choice.PadsGood, choice.PadPlaces));
    }

    [Fact]
    public void Resistance_falls_with_the_flow_as_the_maker_states()
    {
        var at2 = Comparing.Compute(Sample.Board(), [Priced("a", 100)], 2, Prices, Sample.Materials, [])[0];
        Assert.Equal(0.02 + 0.03 * Math.Pow(2, -0.8), at2.ResistanceKPerW!.Value, 12);
        Assert.Equal(240 * at2.ResistanceKPerW.Value, at2.DieRiseK!.Value, 9);
        Assert.Equal(2, at2.FlowLPerMin);
        var untold = Compare(Sample.Board(), Priced("a", 100, null))[0];
        Assert.Null(untold.ResistanceKPerW);
        Assert.Null(untold.DieRiseK);
    }

    [Fact]
    public void What_a_kelvin_costs_is_calculated_against_the_cheapest_that_seats_and_is_known()
    {
        var board = Sample.Board();
        Assert.Equal(Verdict.Clashes, Compare(board, Clashing(Priced("x", 10, 0.001)))[0].Fit.Verdict);
        Assert.False(Compare(board, Clashing(Priced("x", 10, 0.001)))[0].MayBeBest);
        var choices = Compare(
            board,
            Clashing(Priced("x", 10, 0.001)),
            Priced("a", 100, 0.02),
            Priced("free", null, 0.001),
            Priced("untold", 50, null),
            Priced("b", 148, 0.01),
            Priced("worse", 120, 0.03)
        );
        // 48 more for 2.4 K less; neither the clashing one nor those of which something is not known count
        Assert.Equal(
            [null, null, null, null, 48 / 2.4, null],
            choices.Select(c => c.MoneyPerKelvin is { } m ? Math.Round(m, 9) : (double?)null)
        );
        Assert.True(choices[1].MayBeBest);
    }

    [Fact]
    public void Covered_is_the_share_of_the_heat_not_of_the_parts()
    {
        // a power stage of 60 W beside the block's plate, 240 W under it; the memory states none and counts a little
        var stage = Sample.Part("Q1", PartKind.PowerStage, 50, 20, 6, 6, 1, Cooling.Must) with
        {
            DissipationW = 60,
        };
        var share = Compare(Sample.Board(0, stage), Priced("a", 100))[0].CoveredShare;
        Assert.Equal(240.2 / 300.2, share, 9);
        Assert.Equal(1, Compare(Sample.Board(), Priced("a", 100))[0].CoveredShare, 9);
    }

    private static Board Warm(params Part[] more)
    {
        var board = Sample.Board(0, more);
        return board with
        {
            Parts =
            [
                .. board.Parts.Select(p =>
                    p.Kind == PartKind.Memory ? p with { DissipationW = p.Id == "M1" ? 3 : 2, LimitC = 95 } : p
                ),
            ],
        };
    }

    private static readonly Dictionary<string, PadMaterial> Conducting = new()
    {
        [Sample.Soft.Id] = Sample.Soft with { ConductivityWPerMK = 6 },
    };

    private static IReadOnlyList<Held> Holds(Board board, Block block, double coolantInC = 30) =>
        Comparing.Compute(board, [block], 1, Prices, Conducting, [], Sample.Grey, coolantInC)[0].Held;

    [Fact]
    public void The_hottest_of_each_kind_is_told_by_what_carries_its_heat()
    {
        var held = Holds(Warm(), Priced("a", 100));
        Assert.Equal([PartKind.Die, PartKind.Memory], held.Select(h => h.Kind));
        Assert.All(held, h => Assert.Equal(HeldBy.Block, h.By));
        Assert.Equal(("M1", 95), (held[1].Part, held[1].LimitC));
        // the die is no cooler than its coolant and its own resistance make it, and coolant warms it degree by degree
        Assert.True(held[0].C > 30 + 0.05 * 240);
        var warmer = Holds(Warm(), Priced("a", 100), 40);
        Assert.Equal(held[0].C!.Value + 10, warmer[0].C!.Value, 6);
        Assert.Empty(Holds(Warm(), Priced("a", 100, null)));
    }

    [Fact]
    public void A_part_beside_the_block_is_held_by_a_sink_or_by_nothing()
    {
        Part Stage(string id, double y, double watts) =>
            Sample.Part(id, PartKind.PowerStage, 50, y, 6, 6, 1, Cooling.Must) with
            {
                DissipationW = watts,
                LimitC = 110,
            };
        var board = Warm(Stage("Q1", 20, 1), Stage("Q2", 0, 2), Stage("Q3", -20, 0.5));
        var block = Priced("a", 100);
        var one = Holds(board, block with { Kit = block.Kit! with { Sinks = [new(7, 7, 10, 12, 1)] } })
            .Where(h => h.Kind == PartKind.PowerStage)
            .ToList();
        // the only sink goes on the hottest; the others are bare
        Assert.Equal([HeldBy.Sink, HeldBy.Nothing], one.Select(h => h.By));
        Assert.Equal(("Q2", 110), (one[0].Part, one[0].LimitC));
        Assert.Null(one[0].RangeK);
        Assert.NotEqual("Q2", one[1].Part);
        Assert.Null(one[1].C);
        Assert.Equal(110, one[1].LimitC);
        var none = Holds(board, block).Where(h => h.Kind == PartKind.PowerStage);
        Assert.Equal([HeldBy.Nothing], none.Select(h => h.By));
    }

    [Fact]
    public void Nothing_is_held_by_a_block_that_does_not_seat_and_nothing_told_without_a_paste()
    {
        Assert.Empty(Holds(Warm(), Clashing(Priced("x", 10))));
        var untold = Compare(Warm(), Priced("a", 100))[0];
        Assert.Empty(untold.Held);
        Assert.Null(untold.CoolantInC);
    }

    [Fact]
    public void Two_lines_of_the_same_sink_in_a_kit_are_as_many_sinks()
    {
        KitSink sink = new(7, 7, 10, 12, 1);
        Part Stage(string id, double y) =>
            Sample.Part(id, PartKind.PowerStage, 50, y, 6, 6, 1, Cooling.Must) with
            {
                DissipationW = 1,
            };
        var board = Sample.Board(0, Stage("Q1", 20), Stage("Q2", 0), Stage("Q3", -20));
        var block = Sample.Block() with { Kit = new() { Sinks = [sink, sink] } };
        var placed = PassiveSinks.For(board, block, ["Q1", "Q2", "Q3"], 40);
        Assert.Equal(["Q1", "Q2"], placed.Select(p => p.Part));
        Assert.All(placed, p => Assert.Equal(52, p.TemperatureC, 9));
    }

    [Fact]
    public void The_sink_that_hangs_over_least_is_taken_and_of_those_the_coolest()
    {
        var part = Sample.Part("Q1", PartKind.PowerStage, 50, 0, 6, 6, 1, Cooling.Must) with { DissipationW = 2 };
        PassiveSink Of(params KitSink[] sinks) =>
            Assert.Single(
                PassiveSinks.For(
                    Sample.Board(0, part),
                    Sample.Block() with
                    {
                        Kit = new() { Sinks = sinks },
                    },
                    ["Q1"],
                    40
                )
            );
        // 4 mm over the part's edge is nothing; 5 mm is 1 over
        Assert.Equal(10, Of(new(11, 6, 8, 2, 1), new(10, 10, 8, 20, 1)).WidthMm);
        Assert.Equal(9, Of(new(10, 10, 8, 20, 1), new(9, 9, 8, 15, 1)).WidthMm);
        Assert.Equal(40 + 2 * 15, Of(new(10, 10, 8, 20, 1), new(9, 9, 8, 15, 1)).TemperatureC, 9);
        Assert.Empty(PassiveSinks.For(Sample.Board(0, part), Sample.Block() with { Kit = null }, ["Q1"], 40));
    }
}
