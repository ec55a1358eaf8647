using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match.Identify;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What of a board is seen from the die side.</summary>
public class ConstellationTests
{
    [Fact]
    public void Holes_come_first_then_what_stands_in_front()
    {
        var board = Sample.Board(
            more:
            [
                Sample.Part("E1", PartKind.Empty, 5, 5, 2, 2, 0),
                Sample.Part("B1", PartKind.Memory, 0, 0, 14, 12, 1) with
                {
                    Face = Face.Back,
                },
                Sample.Part("B2", PartKind.Empty, 9, 9, 2, 2, 0) with
                {
                    Face = Face.Back,
                },
            ]
        );
        var points = Constellation.From(board).Points;
        Assert.Equal(["H1", "H2", "H3", "H4", "U1", "M1", "M2"], points.Select(p => p.Id));
        Assert.Equal(new SeenPoint(-29, -29, true, 2.8, Id: "H1"), points[0]);
        Assert.Equal(new SeenPoint(-15, 33, false, null, PartKind.Memory, 1.2, "M1"), points[5]);
    }
}
