using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Where a figure of a screw's pull ends and words begin.</summary>
public class ClampLoadTests
{
    [Fact]
    public void Screws_strip_past_what_they_hold_and_the_weakest_is_named()
    {
        Assert.Null(ClampLoad.Strips([new("a", 900) { HoldsN = 900 }, new("b", 50) { HoldsN = 60 }]));
        Assert.Equal(
            "1 screw would have to pull over 900 N and strips first: check the heights of stops and die.",
            ClampLoad.Strips([new("a", 901) { HoldsN = 900 }, new("b", 50) { HoldsN = 60 }])
        );
        Assert.Equal(
            "2 screws would have to pull over 60 N and strip first: check the heights of stops and die.",
            ClampLoad.Strips([new("a", 901) { HoldsN = 900 }, new("b", 61) { HoldsN = 60 }])
        );
    }

    [Theory]
    [InlineData(900, 900.0, "900 N", "900 N")]
    [InlineData(901, 900.0, "over 900 N", "over 900 N: screws strip")]
    [InlineData(5000, null, "5000 N", "5000 N")]
    public void A_load_is_told_up_to_what_they_hold(double load, double? holds, string figure, string words)
    {
        Assert.Equal(figure, ClampLoad.Figure(load, holds));
        Assert.Equal(words, ClampLoad.InWords(load, holds));
    }
}
