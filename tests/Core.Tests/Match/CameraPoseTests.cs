using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Cameras of known pose.</summary>
public class CameraPoseTests
{
    [Fact]
    public void Where_it_stood_and_how_it_was_tilted_is_found()
    {
        foreach (var view in ViewOfPlane.Some())
        {
            var pose = CameraPose.From(view.Theta(), view.Focal);
            Assert.Equal(view.X, pose.X, 9);
            Assert.Equal(view.Y, pose.Y, 9);
            Assert.Equal(view.Z, pose.Z, 9);
            Assert.Equal(view.TiltDeg, pose.TiltDeg, 1e-5);
        }
    }

    [Fact]
    public void Seen_in_a_mirror_it_stands_above_all_the_same()
    {
        foreach (var view in ViewOfPlane.Some())
        {
            var theta = view.Theta();
            for (var i = 0; i < 3; i++)
                theta[i] = -theta[i];
            var pose = CameraPose.From(theta, view.Focal);
            Assert.Equal(view.Z, pose.Z, 9);
            Assert.Equal(view.TiltDeg, pose.TiltDeg, 1e-5);
        }
    }

    [Fact]
    public void Taken_for_a_longer_lens_it_stood_farther_away()
    {
        var view = new ViewOfPlane(2, 0, 0, 4, 0, 0, 0);
        Assert.Equal(6, CameraPose.From(view.Theta(), 3).Z, 9);
        Assert.Equal(2, CameraPose.From(view.Theta(), 1).Z, 9);
    }
}
