using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Single marks of the sheet, drawn by hand: named whatever their turn, centred on their dot, and nothing else taken for one.</summary>
public class MarkFinderTests
{
    /// <summary>A mark in the picture: where its middle lies, how many pixels a millimetre, turned and foreshortened.</summary>
    private sealed record Seen(int Id, double U, double V, double Scale = 6, double TurnDeg = 0, double Squash = 1);

    private static GreyPicture Draw(
        int width,
        int height,
        double light,
        double dark,
        Func<double, double, bool>? erased = null,
        params Seen[] marks
    )
    {
        var pixels = new byte[width * height];
        Array.Fill(pixels, (byte)light);
        foreach (var m in marks)
        {
            var mark = TargetSheet.Marks.Single(x => x.Id == m.Id);
            Point2 at = new(mark.XMm, mark.YMm);
            var reach = (int)(7.5 * m.Scale) + 1;
            for (var y = Math.Max(0, (int)m.V - reach); y <= Math.Min(height - 1, (int)m.V + reach); y++)
            for (var x = Math.Max(0, (int)m.U - reach); x <= Math.Min(width - 1, (int)m.U + reach); x++)
            {
                var ink = 0;
                for (var k = 0; k < 25; k++)
                {
                    double du = x + (k % 5 + 0.5) / 5 - m.U,
                        dv = y + (k / 5 + 0.5) / 5 - m.V;
                    // the picture's v runs down
                    var p = new Point2(du, -dv / m.Squash).Turned(-m.TurnDeg * Math.PI / 180) * (1 / m.Scale);
                    if (p.Length <= 7.2 && erased?.Invoke(p.X, p.Y) != true && TargetSheet.IsDark(at + p))
                        ink++;
                }
                pixels[y * width + x] = (byte)Math.Round(light + (dark - light) * ink / 25);
            }
        }
        return new(width, height, pixels);
    }

    private static void Met(Seen seen, FoundMark found, double within = 0.08)
    {
        var mark = TargetSheet.Marks.Single(x => x.Id == seen.Id);
        Assert.Equal((seen.Id, mark.XMm, mark.YMm), (found.Id, found.XMm, found.YMm));
        Assert.Equal(seen.U, found.UPx, within);
        Assert.Equal(seen.V, found.VPx, within);
    }

    [Fact]
    public void Every_mark_is_named_and_centred_whatever_its_turn()
    {
        var d = new NormalDraws(3);
        foreach (var mark in TargetSheet.Marks)
        {
            var seen = new Seen(mark.Id, 60 + d.Uniform(), 58 + d.Uniform(), 6 + d.Uniform(), 360 * d.Uniform());
            Met(seen, Assert.Single(MarkFinder.Find(Draw(420, 400, 210, 35, null, seen))));
        }
    }

    [Theory]
    [InlineData(0.7, 0)]
    [InlineData(0.7, 40)]
    [InlineData(0.5, 110)]
    public void Seen_at_a_slant_it_is_named_still(double squash, double turn)
    {
        var seen = new Seen(7, 90.3, 88.7, 10, turn, squash);
        Met(seen, Assert.Single(MarkFinder.Find(Draw(560, 540, 210, 35, null, seen))), 0.15);
    }

    [Fact]
    public void Several_are_told_in_their_order_near_and_far()
    {
        Seen[] three = [new(9, 60, 60, 6, 10), new(2, 200, 70, 10, 200), new(5, 330, 60, 4, 75)];
        var found = MarkFinder.Find(Draw(620, 480, 200, 40, null, three));
        Assert.Equal([2, 5, 9], found.Select(f => f.Id));
        foreach (var f in found)
            Met(three.Single(s => s.Id == f.Id), f, 0.15);
    }

    [Fact]
    public void Where_light_and_dark_are_too_much_alike_there_is_none()
    {
        var seen = new Seen(4, 60, 60);
        Assert.Single(MarkFinder.Find(Draw(420, 400, 100, 72, null, seen)));
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 100, 76, null, seen)));
        // by a sixth darker is shade
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 240, 200, null, seen)));
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 160, 160, null, seen)));
    }

    [Fact]
    public void A_ring_without_its_dot_or_with_other_sectors_is_no_mark()
    {
        var seen = new Seen(4, 60, 60);
        bool Within(double x, double y, double from, double to) =>
            Math.Sqrt(x * x + y * y) is var r && r >= from && r <= to;
        Assert.Single(MarkFinder.Find(Draw(420, 400, 210, 35, null, seen)));
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35, (x, y) => Within(x, y, 0, 2), seen)));
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35, (x, y) => Within(x, y, 2.5, 5), seen)));
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35, (x, y) => Within(x, y, 5, 8), seen)));
        // half a ring
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35, (x, y) => x > 0 && Within(x, y, 5, 8), seen)));
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35)));
    }

    [Fact]
    public void Too_far_away_its_sectors_are_not_read_and_nothing_is_made_up()
    {
        foreach (var scale in new[] { 0.7, 0.9 })
            Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35, null, new Seen(4, 60.2, 59.7, scale))));
        var near = new Seen(4, 60.2, 59.7, 2.5);
        Met(near, Assert.Single(MarkFinder.Find(Draw(420, 400, 210, 35, null, near))), 0.15);
    }

    [Fact]
    public void A_mark_cut_by_the_pictures_edge_is_not_taken() =>
        Assert.Empty(MarkFinder.Find(Draw(420, 400, 210, 35, null, new Seen(4, 20, 60))));
}
