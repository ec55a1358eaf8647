using CsCheck;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Stock;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class StockEvidenceTests
{
    [Fact]
    public void A_pressed_pad_gives_the_height_by_the_chain()
    {
        // die 2.1 + film 0.03 − land 0 − (pressed 1.05 − a tenth of the squash 0.45)
        var (board, evidence) = StockEvidence.Apply(Sample.Board(), [new("M1", 1.5, 1.05, 0)]);
        Assert.Equal(2.1 + 0.03 - (1.05 - 0.045), evidence[0].FoundMm, 9);
        Assert.True(evidence[0].Agrees);
        // document and pad weighed by their variances: nearer to the surer, and surer than either
        Assert.InRange(evidence[0].UsedMm, 1.125, 1.2);
        Assert.True(evidence[0].UsedTolMm < 0.05);
        Assert.Equal(evidence[0].UsedMm, board.FindPart("M1")!.HeightMm);
        Assert.Equal(1.2, board.FindPart("M2")!.HeightMm);
    }

    [Fact]
    public void A_disagreement_is_told_and_the_pad_counts()
    {
        var (board, evidence) = StockEvidence.Apply(Sample.Board(), [new("M1", 1.5, 0.7, 0)]);
        Assert.False(evidence[0].Agrees);
        Assert.Contains("apart", evidence[0].Text, StringComparison.Ordinal);
        Assert.Equal(evidence[0].FoundMm, board.FindPart("M1")!.HeightMm, 4);
    }

    [Fact]
    public void A_surer_height_narrows_the_band_of_the_gap()
    {
        var board = Sample.Board();
        double Width(Board b)
        {
            var g = Reckon.Gaps(b, Sample.Block(), Sample.Materials).Pairs.Single(p => p.Part == "M1");
            return g.MaxMm - g.MinMm;
        }
        var found = StockEvidence.Apply(board, [new("M1", 1.0, 0.91, 0), new("M1", 1.0, 0.92, 0)]).Board;
        Assert.True(Width(found) < Width(board));
    }

    [Fact]
    public void The_truth_is_within_the_stated_tolerance_in_nearly_every_bench()
    {
        // benches drawn from the stated errors: three sigma hold it
        int held = 0,
            drawn = 0;
        Gen.Select(Gen.Double[0.8, 1.6], Gen.Double[-1, 1], Gen.Double[-1, 1], Gen.Double[-0.4, 0.4])
            .Sample(
                (height, readError, stepError, step) =>
                {
                    const double die = 2.1,
                        fresh = 1.5;
                    var gap = die + 0.03 - step - height;
                    if (gap is < 0.3 or > 1.4)
                        return;
                    var pressed =
                        gap
                        + StockEvidence.SpringBack * (fresh - gap) / (1 + StockEvidence.SpringBack)
                        + readError * StockEvidence.PadTolMm;
                    var (_, evidence) = StockEvidence.Apply(
                        Sample.Board(),
                        [new("M1", fresh, pressed, step + stepError * StockEvidence.StepTolMm)]
                    );
                    Interlocked.Increment(ref drawn);
                    if (Math.Abs(evidence[0].FoundMm - height) <= evidence[0].FoundTolMm)
                        Interlocked.Increment(ref held);
                },
                iter: 2000
            );
        Assert.True(held >= 0.97 * drawn, $"{held} of {drawn}");
    }
}
