using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Prove;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Medians of the shop's own jobs: by hand, unmoved by one bad job, silent with too few.</summary>
public class ShopMedianTests
{
    private static BlockMeasured Job(long id, double ratio, string paste = "grey") =>
        new(id, $"Job {id}", "full-460", paste, ratio);

    [Fact]
    public void A_ratio_is_of_the_block_alone_against_what_the_maker_claims()
    {
        // 0.080 measured and 0.070 expected, 0.020 of both the film's: 0.060 against 0.050
        Assert.Equal(1.2, ShopMedians.RatioOf(0.080, 0.070, 0.020, 1)!.Value, 1e-9);
        // the same where the expectation was scaled by the shop already: the claim itself is 0.050
        Assert.Equal(1.2, ShopMedians.RatioOf(0.080, 0.020 + 0.050 * 1.3, 0.020, 1.3)!.Value, 1e-9);
        Assert.Null(ShopMedians.RatioOf(0.015, 0.070, 0.020, 1));
        Assert.Null(ShopMedians.RatioOf(0.080, 0.020, 0.020, 1));
    }

    [Fact]
    public void One_bad_job_is_named_and_moves_nothing()
    {
        List<BlockMeasured> good = [Job(1, 1.08), Job(2, 1.10), Job(3, 1.12), Job(4, 1.11), Job(5, 1.09)];
        var one = ShopMedians.Compute(good)[0];
        Assert.Equal((5, 1.10, EvidenceGrade.B), (one.Jobs, one.Ratio!.Value, one.Grade!.Value));
        // median of 0.02, 0, 0.02, 0.01, 0.01
        Assert.Equal(1.4826 * 0.01, one.Spread!.Value, 1e-9);
        Assert.Empty(one.Outliers);
        Assert.Equal("5 proved jobs: 10 % over the maker's claim, ± 1 %.", one.Text);
        var with = ShopMedians.Compute([.. good, Job(6, 3.0)])[0];
        Assert.Equal("Job 6", Assert.Single(with.Outliers).Title);
        Assert.InRange(with.Ratio!.Value, 1.10, 1.11);
        Assert.Contains("Far off: Job 6.", with.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Too_few_jobs_say_how_many_are_wanted_and_each_paste_stands_for_itself()
    {
        Assert.Empty(ShopMedians.Compute([]));
        var few = Assert.Single(ShopMedians.Compute([Job(1, 1), Job(2, 1), Job(3, 1)]));
        Assert.Null(few.Ratio);
        Assert.Equal("3 proved jobs: from 4 on the shop's own median says something.", few.Text);
        var two = ShopMedians.Compute([
            .. Enumerable.Range(1, 10).Select(i => Job(i, 0.9)),
            .. Enumerable.Range(11, 4).Select(i => Job(i, 1.2, "liquid")),
        ]);
        Assert.Equal([null, "grey", "liquid"], two.Select(m => m.Paste));
        Assert.Equal((0.9, EvidenceGrade.A), (two[1].Ratio!.Value, two[1].Grade!.Value));
        Assert.Equal("10 proved jobs with grey: 10 % under the maker's claim, ± 1 %.", two[1].Text);
        Assert.Equal(1.2, two[2].Ratio);
    }

    [Fact]
    public void One_job_is_one_job() =>
        Assert.Equal(
            "1 proved job: from 4 on the shop's own median says something.",
            Assert.Single(ShopMedians.Compute([Job(1, 1)])).Text
        );

    [Fact]
    public void Between_two_the_median_lies_half_way_and_the_order_of_jobs_is_no_matter()
    {
        double[] ratios = [1.30, 0.90, 1.10, 1.00];
        var told = ShopMedians.Compute([.. ratios.Select((r, i) => Job(i, r))])[0];
        Assert.Equal(1.05, told.Ratio!.Value, 1e-9);
        // 0.05, 0.05, 0.15, 0.25
        Assert.Equal(1.4826 * 0.10, told.Spread!.Value, 1e-9);
        Assert.Equal("4 proved jobs: 5 % over the maker's claim, ± 15 %.", told.Text);
        Assert.Equal(EvidenceGrade.B, ShopMedians.Compute([.. Enumerable.Range(0, 9).Select(i => Job(i, 1))])[0].Grade);
        Assert.Equal(
            "10 proved jobs: as the maker claims, ± 1 %.",
            ShopMedians.Compute([.. Enumerable.Range(0, 10).Select(i => Job(i, 1))])[0].Text
        );
    }

    [Fact]
    public void Far_off_is_three_and_a_half_deviations_and_ten_percent_at_least_the_farthest_first()
    {
        // all alike: a deviation is taken as three hundredths, far is 0.105
        List<BlockMeasured> alike = [.. Enumerable.Range(1, 6).Select(i => Job(i, 1))];
        Assert.Empty(ShopMedians.Compute([.. alike, Job(7, 1.104)])[0].Outliers);
        Assert.Equal(
            ["Job 9", "Job 7", "Job 8"],
            ShopMedians.Compute([.. alike, Job(7, 1.3), Job(8, 0.894), Job(9, 0.5)])[0].Outliers.Select(o => o.Title)
        );
        // a wide spread of its own: median 1, deviations 0.1: far is 0.519
        List<BlockMeasured> wide = [Job(1, 0.9), Job(2, 1.1), Job(3, 1), Job(4, 0.9), Job(5, 1.1)];
        Assert.Empty(ShopMedians.Compute([.. wide, Job(6, 1.1), Job(7, 0.5)])[0].Outliers);
        Assert.Single(ShopMedians.Compute([.. wide, Job(6, 1.1), Job(7, 0.45)])[0].Outliers);
    }
}
