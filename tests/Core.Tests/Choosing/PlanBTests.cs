using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Choosing;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>When nothing seats: the die on water where a small block goes on it, all else on air.</summary>
public class PlanBTests
{
    private static Board Card(params Part[] stages) =>
        Sample.Board() with
        {
            Parts = [Sample.Board().Parts[0], .. stages],
        };

    private static Part Stage(string id, double y, double watts, double? limitC = null) =>
        Sample.Part(id, PartKind.PowerStage, 45, y, 6, 6, 1, Cooling.Must) with
        {
            DissipationW = watts,
            LimitC = limitC,
        };

    private static Block Core(string id, params KitSink[] sinks) =>
        Sample.Block() with
        {
            Id = id,
            Model = id,
            Kind = BlockKind.CoreOnly,
            DeclaredFor = [],
            Kit = new() { Sinks = sinks },
            Plates =
            [
                Sample.Block().Plates[0] with
                {
                    Lands = [Sample.Block().Plates[0].Lands[0]],
                    Outline = Sample.Rect(0, 0, 40, 40),
                },
            ],
        };

    [Fact]
    public void Case_airflow_is_enough_where_every_part_stays_under_its_limit()
    {
        var plan = PlanB.For(
            Card(Stage("Q1", 10, 2, 110), Stage("Q2", -10, 1)),
            [Core("k", new KitSink(7, 7, 10, 15, 4))]
        );
        Assert.Equal("Brineworks k on the die, sinks on 2 parts; case airflow is enough.", plan.Text);
        Assert.Equal((false, true), (plan.NeedsFan, plan.AllHold));
        Assert.Equal(
            [
                "2 parts stay on air and need case airflow.",
                "3 W stay in the case.",
                "Sinks stay within the card's own height.",
            ],
            plan.GivesUp
        );
        // the one nearest its limit first; one without a limit last
        Assert.Equal(["Q1", "Q2"], plan.Sinks.Select(s => s.Part));
        Assert.Equal(
            "Q1, 2 W: sink 7 × 7 × 10, fins along x: 70 °C in still air, 52 °C with a fan of 110 °C allowed.",
            plan.Sinks[0].Text
        );
    }

    [Fact]
    public void A_fan_is_asked_for_where_it_saves_a_part_and_a_larger_sink_where_it_does_not()
    {
        var fan = PlanB.For(Card(Stage("Q1", 10, 4, 90)), [Core("k", new KitSink(7, 7, 13, 15, 4))], 40, "y");
        Assert.Equal((true, true), (fan.NeedsFan, fan.AllHold));
        Assert.Equal(
            "Brineworks k on the die, sinks on 1 part, and a fan on them: without it Q1 passes its limit.",
            fan.Text
        );
        Assert.Equal("1 part stays on air and needs a fan.", fan.GivesUp[0]);
        Assert.Equal("Tall sinks may meet the next card: keep a slot free.", fan.GivesUp[2]);
        Assert.Contains("fins along y", fan.Sinks[0].Text, StringComparison.Ordinal);
        var more = PlanB.For(Card(Stage("Q1", 10, 9, 90)), [Core("k", new KitSink(7, 7, 12, 15, 4))]);
        Assert.Equal((false, false), (more.NeedsFan, more.AllHold));
        Assert.Equal(
            "Brineworks k on the die; Q1 passes its limit even with a fan: not without a larger sink.",
            more.Text
        );
        Assert.Equal("Sinks stay within the card's own height.", more.GivesUp[2]);
    }

    [Fact]
    public void A_part_for_which_no_sink_is_left_stands_on_its_own_top()
    {
        var plan = PlanB.For(
            Card(Stage("Q1", 10, 1), Stage("Q2", -10, 0.5)),
            [Core("k", new KitSink(7, 7, 10, 15, 1))]
        );
        var bare = plan.Sinks.Single(s => s.Part == "Q2");
        Assert.Null(bare.WidthMm);
        Assert.Equal(40 + 0.5 * 60, bare.StillC, 9);
        Assert.Equal(40 + 0.5 * 60 * PlanB.FanShare, bare.FanC, 9);
        Assert.Equal("Q2, 0.5 W: no sink is left for it: 70 °C in still air, 52 °C with a fan.", bare.Text);
    }

    [Fact]
    public void Each_sink_counts_with_its_own_resistance_though_another_is_as_large()
    {
        var plan = PlanB.For(
            Card(Stage("Q1", 10, 2), Stage("Q2", -10, 1)),
            [Core("k", new(7, 7, 10, 15, 1), new(7, 7, 10, 30, 1))]
        );
        Assert.Equal(40 + 2 * 15, plan.Sinks.Single(s => s.Part == "Q1").StillC, 9);
        Assert.Equal(40 + 1 * 30, plan.Sinks.Single(s => s.Part == "Q2").StillC, 9);
    }

    [Fact]
    public void Without_a_core_block_the_die_keeps_its_cooler_and_the_rest_takes_sinks_of_the_library()
    {
        var full = Sample.Block() with { Kit = new() { Sinks = [new(7, 7, 10, 15, 1)] } };
        var plan = PlanB.For(Card(Stage("Q1", 10, 2, 110), Stage("Q2", -10, 1, 110)), [full]);
        Assert.Null(plan.BlockId);
        Assert.Null(plan.Verdict);
        // sinks are bought as many as there are parts
        Assert.Equal([70, 55], plan.Sinks.Select(s => s.StillC));
        Assert.Equal(
            "No core-only block of the library goes on it: U1 keeps its stock cooler; sinks on 2 parts; case airflow is enough.",
            plan.Text
        );
        Assert.Equal(["243 W stay in the case."], plan.GivesUp);
        Assert.Equal((false, true), (plan.NeedsFan, plan.AllHold));
    }

    [Theory]
    [InlineData(4, 90, "sinks on 1 part, and a fan on them: without it Q1 passes its limit.", true, true)]
    [InlineData(9, 90, "Q1 passes its limit even with a fan: its stock sink stays.", false, false)]
    public void On_air_too_a_fan_is_asked_for_where_it_saves_a_part(
        double watts,
        double limitC,
        string rest,
        bool fan,
        bool holds
    )
    {
        var full = Sample.Block() with { Kit = new() { Sinks = [new(7, 7, 10, 15, 1)] } };
        var plan = PlanB.For(Card(Stage("Q1", 10, watts, limitC)), [full]);
        Assert.EndsWith(rest, plan.Text, StringComparison.Ordinal);
        Assert.Equal((fan, holds), (plan.NeedsFan, plan.AllHold));
    }

    [Fact]
    public void A_library_without_sinks_leaves_the_parts_bare_and_a_board_without_hot_parts_is_told_so()
    {
        var bare = Assert.Single(PlanB.For(Card(Stage("Q1", 10, 1)), [Sample.Block() with { Kit = null }]).Sinks);
        Assert.Equal(100, bare.StillC, 9);
        Assert.EndsWith("; nothing else is hot.", PlanB.For(Card(), []).Text, StringComparison.Ordinal);
        var two = Card() with
        {
            Parts = [.. Card().Parts, Sample.Part("U2", PartKind.Die, 40, 40, 9, 9, 1, Cooling.Must)],
        };
        Assert.Contains("U1, U2 keep their stock cooler", PlanB.For(two, []).Text, StringComparison.Ordinal);
        var none = Card() with { Parts = [] };
        Assert.Equal("No core-only block of the library goes on it; nothing else is hot.", PlanB.For(none, []).Text);
    }
}
