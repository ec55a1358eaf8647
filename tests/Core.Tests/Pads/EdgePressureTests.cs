using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Where a figure of a die's edge ends and words begin.</summary>
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
        Assert.Equal(validity, EdgePressure.Check(peak, limit));
    }
}
