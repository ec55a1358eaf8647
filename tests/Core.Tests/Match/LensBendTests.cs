using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What a lens bends is straightened again.</summary>
public class LensBendTests
{
    [Theory]
    [InlineData(0.3)]
    [InlineData(0.05)]
    [InlineData(-0.1)]
    [InlineData(-0.28)]
    public void A_point_bent_and_straightened_is_the_same(double k)
    {
        for (var r = 0.1; r <= 1.0; r += 0.1)
        for (var turn = 0.0; turn < 6; turn += 0.7)
        {
            var p = new Point2(r, 0).Turned(turn);
            var bent = LensBend.Bend(p, k);
            Assert.Equal(r * (1 + k * r * r), bent.Length, 12);
            Assert.Equal(0, bent.Cross(p), 12);
            var back = LensBend.Unbend(bent, k);
            Assert.Equal(p.X, back.X, 9);
            Assert.Equal(p.Y, back.Y, 9);
        }
    }

    [Fact]
    public void Without_a_lens_and_in_the_middle_nothing_moves()
    {
        Assert.Equal(new Point2(0.3, -0.4), LensBend.Unbend(new(0.3, -0.4), 0));
        Assert.Equal(new Point2(0, 0), LensBend.Unbend(new(0, 0), -0.2));
        Assert.Equal(new Point2(0, 0), LensBend.Bend(new(0, 0), -0.2));
    }

    [Fact]
    public void Past_the_fold_of_the_lens_it_stops_near_it()
    {
        // r·(1 − r²/2) is never more than 0.544, at r = 0.816: straight on from there points lie over each other
        Assert.Equal(new Point2(0.9, 0), LensBend.Unbend(new(0.9, 0), -0.5));
        var near = LensBend.Unbend(new(0, 0.6), -0.5);
        Assert.Equal(0, near.X);
        Assert.InRange(near.Y, 0.8, 0.85);
        Assert.Equal(0.79, LensBend.Unbend(LensBend.Bend(new(0.79, 0), -0.5), -0.5).X, 6);
    }
}
