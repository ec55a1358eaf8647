using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What each fault does to a part, worked out beside the bench in metres, watts and kelvin.</summary>
public class FaultBenchTests
{
    private static readonly FaultBench Bench = FaultTests.Whole;

    private static FaultPart Part(string id) => Bench.Parts.Single(p => p.Id == id);

    private static double OwnK(FaultPart p, FaultKind kind, double size, int corner = 0) =>
        Bench.With(p, kind, p.Id, corner, size).OwnK;

    /// <summary>K/W of a pad in a gap: its own way, its two faces the worse the less it is pressed, the board's way beside it.</summary>
    private static double PadKPerW(FaultPart p, double thickMm, double gapMm)
    {
        if (gapMm >= thickMm)
            return 40;
        var before = 1 - p.GapMm / p.PadMm!.Value;
        var now = 1 - gapMm / thickMm;
        var worse = before <= 0 ? 1 : Math.Min(4, Math.Max(1, before / now));
        var bulk = gapMm * 1e-3 / (p.KWPerMK * p.AreaMm2 * 1e-6);
        return Math.Min(40, bulk + 2 * p.ContactMm2KPerW / p.AreaMm2 * worse);
    }

    private static double FilmKPerW(FaultPart p, double mm) => mm * 1e-3 / (p.KWPerMK * p.AreaMm2 * 1e-6);

    private static void Near(double expected, double told) => Assert.Equal(expected, told, 1e-9 * Math.Abs(expected));

    [Fact]
    public void As_expected_each_part_is_its_own_sum()
    {
        foreach (var p in Bench.Parts)
        {
            var (c, land, own) = Bench.With(p, FaultKind.None, null, 0, 0);
            Near(Bench.ExpectedC(p), c);
            Assert.Equal((p.LandK, p.OwnK), (land, own));
            Assert.Equal(p.Id == "U1", p.IsDie);
            // what its own way is made of gives its own way back
            Assert.Equal(
                p.OwnK,
                p.Watts * (p.IsDie ? FilmKPerW(p, p.GapMm) : PadKPerW(p, p.PadMm!.Value, p.GapMm)),
                1e-6
            );
        }
    }

    [Theory]
    [InlineData(0.02)]
    [InlineData(0.12)]
    [InlineData(5)]
    public void Film_left_is_one_more_layer_and_never_worse_than_the_boards_own_way(double mm)
    {
        var p = Part("M2");
        var layer = mm * 1e-3 / (0.2 * p.AreaMm2 * 1e-6);
        Near(Math.Min(p.Watts * 40, p.OwnK + p.Watts * layer), OwnK(p, FaultKind.FilmLeft, mm));
        Near(p.Watts * 40, OwnK(p, FaultKind.PadMissing, 1));
        // another part's fault is not this one's
        foreach (var kind in new[] { FaultKind.FilmLeft, FaultKind.PadMissing, FaultKind.PadThin })
            Assert.Equal(p.OwnK, Bench.With(p, kind, "M3", 0, mm).OwnK);
    }

    [Theory]
    [InlineData(0.01)]
    [InlineData(0.03)]
    [InlineData(0.1)]
    [InlineData(0.3)]
    [InlineData(0.6)]
    public void A_pad_too_thin_or_too_high_a_block_presses_less(double mm)
    {
        foreach (var p in Bench.Parts.Where(p => !p.IsDie))
        {
            Near(p.Watts * PadKPerW(p, p.PadMm!.Value - mm, p.GapMm), OwnK(p, FaultKind.PadThin, mm));
            Near(p.Watts * PadKPerW(p, p.PadMm.Value, p.GapMm + mm), OwnK(p, FaultKind.Floats, mm));
        }
        var die = Part("U1");
        Near(die.Watts * FilmKPerW(die, die.GapMm + mm), OwnK(die, FaultKind.Floats, mm));
    }

    [Theory]
    [InlineData(0.3, 1)]
    [InlineData(0.7, 1)]
    [InlineData(0.7, 20)]
    [InlineData(1, 1)]
    public void However_far_a_pad_was_pressed_its_faces_follow(double gapMm, double contact)
    {
        var p = Part("M4") with { GapMm = gapMm, ContactMm2KPerW = 60 * contact };
        foreach (var mm in new[] { 0.05, 0.2, 0.25, 0.28 })
        {
            Near(p.Watts * PadKPerW(p, 1, gapMm + mm), OwnK(p, FaultKind.Floats, mm));
            Near(p.Watts * PadKPerW(p, 1 - mm, gapMm), OwnK(p, FaultKind.PadThin, mm));
        }
    }

    [Fact]
    public void Paste_with_a_bare_share_or_pumped_out_carries_less()
    {
        var p = Part("U1");
        Near(p.OwnK / 0.7, OwnK(p, FaultKind.PasteVoid, 0.3));
        Near(p.OwnK * 1.8, OwnK(p, FaultKind.PumpOut, 0.8));
        Assert.Equal(p.OwnK, Bench.With(p, FaultKind.PasteVoid, "M1", 0, 0.3).OwnK);
        Assert.Equal(p.OwnK, Bench.With(p, FaultKind.PumpOut, "M1", 0, 0.3).OwnK);
    }

    [Theory]
    [InlineData(0, -1, -1)]
    [InlineData(1, 1, -1)]
    [InlineData(2, 1, 1)]
    [InlineData(3, -1, 1)]
    public void A_tilt_lifts_towards_its_corner_and_presses_away_from_it(int corner, int sx, int sy)
    {
        foreach (var degrees in new[] { 0.05, 0.2, 0.4 })
        foreach (var p in Bench.Parts)
        {
            var slope = Math.Tan(degrees * Math.PI / 180);
            // how far the part lies along the diagonal, from the die
            var higher = (sx * p.At.X + sy * p.At.Y) * Math.Sqrt(0.5) * slope;
            var own = Bench.With(p, FaultKind.Tilt, null, corner, degrees).OwnK;
            if (p.IsDie)
                // half a half-side of film more on the mean
                Near(p.Watts * FilmKPerW(p, p.GapMm + Math.Abs(higher) + Math.Sqrt(p.AreaMm2) * slope / 4), own);
            else
                Near(p.Watts * PadKPerW(p, p.PadMm!.Value, Math.Max(0.02, p.GapMm + higher)), own);
        }
    }

    [Theory]
    [InlineData(0.2)]
    [InlineData(0.8)]
    public void Less_flow_and_air_in_the_fins_warm_the_land(double size)
    {
        double PerWatt(double q) => 0.03 + 0.06 * Math.Pow(q, -0.8);
        double HalfRise(double q) => (240 + 18) / (0.997 * 4180 * q / 60) / 2;
        foreach (var p in Bench.Parts)
        {
            var (c, land, own) = Bench.With(p, FaultKind.LowFlow, null, 0, size);
            Near(p.LandK * PerWatt(3 * size) / PerWatt(3), land);
            Assert.Equal(p.OwnK, own);
            var coolant = Bench.ExpectedC(p) - p.LandK - p.OwnK;
            Assert.Equal(coolant + HalfRise(3 * size) - HalfRise(3) + land + own, c, 1e-3);
            // four fifths of the land's rise lie over the fins
            Near(p.LandK * (0.2 + 0.8 / (1 - size)), Bench.With(p, FaultKind.Air, null, 0, size).LandK);
        }
    }
}
