using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Sectors read from a mark that is given as a function, dark at 40 and light at 200.</summary>
public class SectorCodeTests
{
    private const double Threshold = 120;

    /// <summary>Sectors counter-clockwise on the sheet: backwards in the picture, whose v runs down.</summary>
    private static Func<double, double, double> Mark(
        byte code,
        double turn = 0,
        Func<int, double, bool>? grey = null
    ) =>
        (share, angle) =>
        {
            // between the inner and outer radius of the sectors
            if (share is < 2.9 / 7 or > 4.8 / 7)
                return 200;
            var on = ((-angle + turn) / (2 * Math.PI) % 1 + 1) % 1 * 8;
            var sector = (int)on;
            if (grey?.Invoke(sector, on - sector) is { } dark)
                return dark ? 40 : 200;
            return (code >> sector & 1) == 1 ? 40 : 200;
        };

    [Fact]
    public void Every_code_is_read_whatever_its_turn()
    {
        for (var code = 0; code < 256; code++)
        for (var turn = 0.01; turn < 2 * Math.PI; turn += 0.37)
            Assert.Equal(
                TargetSheet.Canonical((byte)code),
                TargetSheet.Canonical(SectorCode.Read(Mark((byte)code, turn), Threshold)!.Value)
            );
    }

    [Fact]
    public void Unturned_its_bits_run_from_the_first_sector_on() =>
        Assert.All(
            (byte[])[0b00010111, 0b01100101, 0b10110001],
            code => Assert.Equal(code, SectorCode.Read(Mark(code, 0.001), Threshold))
        );

    [Fact]
    public void As_light_as_the_threshold_is_light()
    {
        Assert.Equal((byte)0, SectorCode.Read((_, _) => Threshold, Threshold));
        Assert.Equal((byte)255, SectorCode.Read((_, _) => Threshold - 0.01, Threshold));
    }

    [Fact]
    public void One_sector_that_is_neither_is_let_pass_and_three_are_not()
    {
        // dark and light by turns of a thirty-second of the mark: whatever the phase half of it is dark
        bool Half(double at) => (int)(at * 4) % 2 == 0;
        Func<double, double, double> Neither(params int[] sectors) =>
            (share, angle) =>
            {
                var on = (-angle / (2 * Math.PI) % 1 + 1) % 1 * 8 + 1e-9;
                var sector = (int)on % 8;
                if (sectors.Contains(sector))
                    return Half(on % 1) ? 40 : 200;
                return (0b01010011 >> sector & 1) == 1 ? 40 : 200;
            };
        Assert.NotNull(SectorCode.Read(Neither(5), Threshold));
        Assert.Null(SectorCode.Read(Neither(0, 3, 6), Threshold));
        Assert.Null(SectorCode.Read(Neither(0, 1, 2, 3, 4, 5, 6, 7), Threshold));
    }

    [Fact]
    public void A_blurred_edge_between_sectors_is_not_asked()
    {
        // a sixth of each sector at either side tells the other's light
        var code = (byte)0b00101101;
        Func<double, double, double> blurred = (_, angle) =>
        {
            var on = (-angle / (2 * Math.PI) % 1 + 1) % 1 * 8 + 1e-9;
            var (sector, at) = ((int)on % 8, on % 1);
            var dark = (code >> sector & 1) == 1;
            return (at is < 0.15 or > 0.85 ? !dark : dark) ? 40 : 200;
        };
        Assert.Equal(TargetSheet.Canonical(code), TargetSheet.Canonical(SectorCode.Read(blurred, Threshold)!.Value));
    }
}
