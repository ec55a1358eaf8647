using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class ChoiceTests
{
    private static Block Priced(string id, double price, double resistance) =>
        Sample.Block() with
        {
            Id = id,
            Price = new(price, "EUR"),
            Flow = new(resistance, 0.03, 0.8, "L/min", []),
            Ports =
            [
                new("A", "G1/4", 0, 70, "up", null),
                new("B", "G1/4", 20, 70, "up", null),
                new("C", "G1/4", 40, 70, "up", null),
            ],
        };

    [Fact]
    public void A_dearer_block_is_weighed_by_what_each_kelvin_costs()
    {
        var choices = Comparing.Compute(
            Sample.Board(),
            [Priced("a", 100, 0.02), Priced("b", 160, 0.01)],
            1,
            new(),
            Sample.Materials,
            []
        );
        // at 1 L/min R = a + b; the die gives 240 W
        Assert.Equal(0.05, choices[0].ResistanceKPerW!.Value, 9);
        Assert.Equal(0.05 * 240, choices[0].DieRiseK!.Value, 9);
        Assert.Equal(60 / 2.4, choices[1].MoneyPerKelvin!.Value, 9);
        Assert.Null(choices[0].MoneyPerKelvin);
    }

    [Fact]
    public void The_kit_is_costed_whole()
    {
        var prices = new KitPrices(Fitting: 10, Plug: 3, PadCm2: 1, PasteGram: 2);
        var cost = Comparing.Compute(Sample.Board(), [Priced("a", 100, 0.02)], 1, prices, Sample.Materials, [])[0];
        // three ports: two take fittings, one a plug; the kit's strip is large enough; no paste in it
        Assert.Equal(100 + 20 + 3 + 2, cost.Total!.Value, 9);
    }

    [Theory]
    [InlineData(20, false, true)]
    [InlineData(9, true, true)]
    public void Plan_b_says_whether_a_fan_is_needed(double limitMargin, bool fan, bool holds)
    {
        var hot = Sample.Part("Q1", PartKind.PowerStage, 40, 10, 6, 6, 1, Cooling.Must) with
        {
            DissipationW = 1,
            LimitC = 40 + limitMargin,
        };
        var board = Sample.Board(0, hot) with
        {
            Parts = [.. Sample.Board(0, hot).Parts.Where(p => p.Kind != PartKind.Memory)],
        };
        var core = Sample.Block() with
        {
            Kind = BlockKind.CoreOnly,
            DeclaredFor = [],
            Kit = new() { Sinks = [new(7, 7, 10, 15, 4)] },
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Lands = [Sample.Block().Plates[0].Lands[0]],
                    Outline = Sample.Rect(0, 0, 40, 40),
                },
            ],
        };
        var plan = PlanB.For(board, [core], 40);
        var sink = Assert.Single(plan.Sinks);
        Assert.Equal(40 + 15, sink.StillC, 9);
        Assert.Equal(40 + 15 * PlanB.FanShare, sink.FanC, 9);
        Assert.Equal((fan, holds), (plan.NeedsFan, plan.AllHold));
    }

    [Fact]
    public void Without_a_core_block_there_is_no_plan_b() =>
        Assert.Null(PlanB.For(Sample.Board(), [Sample.Block()]).BlockId);
}
