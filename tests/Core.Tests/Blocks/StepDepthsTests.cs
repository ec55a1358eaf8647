using FaithfulBracket.Core.Blocks.Depths;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Steps of lands from gauge, impression and manual: closed forms, and intervals that hold.</summary>
public class StepDepthsTests
{
    private static readonly DepthFrame Frame = new(2.1);

    [Fact]
    public void Each_source_alone_is_its_own_closed_form()
    {
        var steps = StepDepths.Compute(
            Frame,
            [
                DepthReading.Gauge("G", 1.37, 0.5),
                DepthReading.Impression(Frame, "I", 0.88, 0.1, 1.2),
                DepthReading.Manual(Frame, "M", 1, 0.1, 0.4, 1.2),
            ]
        );
        Assert.Equal(["G", "I", "M"], steps.Select(s => s.Land));
        double[] expected = [0.87, 0.8 + 1.2 - 2.1 - 0.03, 0.75 + 1.2 - 2.1 - 0.03];
        double[] variance =
        [
            2 * 0.02 * 0.02 + 0.01 * 0.01,
            0.03 * 0.03 + 0.02 * 0.02 + 0.02 * 0.02 + 0.01 * 0.01,
            0.3 * 0.3 / 12 + 0.02 * 0.02 + 0.02 * 0.02 + 0.01 * 0.01,
        ];
        for (var i = 0; i < 3; i++)
        {
            Assert.Equal(expected[i], steps[i].StepMm, 12);
            Assert.Equal(Math.Sqrt(variance[i]), steps[i].SigmaMm, 12);
            Assert.Null(steps[i].Conflict);
        }
    }

    [Fact]
    public void What_two_sources_share_drops_out_of_their_difference()
    {
        var impression = DepthReading.Impression(Frame, "L", 0.84, 0, 1.2);
        var manual = DepthReading.Manual(Frame, "L", 1, 0.1, 0.4, 1.2);
        var step = Assert.Single(StepDepths.Compute(Frame, [impression, manual]));
        // own errors weigh them against each other; die, film and part stay whole
        var (a, b) = (impression.OwnVariance, manual.OwnVariance);
        Assert.Equal((b * impression.StepMm + a * manual.StepMm) / (a + b), step.StepMm, 12);
        Assert.Equal(Math.Sqrt(a * b / (a + b) + Frame.Variance + 0.02 * 0.02), step.SigmaMm, 12);
        Assert.Equal([DepthKind.Impression, DepthKind.Manual], step.From);
    }

    [Fact]
    public void Two_that_cannot_both_be_right_are_named_and_the_mean_stays()
    {
        var sigma = Math.Sqrt(2 * (2 * 0.02 * 0.02 + 0.01 * 0.01));
        DepthReading[] Apart(double mm) =>
            [
                DepthReading.Gauge("other", 1, 0),
                DepthReading.Gauge("L", 0.9, 0),
                DepthReading.Gauge("other", 1, 0),
                DepthReading.Gauge("L", 0.9 + mm, 0),
            ];
        Assert.Null(StepDepths.Compute(Frame, Apart(2.99 * sigma))[1].Conflict);
        var step = StepDepths.Compute(Frame, Apart(3.01 * sigma))[1];
        Assert.Equal([1, 3], step.Conflict!);
        Assert.Equal(0.9 + 3.01 * sigma / 2, step.StepMm, 9);
    }

    [Fact]
    public void Stated_intervals_hold_on_drawn_blocks()
    {
        var random = new Random(29);
        double Normal(double sigma) =>
            sigma * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var (measured, measuredIn, printed, printedIn) = (0, 0, 0, 0);
        for (var block = 0; block < 2_000; block++)
        {
            var (die, film) = (Normal(0.02), Normal(0.01));
            var readings = new List<DepthReading>();
            var truth = new Dictionary<string, double>();
            for (var land = 0; land < 4; land++)
            {
                var (id, part) = ($"L{land}", 1.2 + Normal(0.02));
                // the gap that the manual's pad works in, and the step that it comes from
                var gap = 1 - (0.1 + 0.3 * random.NextDouble());
                var step = gap + part - (2.1 + die) - (0.03 + film);
                truth[id] = step;
                if (land != 3)
                    readings.Add(DepthReading.Impression(Frame, id, (gap + Normal(0.03)) * 1.1, 0.1, 1.2));
                if (land == 1)
                    readings.Add(DepthReading.Gauge(id, step + Normal(0.02) + Normal(0.01), Normal(0.02)));
                if (land >= 2)
                    readings.Add(DepthReading.Manual(Frame, id, 1, 0.1, 0.4, 1.2));
            }
            foreach (var s in StepDepths.Compute(Frame, readings))
            {
                var holds = Math.Abs(s.StepMm - truth[s.Land]) <= 1.96 * s.SigmaMm ? 1 : 0;
                if (s.From is [DepthKind.Manual])
                    (printed, printedIn) = (printed + 1, printedIn + holds);
                else
                    (measured, measuredIn) = (measured + 1, measuredIn + holds);
            }
        }
        Assert.InRange((double)measuredIn / measured, 0.93, 0.97);
        Assert.InRange((double)printedIn / printed, 0.95, 1);
    }
}
