using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class DifferencesTests
{
    private const double Reach = 0.5;

    private static readonly Placement Pose = new(10, -5, 90);

    /// <summary>Seen from another frame, so that it lies there.</summary>
    private static SeenPoint Seen(double x, double y, SeenPoint like)
    {
        var back = new Point2(x - 10, y + 5).Turned(-Math.PI / 2);
        return like with { X = back.X, Y = back.Y };
    }

    private static readonly SeenPoint Hole = new(0, 0, true, 2.8, Id: "H1"),
        Chip = new(20, 0, false, null, PartKind.Memory, 1.2, "M1");

    private static List<BoardDifference> Between(SeenPoint[] seen, params SeenPoint[] kept) =>
        Differences.Between(seen, kept, Pose, Reach, "the Tern");

    [Fact]
    public void The_same_board_differs_in_nothing() =>
        Assert.Empty(Between([Seen(0.2, 0.1, Hole), Seen(20, -0.3, Chip)], Hole, Chip));

    [Theory]
    [InlineData(2.94, false)]
    [InlineData(2.96, true)]
    [InlineData(2.66, false)]
    [InlineData(2.64, true)]
    public void A_hole_of_another_width_is_told(double wide, bool told)
    {
        var list = Between([Seen(0, 0, Hole with { DiameterMm = wide })], Hole);
        Assert.Equal(told, list.Count == 1);
        if (!told)
            return;
        Assert.Equal("diameter", list[0].Code);
        Assert.Equal(
            FormattableString.Invariant($"Hole H1 is {wide:0.0#} mm wide here, 2.8 mm on the Tern."),
            list[0].Text
        );
        Assert.Equal(["H1"], list[0].Refs);
        Assert.Equal([0.0, 0.0], list[0].AtMm);
    }

    [Theory]
    [InlineData(1.29, null)]
    [InlineData(1.31, "+0.11")]
    [InlineData(1.11, null)]
    [InlineData(1.09, "−0.11")]
    public void A_part_of_another_height_is_told(double high, string? by)
    {
        var list = Between([Seen(20, 0, Chip with { HeightMm = high })], Chip);
        Assert.Equal(by is not null, list.Count == 1);
        if (by is null)
            return;
        Assert.Equal("height", list[0].Code);
        Assert.EndsWith($"1.20 mm on the Tern: {by} mm.", list[0].Text, StringComparison.Ordinal);
    }

    [Fact]
    public void What_was_not_measured_differs_in_nothing()
    {
        Assert.Empty(Between([Seen(0, 0, Hole with { DiameterMm = null })], Hole));
        Assert.Empty(Between([Seen(20, 0, Chip with { HeightMm = null, Kind = null })], Chip));
        var other = Assert.Single(Between([Seen(20, 0, Chip with { Kind = PartKind.Inductor })], Chip));
        Assert.Equal("kind", other.Code);
        Assert.EndsWith("on the Tern.", other.Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.4, null)]
    [InlineData(0.6, "moved")]
    [InlineData(2.9, "moved")]
    [InlineData(3.1, "not-seen extra")]
    public void A_point_some_way_off_has_moved_and_one_far_off_is_another(double off, string? codes)
    {
        foreach (
            var along in new Point2[]
            {
                new(0.6 * off, 0.8 * off),
                new(-0.8 * off, 0.6 * off),
                new(0.28 * off, -0.96 * off),
            }
        )
        {
            var list = Between([Seen(along.X, along.Y, Hole with { Id = null })], Hole);
            Assert.Equal(codes?.Split(' ') ?? [], list.Select(x => x.Code));
            if (codes == "moved")
                Assert.Equal(
                    FormattableString.Invariant($"Hole H1 sits {off:0.00} mm from where the Tern has it."),
                    list[0].Text
                );
            if (list.Count < 2)
                continue;
            Assert.Equal("Hole H1 of the Tern was not seen.", list[0].Text);
            Assert.Equal(
                FormattableString.Invariant($"A hole at {along.X:0.0}, {along.Y:0.0} is not on the Tern."),
                list[1].Text
            );
            Assert.Empty(list[1].Refs);
            Assert.Equal(along.X, list[1].AtMm[0], 9);
        }
    }

    [Fact]
    public void The_nearest_pair_first_and_each_point_once()
    {
        var second = Hole with { X = 0.6, Id = "H2" };
        // one seen between two: the nearer is met, the other was not seen
        var one = Between([Seen(0.2, 0, Hole)], Hole, second);
        Assert.Equal(("not-seen", "H2"), (one[0].Code, one[0].Refs[0]));
        // two seen by one: the farther is a stranger that has moved from nothing
        var two = Between([Seen(0.3, 0.1, Hole with { Id = "a" }), Seen(0.1, 0, Hole with { Id = "b" })], Hole);
        Assert.Equal(("extra", "a"), (two[0].Code, two[0].Refs[0]));
        Assert.Equal("Hole a at 0.3, 0.1 is not on the Tern.", two[0].Text);
        // a hole is never a part
        Assert.Equal(["not-seen", "extra"], Between([Seen(0, 0, Chip)], Hole).Select(x => x.Code));
    }

    [Fact]
    public void A_thing_is_called_by_what_is_known_of_it()
    {
        string Called(SeenPoint p) => Assert.Single(Between([], p)).Text;
        Assert.Equal("Hole H1 of the Tern was not seen.", Called(Hole));
        Assert.Equal("A hole of the Tern was not seen.", Called(Hole with { Id = null }));
        Assert.EndsWith(" M1 of the Tern was not seen.", Called(Chip), StringComparison.Ordinal);
        Assert.Equal("Part M1 of the Tern was not seen.", Called(Chip with { Kind = null }));
        Assert.Equal("A part of the Tern was not seen.", Called(Chip with { Kind = null, Id = null }));
    }
}
