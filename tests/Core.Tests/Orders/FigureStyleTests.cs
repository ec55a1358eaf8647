using FaithfulBracket.Core.Orders;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Figures in words, as a shop has them; what is no figure stays as it is.</summary>
public class FigureStyleTests
{
    [Theory]
    [InlineData("1.0 mm pad", "1,0 mm pad")]
    [InlineData("gap 0.86–1.12 mm; 25 to 43 %", "gap 0,86–1,12 mm; 25 to 43 %")]
    [InlineData("-0.37 mm", "-0,37 mm")]
    [InlineData("M2.5 × 6 with T6, G1/4", "M2.5 × 6 with T6, G1/4")]
    [InlineData("pads.lay-memory-front-1.0-soft-3", "pads.lay-memory-front-1.0-soft-3")]
    [InlineData("2026-11-26T18:00:00.123+00:00", "2026-11-26T18:00:00.123+00:00")]
    [InlineData("see 1.2.3 and v4.5", "see 1.2.3 and v4.5")]
    [InlineData("No figure. None.", "No figure. None.")]
    public void With_a_comma(string text, string told) => Assert.Equal(told, new FigureStyle(Comma: true).Tell(text));

    // 25.4 mm are an inch by definition: 1.0 mm is 0.03937 in
    [Theory]
    [InlineData("1.0 mm pad", "1.0 mm (0.039 in) pad")]
    [InlineData("25.4 mm", "25.4 mm (1.000 in)")]
    [InlineData("gap 0.86–1.12 mm, good", "gap 0.86–1.12 mm (0.034–0.044 in), good")]
    [InlineData("0.6 to 0.8 mm", "0.6 to 0.8 mm (0.024 to 0.031 in)")]
    [InlineData("62 × 28 mm", "62 × 28 mm (2.44 × 1.10 in)")]
    [InlineData("151 mm above", "151 mm (5.94 in) above")]
    [InlineData("12 mm² of 3 mmol", "12 mm² of 3 mmol")]
    [InlineData("0.2 L/min, 15 min", "0.2 L/min, 15 min")]
    public void With_inches(string text, string told) => Assert.Equal(told, new FigureStyle(Inches: true).Tell(text));

    [Theory]
    [InlineData("off by -0.00 mm", "off by 0.00 mm")]
    [InlineData("at 3.1, -0.0 is", "at 3.1, 0.0 is")]
    [InlineData("-8–-0 %", "-8–0 %")]
    [InlineData("gains -0 K.", "gains 0 K.")]
    [InlineData("(-0.0)", "(0.0)")]
    [InlineData("off by -0.01 mm", "off by -0.01 mm")]
    [InlineData("board A-0", "board A-0")]
    [InlineData("-0,5 mm", "-0,5 mm")]
    [InlineData("from 1.2-0.4", "from 1.2-0.4")]
    [InlineData("part -0x", "part -0x")]
    public void What_rounds_to_nothing_from_below_is_nothing(string text, string told) =>
        Assert.Equal(told, new FigureStyle().Tell(text));

    [Fact]
    public void Both_at_once_and_neither()
    {
        Assert.Equal("1,5 mm (0,059 in)", new FigureStyle(true, true).Tell("1.5 mm"));
        Assert.Equal("1.5 mm", new FigureStyle().Tell("1.5 mm"));
    }
}
