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

    [Theory]
    // ∇²φ = −1 on the face: F = 12µ·ḣ/h³·∬φ, and 4∬φ is the torsion constant of a bar of that section
    [InlineData(20, 20, 0.1406 / 4)]
    [InlineData(20, 10, 0.229 / 4)]
    public void A_full_rectangular_face_follows_the_torsion_of_its_section(double a, double b, double share)
    {
        const double force = 60,
            h0 = 0.2,
            h1 = 0.1;
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, a, b),
            Newton,
            a * b * h0,
            _ => true,
            force,
            new(Cells: 40, WithYield: false, StopGapUm: h1 * 1000, MaxTimeS: 1e9)
        );
        var expected = 12 * 150e-6 * share * a * b * b * b / (2 * force) * (1 / (h1 * h1) - 1 / (h0 * h0));
        Assert.Equal(1, run.TimeS / expected, 0.02);
        // what left is what the plate sank by
        Assert.Equal(a * b * (h0 - h1) / 1000, run.SpillMl, 0.005 * run.SpillMl);
        Assert.True(run.Coverage > 0.99);
    }

    [Fact]
    public void A_full_face_that_carries_its_load_by_yield_stops_where_the_distance_to_the_rim_says()
    {
        // over a square ∬d = L³/6: F = 2τ/h · L³/6
        var stiff = Newton with
        {
            YieldPa = 4000,
            CUm = 0.5,
        };
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, 20, 20),
            stiff,
            400 * 0.7,
            _ => true,
            20,
            new(Cells: 64, MaxTimeS: 1e9)
        );
        Assert.Equal(1, run.FinalGapUm / 1000 / (2 * 4000e-6 * 8000 / 6 / 20), 0.06);
    }

    [Fact]
    public void A_flowing_paste_ends_at_the_films_law()
    {
        var run = SqueezeFlow.Run(Sample.Rect(0, 0, 24, 22), Sample.Grey, 26, _ => true, 200, new(Cells: 24));
        Assert.Equal(1, run.FinalGapUm / Sample.Grey.BondLineUm(200.0 / (24 * 22)), 0.002);
        Assert.False(run.CutShort);
    }

    /// <summary>As laid: the plate is stopped before it moves.</summary>
    private static SqueezeResult Laid(
        Polygon face,
        double gap,
        Func<Point2, bool> mask,
        double laidMm2,
        Point2 tilt = default,
        double crown = 0
    ) =>
        SqueezeFlow.Run(
            face,
            Newton,
            laidMm2 * gap,
            mask,
            100,
            new(Cells: 24, TiltMmPerMm: tilt, StopGapUm: 1e6) { CrownMm = crown }
        );

    [Fact]
    public void Bare_ninths_are_named_with_their_share_and_the_film_is_drawn_row_by_row()
    {
        var left = Laid(Sample.Rect(5, -3, 24, 24), 0.1, p => p.X < 0, 288);
        Assert.Equal(0.5, left.Coverage, 9);
        Assert.Equal(["lower right", "right edge", "upper right"], left.Bare.Take(3).Select(b => b.Where).Order());
        Assert.All(left.Bare.Take(3), b => Assert.Equal(1 / 9.0, b.ShareOfFace, 9));
        Assert.Equal(["lower edge", "middle", "upper edge"], left.Bare.Skip(3).Select(b => b.Where).Order());
        Assert.All(left.Bare.Skip(3), b => Assert.Equal(1 / 18.0, b.ShareOfFace, 9));
        Assert.Equal(24, left.Film.Count);
        Assert.All(left.Film, row => Assert.Equal(new string('#', 12) + new string('.', 12), row));
        // rows from below: what lies low comes first
        var low = Laid(Sample.Rect(0, 0, 24, 24), 0.1, p => p.Y < 0, 288);
        Assert.Equal(new string('#', 24), low.Film[0]);
        Assert.Equal(new string('.', 24), low.Film[^1]);
        Assert.Equal(["upper edge", "upper left", "upper right"], low.Bare.Take(3).Select(b => b.Where).Order());
        Assert.Equal((1, 2, 0.0), (low.History.Count, low.Frames.Count, low.TimeS));
    }

    [Fact]
    public void Off_the_face_nothing_is_drawn_and_half_a_cell_is_half()
    {
        // half a cell of paste along the middle
        var run = Laid(Sample.Rect(0, 0, 24, 24), 0.1, p => p.X < 0.5, 24 * 12.5);
        Assert.All(run.Film, row => Assert.Equal(new string('#', 12) + "+" + new string('.', 11), row));
        var notched = new Polygon([new(0, 0), new(24, 0), new(24, 12), new(12, 12), new(12, 24), new(0, 24)]);
        Assert.Equal(new string('#', 12) + new string(' ', 12), Laid(notched, 0.1, _ => true, notched.Area).Film[^1]);
    }

    [Fact]
    public void A_tilt_and_a_crown_open_room_that_paste_as_laid_does_not_fill()
    {
        // 0.2 over a room of 0.2 to 0.4: the mean of 1/(1 + s) over s from 0 to 1
        var tilted = Laid(Sample.Rect(0, 0, 20, 20), 0.2, _ => true, 400, tilt: new(0.01, 0));
        Assert.Equal(Math.Log(2), tilted.Coverage, 0.02);
        // along y alike, and the lowest place touches as before
        Assert.Equal(
            tilted.Coverage,
            Laid(Sample.Rect(0, 0, 20, 20), 0.2, _ => true, 400, tilt: new(0, -0.01)).Coverage,
            9
        );
        var disc = new Polygon([
            .. Enumerable.Range(0, 96).Select(i => new Point2(10, 0).Turned(2 * Math.PI * i / 96)),
        ]);
        // at the rim of the disc the crown is told in full: again the mean of 1/(1 + r²/R²)
        Assert.Equal(Math.Log(2), Laid(disc, 0.1, _ => true, disc.Area, crown: 0.1).Coverage, 0.02);
    }

    [Theory]
    [InlineData(7, 0, "right edge")]
    [InlineData(-7, 0, "left edge")]
    [InlineData(0, 7, "upper edge")]
    [InlineData(0, -7, "lower edge")]
    public void Paste_laid_near_an_edge_goes_over_that_edge(double x, double y, string where)
    {
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, 20, 20),
            Sample.Grey,
            12,
            p => (p - new Point2(x, y)).Length <= 2.5,
            200,
            new(Cells: 24)
        );
        Assert.Equal(where, run.SpillEdges[0].Where);
        Assert.Equal(run.SpillMl, run.SpillEdges.Sum(e => e.Ml), 1e-6);
        Assert.True(run.SpillEdges[0].Ml > 0.5 * run.SpillMl);
        Assert.Equal(run.SpillEdges.OrderByDescending(e => e.Ml), run.SpillEdges);
        // the far side stays bare
        Assert.True(run.Bare.Count > 0);
    }

    [Fact]
    public void Paste_that_runs_into_a_notch_is_told_as_such()
    {
        var notched = new Polygon([new(0, 0), new(24, 0), new(24, 12), new(12, 12), new(12, 24), new(0, 24)]);
        var run = SqueezeFlow.Run(notched, Sample.Grey, 40, _ => true, 200, new(Cells: 24));
        Assert.Contains(run.SpillEdges, e => e.Where == "notch");
        Assert.True(run.VolumeErrorShare < 1e-3);
    }

    [Fact]
    public void A_mirrored_pattern_ends_as_the_mirrored_film()
    {
        SqueezeResult Of(double sign) =>
            SqueezeFlow.Run(
                Sample.Rect(0, 0, 24, 20),
                Sample.Grey,
                10,
                p => Math.Abs(sign * p.X - 4) < 3 && Math.Abs(p.Y - 2) < 1,
                150,
                new(Cells: 24)
            );
        var (one, other) = (Of(1), Of(-1));
        Assert.Equal(one.Coverage, other.Coverage, 1e-3);
        Assert.Equal(1, one.TimeS / other.TimeS, 0.01);
        Assert.Equal(one.SpillMl, other.SpillMl, 1e-4);
        var differ = one.Film.Zip(other.Film).Sum(r => r.First.Zip(r.Second.Reverse()).Count(c => c.First != c.Second));
        Assert.True(differ < 10, $"{differ} cells differ");
    }

    [Fact]
    public void It_stops_when_its_time_is_up_and_tells_the_way_there()
    {
        var told = new List<double>();
        var run = SqueezeFlow.Run(
            Sample.Rect(0, 0, 24, 22),
            Sample.Grey,
            40,
            _ => true,
            20,
            new(Cells: 24, MaxTimeS: 3),
            new Told(told.Add)
        );
        Assert.Equal(3, run.TimeS, 6);
        Assert.Equal(run.TimeS, run.History[^1].TimeS, 6);
        Assert.True(run.FinalGapUm > 1.3 * Sample.Grey.BondLineUm(20.0 / (24 * 22)));
        foreach (var (a, b) in run.History.Zip(run.History.Skip(1)))
            Assert.True(b.TimeS > a.TimeS && b.GapUm < a.GapUm);
        foreach (var (a, b) in run.Frames.Zip(run.Frames.Skip(1)).SkipLast(1))
            Assert.True(b.GapUm < 0.88 * a.GapUm);
        Assert.Equal(told.Order(), told);
        Assert.InRange(told[^1], 0.01, 1);
        // a long way is told in eighty moments, from the first to the last
        var long_ = SqueezeFlow.Run(Sample.Rect(0, 0, 24, 22), Sample.Grey, 4000, _ => true, 200, new(Cells: 16));
        Assert.Equal(80, long_.History.Count);
        Assert.Equal((0, long_.FinalGapUm), (long_.History[0].TimeS, long_.History[^1].GapUm));
    }

    [Fact]
    public void A_pattern_beside_the_face_is_refused() =>
        Assert.Equal(
            "pattern",
            Assert
                .Throws<InputException>(() =>
                    SqueezeFlow.Run(Sample.Rect(0, 0, 20, 20), Sample.Grey, 12, p => p.X > 11, 200)
                )
                .Faults[0]
                .Field
        );

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
