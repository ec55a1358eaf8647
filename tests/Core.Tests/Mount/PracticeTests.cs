using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class PracticeTests
{
    private static readonly LaidPad[] Pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];

    private static PracticeResult Practise(params (string, double)[] moves) =>
        Compute.Practise(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey, moves);

    [Fact]
    public void The_cross_by_hand_scores_as_the_cross_and_beats_corner_first()
    {
        var plan = Compute.Tighten(Sample.Board(), Sample.Block(), Pads, Sample.Materials, Sample.Grey);
        var own = Practise([.. plan.Moves.Select(m => (m.Hole, m.Turns))]);
        Assert.True(own.AllHome);
        Assert.Equal(own.CrossScore, own.Score!.Value, 6);
        Assert.Equal(100, own.Score.Value, 6);
        Assert.True(
            own.CornerScore < own.CrossScore - 20,
            $"corner first {own.CornerScore:0}, cross {own.CrossScore:0}"
        );
        Assert.True(own.CornerWorst.PeakMPa > own.CrossWorst.PeakMPa);
    }

    [Fact]
    public void On_a_bare_die_no_order_of_the_four_screws_keeps_the_edge_lighter_than_the_cross()
    {
        TighteningResult Run(IReadOnlyList<string>? order, double? turns) =>
            Compute.Tighten(Sample.Board(), Sample.Block(), [], Sample.Materials, Sample.Grey, turns, order);
        var cross = Run(null, null);
        foreach (var order in Orders(cross.Order))
        {
            var run = Run(order, cross.RecommendedTurns);
            Assert.True(
                run.Worst.PeakMPa >= cross.Worst.PeakMPa - 1e-6,
                $"{string.Join(' ', order)}: {run.Worst.PeakMPa:0.000} against {cross.Worst.PeakMPa:0.000}"
            );
        }
    }

    private static IEnumerable<List<string>> Orders(IReadOnlyList<string> of) =>
        of.Count <= 1
            ?
            [
                [.. of],
            ]
            : of.SelectMany(first =>
                Orders([.. of.Where(x => x != first)]).Select(rest => (List<string>)[first, .. rest])
            );

    [Fact]
    public void Nothing_scores_before_every_screw_is_home_and_strangers_are_refused()
    {
        Assert.Null(Practise(("S1", 1)).Score);
        Assert.Throws<InputException>(() => Practise(("S9", 1)));
    }

    [Fact]
    public void Without_a_move_nothing_has_happened_yet()
    {
        var none = Practise();
        Assert.Equal(new Worst(0, 0), none.Worst);
        Assert.Equal(4, none.Left.Count);
        Assert.All(none.Left, l => Assert.Equal(1.53 / 0.45, l.Turns, 6));
    }

    [Fact]
    public void The_edge_is_told_only_where_a_die_is_pressed()
    {
        var one = Practise(("S1", 100)) with { PressesDie = true };
        Assert.Equal(EdgePressure.InWords(one.Worst.PeakMPa, one.PeakLimitMPa), one.WorstEdge);
        Assert.Equal(one.Worst.PeakMPa > 3, one.EdgeOver);
        Assert.True((one with { Worst = new(0, 3.01) }).EdgeOver);
        Assert.False((one with { Worst = new(0, 3) }).EdgeOver);
        var none = one with { PressesDie = false, Worst = new(0, 9) };
        Assert.Null(none.WorstEdge);
        Assert.False(none.EdgeOver);
    }
}
