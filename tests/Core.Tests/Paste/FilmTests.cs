using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Paste;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A film in cells of 1 mm: what each holds, conducts and how far it lies from the rim.</summary>
public class FilmTests
{
    private const double Gap = 0.1;

    private static FilmGrid Film(int columns, int rows, Func<Point2, bool> laid, SqueezeSettings? settings = null)
    {
        var face = Sample.Rect(0, 0, columns, rows);
        settings ??= new(Cells: Math.Max(columns, rows));
        // as much as makes the gap a tenth where the pattern lies
        var thin = new FilmGrid(face, 1, laid, settings).GapMm;
        return new(face, Gap / thin, laid, settings);
    }

    /// <summary>The cell at a column and row.</summary>
    private static int At(FilmGrid film, int x, int y) => y * film.Columns + x;

    private static double Cube(double v) => v * v * v;

    [Fact]
    public void A_pattern_fills_its_cells_by_sixteenths()
    {
        // edges at a quarter, a half and three quarters of a cell
        foreach (var quarters in new[] { 1, 2, 3 })
        {
            var film = Film(24, 12, p => p.X < quarters / 4.0);
            Assert.Equal((24, 12, 1.0), (film.Columns, film.Rows, film.CellMm));
            Assert.Equal(Gap, film.GapMm, 12);
            Assert.Equal(quarters / 4.0, film.Wet(At(film, 12, 5)), 12);
            Assert.Equal((12 + quarters / 4.0) / 24, film.Coverage(), 12);
            Assert.Equal(12 * 12, film.FullMm2(), 9);
            var up = Film(12, 24, p => p.Y < quarters / 4.0);
            Assert.Equal(quarters / 4.0, up.Wet(At(up, 5, 12)), 12);
        }
    }

    [Fact]
    public void A_narrow_face_has_four_square_cells_across_and_its_own_area()
    {
        foreach (var (w, d) in new[] { (40.0, 1.0), (1, 40) })
        {
            var film = new FilmGrid(Sample.Rect(0, 0, w, d), w * d * Gap, _ => true, new(Cells: 40));
            Assert.Equal((0.25, 4 * w, 4 * d), (film.CellMm, film.Columns, film.Rows));
            // as thick as what was laid over the face
            Assert.Equal(Gap, film.GapMm, 12);
            Assert.Equal(w * d, film.FullMm2(), 9);
        }
        Assert.Equal(0.5, new FilmGrid(Sample.Rect(0, 0, 20, 2), 4, _ => true, new(Cells: 40)).CellMm);
    }

    [Fact]
    public void Nearly_full_takes_part()
    {
        // tilted by so little that the far cells hold 97 % of their room, or not quite
        bool Last(double rise)
        {
            var film = Film(24, 24, _ => true, new(Cells: 24, TiltMmPerMm: new(rise / 23, 0)));
            return film.Full(At(film, 23, 3));
        }
        Assert.True(Last(Gap * (1 / 0.9701 - 1)));
        Assert.False(Last(Gap * (1 / 0.9699 - 1)));
    }

    [Fact]
    public void The_rim_lies_where_the_next_cell_ends()
    {
        var film = Film(9, 5, _ => true);
        var d = RimDistance.Compute(film);
        for (var y = 0; y < 5; y++)
        for (var x = 0; x < 9; x++)
            Assert.Equal(0.95509 * Math.Min(Math.Min(x, 8 - x), Math.Min(y, 4 - y)) + 0.95509, d[At(film, x, y)], 9);
    }

    [Fact]
    public void A_hole_in_the_film_is_a_rim_to_all_sides_alike()
    {
        var film = Film(11, 11, p => Math.Abs(p.X) > 0.5 || Math.Abs(p.Y) > 0.5);
        var d = RimDistance.Compute(film);
        Assert.Equal(0, d[At(film, 5, 5)]);
        foreach (var (x, y) in new[] { (1, 1), (-1, 1), (1, -1), (-1, -1) })
        {
            Assert.Equal(0.95509, d[At(film, 5 + x, 5)], 9);
            Assert.Equal(0.95509, d[At(film, 5, 5 + y)], 9);
            Assert.Equal(1.36930, d[At(film, 5 + x, 5 + y)], 9);
            Assert.Equal(1.36930 + 0.95509, d[At(film, 5 + 2 * x, 5 + y)], 9);
            Assert.Equal(1.36930 + 0.95509, d[At(film, 5 + x, 5 + 2 * y)], 9);
            Assert.Equal(2 * 1.36930, d[At(film, 5 + 2 * x, 5 + 2 * y)], 9);
        }
        // twice as coarse, twice as far
        var coarse = RimDistance.Compute(new(Sample.Rect(0, 0, 22, 22), 40, _ => true, new(Cells: 11)));
        Assert.Equal(2 * 6 * 0.95509, coarse[5 * 11 + 5], 9);
    }

    [Fact]
    public void Between_full_cells_the_cube_of_the_mean_gap_conducts_and_the_edge_is_half_a_cell_away()
    {
        var film = Film(24, 24, _ => true, new(Cells: 24, TiltMmPerMm: new(0.0001, 0)));
        var pressure = new FilmPressure(film, 100);
        var i = At(film, 10, 10);
        var gap = film.GapAt(i);
        Assert.Equal(Cube(gap + 0.00005), pressure.Conductance(i, i + 1, out var open), 15);
        Assert.False(open);
        Assert.Equal(Cube(gap - 0.00005), pressure.Conductance(i, i - 1, out _), 15);
        Assert.Equal(Cube(gap), pressure.Conductance(i, i + 24, out _), 15);
        Assert.Equal(2 * Cube(film.GapAt(5)), pressure.Conductance(5, -1, out open), 15);
        Assert.True(open);
    }

    [Theory]
    // cells past column 11 as quarters full; what the rim lies beyond it
    [InlineData("0", 0)]
    [InlineData("2", 0.5)]
    [InlineData("1", 0.25)]
    [InlineData("2 1", 0.75)]
    [InlineData("2 1 3", 1.5)]
    // three cells are looked at
    [InlineData("2 1 3 2", 1.5)]
    // an empty cell or a full one ends it
    [InlineData("2 0 3", 0.5)]
    [InlineData("2 4 3", 0.5)]
    public void The_rim_lies_past_a_full_cell_by_the_fills_of_its_row(string fills, double beyond)
    {
        var quarters = fills.Split(' ').Select(int.Parse).ToArray();
        bool Laid(double v)
        {
            var cell = (int)Math.Floor(v);
            return cell < 0 || cell < quarters.Length && v - cell < quarters[cell] / 4.0;
        }
        // to each of the four sides
        foreach (
            var (side, step, cell) in new (Func<Point2, double>, int, int)[]
            {
                (p => p.X, 1, 11),
                (p => -p.X, -1, 12),
                (p => p.Y, 24, 11),
                (p => -p.Y, -24, 12),
            }
        )
        {
            var film = Film(24, 24, p => Laid(side(p)));
            var i = Math.Abs(step) == 1 ? At(film, cell, 10) : At(film, 10, cell);
            Assert.True(film.Full(i));
            var c = new FilmPressure(film, 100).Conductance(i, i + step, out var open);
            Assert.True(open);
            Assert.Equal(Cube(Gap) / (0.5 + beyond), c, 15);
        }
    }

    [Fact]
    public void A_row_does_not_go_on_in_the_next_and_a_film_not_past_its_face()
    {
        // the last column half full, the first columns of the next row too
        var film = Film(24, 24, p => p.X is > -11.5 and < 11.5);
        var pressure = new FilmPressure(film, 100);
        Assert.Equal(Cube(Gap), pressure.Conductance(At(film, 22, 5), At(film, 23, 5), out _), 15);
        Assert.Equal(Cube(Gap), pressure.Conductance(At(film, 1, 5), At(film, 0, 5), out _), 15);
        var up = Film(24, 24, p => p.Y is > -11.5 and < 11.5);
        pressure = new(up, 100);
        Assert.Equal(Cube(Gap), pressure.Conductance(At(up, 5, 22), At(up, 5, 23), out _), 15);
        Assert.Equal(Cube(Gap), pressure.Conductance(At(up, 5, 1), At(up, 5, 0), out _), 15);
        // the face ends in a notch
        var notched = new Polygon([new(0, 0), new(24, 0), new(24, 12), new(12, 12), new(12, 24), new(0, 24)]);
        var cut = new FilmGrid(notched, notched.Area * Gap, _ => true, new(Cells: 24));
        Assert.Equal(
            2 * Cube(Gap),
            new FilmPressure(cut, 100).Conductance(At(cut, 11, 20), At(cut, 12, 20), out _),
            15
        );
    }

    [Fact]
    public void Between_two_open_sides_the_pressure_is_a_parabola()
    {
        // a long strip: h³/12µ·p'' = −1, so p = 6µ(b²/4 − y²)/h³, its load b³·a·µ/h³
        const double b = 20;
        var film = new FilmGrid(Sample.Rect(0, 0, 400, b), 400 * b * Gap, _ => true, new(Cells: 400));
        var pressure = new FilmPressure(film, 150);
        var load = pressure.Solve(0.04 * Gap, long.MaxValue);
        for (var y = 0; y < 20; y++)
            Assert.Equal(
                6 * 150e-6 * (b * b / 4 - Math.Pow(y + 0.5 - 10, 2)) / Cube(Gap),
                pressure.MPa[At(film, 200, y)],
                0.005 * 6 * 150e-6 * 100 / Cube(Gap)
            );
        // the short ends carry less: 1 − 0.630·b/a
        Assert.Equal(1, load / (150e-6 * b * b * b * 400 / Cube(Gap) * (1 - 0.630 * b / 400)), 0.007);
        Assert.True(pressure.Work > 0);
        // asked again for the same film it starts at the answer, and a narrower gap at the cube
        var before = pressure.Work;
        pressure.Solve(0.04 * Gap, long.MaxValue);
        Assert.Equal(film.Count, pressure.Work - before);
        film.GapMm /= 2;
        for (var i = 0; i < film.Count; i++)
            film.Volume[i] /= 2;
        before = pressure.Work;
        var narrow = pressure.Solve(0.02 * Gap, long.MaxValue);
        Assert.Equal(film.Count, pressure.Work - before);
        Assert.Equal(8, narrow / load, 3);
    }

    [Fact]
    public void Work_is_bounded_and_an_empty_film_carries_nothing()
    {
        var film = Film(24, 24, _ => true);
        var pressure = new FilmPressure(film, 100);
        pressure.Solve(0.004, 3 * film.Count);
        Assert.Equal(4 * film.Count, pressure.Work);
        var dry = Film(24, 24, _ => true);
        Array.Clear(dry.Volume);
        Assert.Equal(0, new FilmPressure(dry, 100).Solve(0.004, long.MaxValue));
    }

    [Fact]
    public void A_coarse_frame_shows_the_middle_cell_of_each_few()
    {
        // 100 cells by threes: columns 1, 4, 7, …; the last is 99
        var film = Film(100, 50, p => p.X < -50 + 5 || p.Y < -25 + 2);
        var frame = FilmLook.Frame(film, 7);
        Assert.Equal((7, Gap * 1000), (frame.TimeS, Math.Round(frame.GapUm, 9)));
        Assert.Equal(film.Coverage(), frame.Coverage);
        Assert.Equal(17, frame.Rows.Count);
        Assert.Equal(new string('#', 34), frame.Rows[0]);
        Assert.All(frame.Rows.Skip(1), r => Assert.Equal("##" + new string('.', 32), r));
        // up to 48 cells are shown one by one
        Assert.Equal(48, FilmLook.Frame(Film(48, 48, _ => true), 0).Rows[0].Length);
        Assert.Equal(25, FilmLook.Frame(Film(49, 49, _ => true), 0).Rows[0].Length);
    }

    [Theory]
    [InlineData(1, '+')]
    [InlineData(2, '+')]
    [InlineData(4, '#')]
    [InlineData(0, '.')]
    public void A_cell_partly_wet_is_told_as_such(int quarters, char sign)
    {
        var film = Film(24, 24, p => p.X < quarters / 4.0);
        Assert.Equal(sign, FilmLook.Rows(film)[3][12]);
    }

    [Fact]
    public void Bare_spots_too_small_to_matter_are_not_told()
    {
        // one cell of 2,304 is 0.04 %, two are not
        bool Bare(int cells) =>
            FilmLook.Bare(Film(48, 48, p => p.X < -24 + 48 - cells || p.Y < 23)).Any(b => b.Where == "upper right");
        Assert.False(Bare(1));
        Assert.True(Bare(2));
    }

    [Fact]
    public void What_goes_over_a_side_is_told_by_that_side_and_else_as_a_notch()
    {
        var film = Film(24, 12, _ => true);
        foreach (
            var (side, cell, name) in new[]
            {
                (0, At(film, 0, 5), "left edge"),
                (1, At(film, 23, 5), "right edge"),
                (2, At(film, 7, 0), "lower edge"),
                (3, At(film, 7, 11), "upper edge"),
                (0, At(film, 1, 5), "notch"),
                (1, At(film, 22, 5), "notch"),
                (2, At(film, 7, 1), "notch"),
                (3, At(film, 7, 10), "notch"),
            }
        )
        {
            var spill = new SpillTally(film);
            Assert.Empty(spill.Edges);
            spill.Add(2, cell, side);
            spill.Add(1, cell, side);
            Assert.Equal(3, spill.TotalMm3);
            Assert.Equal(new SpillEdge(name, 0.003), Assert.Single(spill.Edges));
        }
        var both = new SpillTally(film);
        both.Add(1, At(film, 0, 5), 0);
        both.Add(2, At(film, 23, 5), 1);
        both.Add(5e-5, At(film, 7, 0), 2);
        Assert.Equal(["right edge", "left edge"], both.Edges.Select(e => e.Where));
    }

    [Fact]
    public void A_thread_has_no_film_and_a_face_just_wide_enough_has()
    {
        FilmGrid Of(double width, double depth) => new(Sample.Rect(0, 0, width, depth), 1, _ => true, new());
        Assert.Equal((1024, 4), (Of(256, 1).Columns, Of(256, 1).Rows));
        Assert.Equal((4, 1024), (Of(1, 256).Columns, Of(1, 256).Rows));
        var e = Assert.Throws<InputException>(() => Of(1000, 0.001));
        Assert.Equal("surface", e.Faults[0].Field);
        Assert.StartsWith(
            "The face is 1000 × 0.001 mm, over 256 times as long as wide",
            e.Faults[0].Message,
            StringComparison.Ordinal
        );
        Assert.Throws<InputException>(() => Of(1, 257));
    }
}
