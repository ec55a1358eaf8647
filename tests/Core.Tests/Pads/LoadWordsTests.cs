using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Where a figure ends and words begin: a die's edge, a screw's thread.</summary>
public class EdgePressureTests
{
    [Theory]
    [InlineData(6, 2.0, "6.0 MPa", Validity.Ok)]
    [InlineData(6.001, 2.0, "over 3 times the limit: the edge chips", Validity.Outside)]
    [InlineData(2.9, 1.0, "2.9 MPa", Validity.Ok)]
    [InlineData(30, null, "30.0 MPa", Validity.Ok)]
    [InlineData(30.1, null, "over 30 MPa: the edge chips", Validity.Outside)]
    [InlineData(31, 11.0, "31.0 MPa", Validity.Ok)]
    public void Three_times_the_limit_or_thirty_megapascal(double peak, double? limit, string told, Validity validity)
    {
        Assert.Equal(told, EdgePressure.InWords(peak, limit));
        Assert.Equal(validity, EdgePressure.Of(peak, limit));
    }
}

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
