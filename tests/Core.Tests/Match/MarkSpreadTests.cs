using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Which marks fix a view of a plane.</summary>
public class MarkSpreadTests
{
    private static bool Defines(params (double X, double Y)[] marks) =>
        // whatever comes first, and turned by a quarter
        new[] { 0.0, Math.PI / 2 }
            .SelectMany(turn =>
                Enumerable
                    .Range(0, marks.Length)
                    .Select(first => marks.Skip(first).Concat(marks.Take(first)))
                    .Select(m => MarkSpread.DefinesAView(m.Select(p => new Point2(p.X, p.Y).Turned(turn))))
            )
            .Distinct()
            .Single();

    [Fact]
    public void Four_corners_do_and_three_do_not()
    {
        Assert.True(Defines((0, 0), (100, 0), (100, 60), (0, 60)));
        Assert.False(Defines((0, 0), (100, 0), (100, 60)));
        Assert.False(Defines((0, 0), (100, 0), (100, 60), (0, 0)));
        Assert.False(MarkSpread.DefinesAView([]));
        Assert.True(Defines((0, 0), (1000, 0), (1000, 600), (0, 600), (3, 5), (1, 1)));
    }

    [Fact]
    public void All_in_a_line_or_all_but_one_do_not()
    {
        Assert.False(Defines((0, 0), (10, 5), (20, 10), (30, 15), (60, 30)));
        Assert.False(Defines((0, 0), (10, 5), (20, 10), (30, 15), (10, 40)));
        Assert.True(Defines((0, 0), (10, 5), (20, 10), (30, 15), (10, 40), (40, -10)));
    }

    [Fact]
    public void Off_the_line_by_a_thousandth_of_the_whole_is_off_it()
    {
        // 100 mm long: a triangle counts from 10 mm² on
        foreach (var scale in new[] { 1.0, 7 })
        {
            (double, double)[] At(double y) =>
                [(0, 0), (100 * scale, 0), (30 * scale, y * scale), (70 * scale, -y * scale)];
            Assert.True(Defines(At(0.11)));
            Assert.False(Defines(At(0.09)));
        }
    }

    [Fact]
    public void The_two_off_the_line_have_to_span_with_both_its_ends()
    {
        // the two stand in one line with an end
        Assert.False(Defines((0, 0), (100, 0), (20, 20), (40, 40)));
        Assert.False(Defines((0, 0), (100, 0), (80, 20), (60, 40)));
        Assert.True(Defines((0, 0), (100, 0), (20, 20), (40, 41)));
    }
}
