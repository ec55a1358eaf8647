using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What is told of pulls, torques and strains where the model still reaches, and past it.</summary>
public class ToldLoadTests
{
    private static TighteningMove Move(double load, double holds) =>
        new("S1", 1, 0.5, load, 0, 0, 0, 0, []) { Plate = "main", HoldsN = holds };

    [Fact]
    public void A_screw_strips_past_what_it_holds()
    {
        Assert.False(Move(1900, 1900).Strips);
        Assert.True(Move(1901, 1900).Strips);
        Assert.Equal("1900 N", Move(1900, 1900).LoadText);
        Assert.Equal("over 1900 N: screws strip", Move(1901, 1900).LoadText);
    }

    /// <summary>Unsprung screws whose stops stand so much over the die's height.</summary>
    private static TighteningResult Turned(double overDieMm)
    {
        var block = Sample.Block();
        var stopped = block with
        {
            Plates =
            [
                block.Plates[0] with
                {
                    Holes = [.. block.Plates[0].Holes.Select(h => h with { Spring = null, StopMm = 2.1 + overDieMm })],
                },
            ],
        };
        LaidPad[] pads = [new("M1", 1, "soft"), new("M2", 1, "soft")];
        return Compute.Tighten(Sample.Board(), stopped, pads, Sample.Materials, Sample.Grey);
    }

    [Fact]
    public void Torque_goes_with_the_pull_until_the_thread_gives()
    {
        var sound = Turned(0.04);
        foreach (var m in sound.Moves)
        {
            // 0.2 · 2.5 mm · F, in N·cm
            Assert.Equal(FormattableString.Invariant($"{0.05 * m.LoadN:0.0} N·cm"), m.TorqueText);
            Assert.Equal(FormattableString.Invariant($"{m.LoadN:0} N"), m.LoadText);
            Assert.InRange(m.LoadN, 0, m.HoldsN!.Value);
        }
        Assert.True(sound.Moves.Max(m => m.LoadN) > 20);
        var clamped = Turned(-0.09).Moves[^1];
        Assert.True(clamped.LoadN > 2 * clamped.HoldsN);
        Assert.Equal(("over 98.3 N·cm", "over 1967 N: screws strip"), (clamped.TorqueText, clamped.LoadText));
    }
}
