using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Paste;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class SqueezeFlowTests
{
    private static readonly PasteMaterial Newton = new(null, 1e-3, 150, 2.5);

    [Fact]
    public void A_round_newtonian_blob_follows_the_squeeze_law()
    {
        // a disc of radius 5 mm and height 1 mm on a face of 40 mm that it never fills
        const double volume = Math.PI * 25 * 1,
            force = 60;
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, 40, 40),
            Newton,
            volume,
            p => p.Length <= 5,
            force,
            new(Cells: 128, WithYield: false, StopGapUm: 90)
        );
        var last = run.History[^1];
        double h0 = run.History[0].GapUm / 1000,
            h = last.GapUm / 1000;
        // h⁻⁴ − h₀⁻⁴ = 8πFt/(3µV²), µ in MPa·s
        var expected = (Math.Pow(h, -4) - Math.Pow(h0, -4)) * 3 * 150e-6 * volume * volume / (8 * Math.PI * force);
        Assert.Equal(1, last.TimeS / expected, 0.02);
    }

    [Fact]
    public void No_paste_is_lost_or_made()
    {
        var run = SqueezeFlow.Run(Sample.Rect(0, 0, 20, 16), Sample.Grey, 20, p => p.Length <= 3, 200);
        Assert.True(run.VolumeErrorShare < 1e-3, $"{run.VolumeErrorShare}");
        Assert.True(run.SpillMl > 0);
    }

    [Fact]
    public void Half_the_cell_changes_the_coverage_by_less_than_a_point()
    {
        double Coverage(int cells) =>
            SqueezeFlow
                .Run(
                    Sample.Rect(0, 0, 24, 22),
                    Sample.Grey,
                    14,
                    p => Math.Abs(p.X) < 8 && Math.Abs(p.Y) < 0.8,
                    200,
                    new(Cells: cells)
                )
                .Coverage;
        Assert.Equal(Coverage(48), Coverage(96), 0.01);
    }

    [Fact]
    public void A_small_dot_leaves_the_corners_bare_and_a_spread_does_not()
    {
        var face = Sample.Rect(0, 0, 24, 22);
        var dot = SqueezeFlow.Run(face, Sample.Grey, 13, p => p.Length <= 2.5, 200);
        var spread = SqueezeFlow.Run(face, Sample.Grey, 26, _ => true, 200);
        Assert.True(dot.Coverage < 0.9);
        Assert.Contains(dot.Bare, b => b.Where == "upper right");
        Assert.True(spread.Coverage > 0.999);
        Assert.Empty(spread.Bare);
    }

    [Fact]
    public void Yield_stress_stops_the_film_where_the_disc_carries_the_load()
    {
        // F = 2πτR³/(3h) with R from the volume: h = (2πτ/(3F))^(2/5)·(V/π)^(3/5)
        var stiff = Newton with
        {
            YieldPa = 4000,
            CUm = 0.5,
        };
        const double volume = 30,
            force = 20;
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, 60, 60),
            stiff,
            volume,
            p => p.Length <= 3,
            force,
            new(Cells: 128, MaxTimeS: 1e9)
        );
        var expected = Math.Pow(2 * Math.PI * 4000e-6 / (3 * force), 0.4) * Math.Pow(volume / Math.PI, 0.6);
        Assert.Equal(1, run.FinalGapUm / 1000 / expected, 0.05);
    }

    [Fact]
    public void A_tilted_plate_presses_more_paste_to_its_open_side()
    {
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, 20, 20),
            Sample.Grey,
            12,
            p => p.Length <= 3,
            200,
            new(TiltMmPerMm: new(0.004, 0))
        );
        double Wet(Func<int, int, bool> side) =>
            run.Film.Sum(row => row.Where((c, x) => c == '#' && side(x, row.Length)).Count());
        Assert.NotEqual(Wet((x, n) => x < n / 2), Wet((x, n) => x >= n / 2));
    }

    [Fact]
    public void It_can_be_stopped()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() =>
            SqueezeFlow.Run(Sample.Rect(0, 0, 20, 20), Sample.Grey, 12, _ => true, 200, cancel: stop.Token)
        );
    }

    [Fact]
    public void A_stopped_squeeze_stops_at_the_next_step()
    {
        using var stop = new CancellationTokenSource();
        var told = new List<double>();
        var amount = PasteAmount.For(576, Sample.Grey, 300, 0.3, 9.5);
        Assert.Throws<OperationCanceledException>(() =>
            SqueezeFlow.Run(
                Sample.Rect(0, 0, 24, 24),
                Sample.Grey,
                amount.VolumeMl * 1000,
                new PastePattern(PatternKind.Dot).Mask(amount, 1.5),
                300,
                new(48),
                new Told(v =>
                {
                    told.Add(v);
                    if (told.Count == 3)
                        stop.Cancel();
                }),
                stop.Token
            )
        );
        Assert.Equal(3, told.Count);
    }

    private sealed class Told(Action<double> act) : IProgress<double>
    {
        public void Report(double value) => act(value);
    }
}
