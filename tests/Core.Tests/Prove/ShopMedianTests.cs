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
        var one = ShopMedians.Of(good)[0];
        Assert.Equal((5, 1.10, EvidenceGrade.B), (one.Jobs, one.Ratio!.Value, one.Grade!.Value));
        // median of 0.02, 0, 0.02, 0.01, 0.01
        Assert.Equal(1.4826 * 0.01, one.Spread!.Value, 1e-9);
        Assert.Empty(one.Outliers);
        Assert.Equal("5 proved jobs: 10 % over the maker's claim, ± 1 %.", one.Text);
        var with = ShopMedians.Of([.. good, Job(6, 3.0)])[0];
        Assert.Equal("Job 6", Assert.Single(with.Outliers).Title);
        Assert.InRange(with.Ratio!.Value, 1.10, 1.11);
        Assert.Contains("Far off: Job 6.", with.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Too_few_jobs_say_how_many_are_wanted_and_each_paste_stands_for_itself()
    {
        Assert.Empty(ShopMedians.Of([]));
        var few = Assert.Single(ShopMedians.Of([Job(1, 1), Job(2, 1), Job(3, 1)]));
        Assert.Null(few.Ratio);
        Assert.Equal("3 proved jobs: from 4 on the shop's own median says something.", few.Text);
        var two = ShopMedians.Of([
            .. Enumerable.Range(1, 10).Select(i => Job(i, 0.9)),
            .. Enumerable.Range(11, 4).Select(i => Job(i, 1.2, "liquid")),
        ]);
        Assert.Equal([null, "grey", "liquid"], two.Select(m => m.Paste));
        Assert.Equal((0.9, EvidenceGrade.A), (two[1].Ratio!.Value, two[1].Grade!.Value));
        Assert.Equal("10 proved jobs with grey: 10 % under the maker's claim, ± 1 %.", two[1].Text);
        Assert.Equal(1.2, two[2].Ratio);
    }
}
