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
            var g = Compute.Gaps(b, Sample.Block(), Sample.Materials).Pairs.Single(p => p.Part == "M1");
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

    private static Board Document(double mm, double tol) =>
        Sample.Board() with
        {
            Parts =
            [
                .. Sample.Board().Parts.Select(p => p.Id == "M1" ? p with { HeightMm = mm, HeightTolMm = tol } : p),
            ],
        };

    [Fact]
    public void Several_pads_average_and_their_reading_error_falls_with_the_root_of_their_number()
    {
        AsFoundPad[] pads = [new("M1", 1.5, 1.05, 0), new("M1", 1.5, 1.15, 0.02), new("M1", 1.5, 1.6, -0.3)];
        var told = StockEvidence.Apply(Document(1.2, 0.5), pads).Evidence[0];
        // a pad thicker than it was has not been pressed: nothing springs back
        double[] heights = [2.13 - (1.05 - 0.1 * 0.45), 2.13 - 0.02 - (1.15 - 0.1 * 0.35), 2.13 + 0.3 - 1.6];
        Assert.Equal(heights.Average(), told.FoundMm, 9);
        var sprung = (0.045 + 0.035) / 3;
        var tol = Math.Sqrt(0.05 * 0.05 / 3 + 0.03 * 0.03 + sprung * sprung);
        Assert.Equal(tol, told.FoundTolMm, 9);
        // weights by the variances
        double wd = 1 / 0.25,
            wf = 1 / (tol * tol);
        Assert.Equal((wd * 1.2 + wf * heights.Average()) / (wd + wf), told.UsedMm, 1e-4);
        Assert.Equal(1 / Math.Sqrt(wd + wf), told.UsedTolMm, 1e-4);
        Assert.StartsWith(
            FormattableString.Invariant(
                $"M1: {told.FoundMm:0.00} ± {tol:0.00} mm by the stock pad, 1.20 ± 0.50 by the document: {told.UsedMm:0.00}"
            ),
            told.Text,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void They_agree_up_to_both_tolerances_together_and_a_sure_document_stays()
    {
        // found 1.125 ± 0.074
        var pad = new AsFoundPad("M1", 1.5, 1.05, 0);
        var found = StockEvidence.Apply(Document(1, 0.1), [pad]).Evidence[0];
        var both = Math.Sqrt(found.FoundTolMm * found.FoundTolMm + 0.01);
        PartEvidence At(double off, double tol = 0.1) =>
            StockEvidence.Apply(Document(found.FoundMm + off, tol), [pad]).Evidence[0];
        Assert.True(At(both - 1e-6).Agrees);
        Assert.True(At(1e-6 - both).Agrees);
        var apart = At(both + 1e-3);
        Assert.False(apart.Agrees);
        Assert.Equal((Math.Round(found.FoundMm, 4), Math.Round(found.FoundTolMm, 4)), (apart.UsedMm, apart.UsedTolMm));
        Assert.Contains(
            FormattableString.Invariant($"{both + 1e-3:0.00} mm apart"),
            apart.Text,
            StringComparison.Ordinal
        );
        var sure = At(0.01, 0);
        Assert.Equal((Math.Round(found.FoundMm + 0.01, 4), 0), (sure.UsedMm, sure.UsedTolMm));
    }

    [Fact]
    public void Heights_count_from_the_highest_die_in_front_and_of_parts_in_front()
    {
        AsFoundPad[] pads = [new("M1", 1.5, 1.05, 0)];
        double Found(Board b) => StockEvidence.Apply(b, pads).Evidence[0].FoundMm;
        var plain = Found(Sample.Board());
        Part Die(string id, double h, Face face, PartKind kind = PartKind.Die) =>
            Sample.Part(id, kind, 40, 0, 9, 9, h) with
            {
                Face = face,
            };
        Assert.Equal(plain + 0.2, Found(Sample.Board(more: Die("U2", 2.3, Face.Front, PartKind.Lid))), 9);
        Assert.Equal(plain, Found(Sample.Board(more: Die("U2", 1.9, Face.Front))), 9);
        Assert.Equal(plain, Found(Sample.Board(more: Die("U2", 2.3, Face.Back))), 9);
        // a tall part is no die
        Assert.Equal(plain, Found(Sample.Board(more: Die("C1", 9, Face.Front, PartKind.Capacitor))), 9);
        Assert.Empty(StockEvidence.Apply(Sample.Board(), [new("Z9", 1.5, 1.05, 0)]).Evidence);
        var behind = Sample.Board(more: Die("B1", 1, Face.Back, PartKind.Memory));
        Assert.Empty(StockEvidence.Apply(behind, [new("B1", 1.5, 1.05, 0)]).Evidence);
        var bare = Sample.Board() with { Parts = [Sample.Board().FindPart("M1")!] };
        Assert.Same(bare, StockEvidence.Apply(bare, pads).Board);
        Assert.Same(bare, StockEvidence.Apply(bare, []).Board);
    }
}
