using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads.Seating;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Contacts by their derivatives, balances by their forces and moments, stiff and bending.</summary>
public class PlateTests
{
    private static readonly QuadraturePoint[] One = [new(0, 0, 1)];

    /// <summary>The slope told against the force a little higher and lower.</summary>
    private static void Slopes(Contact c, params double[] heights)
    {
        foreach (var h in heights)
        {
            var (_, slope) = c.At(h);
            var numeric = (c.At(h + 1e-6).Force - c.At(h - 1e-6).Force) / 2e-6;
            Assert.Equal(numeric, slope, 1e-4 * Math.Max(1, Math.Abs(numeric)));
            Assert.True(slope <= 0);
        }
    }

    [Fact]
    public void A_film_presses_by_its_law_and_closes_at_its_floor()
    {
        var film = new PasteFilm(One, -2.1, Sample.Grey);
        Assert.Equal(2.1, film.FloorMm);
        Assert.Equal(0.05, film.FilmMm(2.15), 12);
        Assert.Equal(Sample.Grey.PressureMPa(50), film.At(2.15).Force, 9);
        Slopes(film, 2.13, 2.15, 2.2);
    }

    [Fact]
    public void A_pad_presses_by_its_curve_once_it_is_touched()
    {
        var pad = new SqueezedPad(One, -1.43, 1, new([new(0, 0), new(0.2, 0.1), new(0.5, 0.6)]));
        // a gap of 0.7
        Assert.Equal(0.3, pad.Squash(2.13), 12);
        Slopes(pad, 2.0, 2.13, 2.3);
        Assert.Equal((0, 0), pad.At(2.5));
        Assert.Equal(double.NegativeInfinity, pad.FloorMm);
    }

    [Fact]
    public void A_spring_pulls_by_what_it_is_squeezed_and_never_pushes()
    {
        var spring = new SpringScrew(new(3, 4), 2.1, 75, 1.2);
        Assert.Equal((-75 * 1.25, -75), (Math.Round(spring.At(2.15).Force, 9), spring.At(2.15).Slope));
        Assert.Equal((0, 0), spring.At(0.9));
        Assert.Equal((0, 0), spring.At(0.8));
        Assert.Equal(new QuadraturePoint(3, 4, 1), spring.Points.Single());
    }

    [Fact]
    public void A_stop_holds_from_one_side()
    {
        var above = new StiffStop(default, 2);
        var below = new StiffStop(default, 2, fromBelow: true);
        Assert.Equal(-100, above.At(2.001).Force, 6);
        Assert.Equal(-1e5, above.At(2.001).Slope);
        Assert.Equal((0, 0), above.At(1.999));
        Assert.Equal(100, below.At(1.999).Force, 6);
        Assert.Equal((0, 0), below.At(2.001));
        Assert.Equal((0, 0), below.At(2));
        Assert.Equal((0, 0), above.At(2));
    }

    [Fact]
    public void A_pose_is_a_plane_and_its_turns_are_right_handed()
    {
        var pose = new PlatePose(2, 0.01, -0.02);
        Assert.Equal(2 + 0.03 + 0.08, pose.At(3, -4), 12);
        Assert.Equal(pose.At(3, -4), pose.At(new Point2(3, -4)));
        // rising along x is a turn about −y, falling along y one about −x
        Assert.Equal(-Math.Atan(0.02) * 180 / Math.PI, pose.TiltDeg.X, 12);
        Assert.Equal(-Math.Atan(0.01) * 180 / Math.PI, pose.TiltDeg.Y, 12);
    }

    private static List<Contact> Drawn(NormalDraws d)
    {
        Point2 Anywhere() => new(80 * d.Uniform() - 40, 60 * d.Uniform() - 30);
        List<Contact> list =
        [
            new PasteFilm([.. Quadrature.Rectangle(new(4 * d.Next(), 4 * d.Next()), 20, 18, 0, 4)], -2.1, Sample.Grey),
        ];
        for (var k = 0; k < 5; k++)
            list.Add(
                new SqueezedPad(
                    [.. Quadrature.Rectangle(Anywhere(), 14, 12, 90 * d.Uniform(), 3)],
                    -1.4 - 0.2 * d.Uniform(),
                    0.8 + 0.6 * d.Uniform(),
                    new([new(0, 0), new(0.3, 0.1 + 0.2 * d.Uniform()), new(0.5, 0.8)])
                )
            );
        foreach (var p in Sample.Corners(29))
            list.Add(new SpringScrew(p, 2.1, 40 + 60 * d.Uniform(), 0.8 + 0.8 * d.Uniform()));
        return list;
    }

    [Fact]
    public void At_rest_forces_and_moments_are_nothing_from_wherever_it_begins()
    {
        var d = new NormalDraws(41);
        for (var k = 0; k < 60; k++)
        {
            var contacts = Drawn(d);
            var pose = PlateBalance.Solve(contacts, new(2 + d.Uniform(), 0.01 * d.Next(), 0.01 * d.Next()));
            double force = 0,
                x = 0,
                y = 0,
                pull = 0;
            foreach (var c in contacts)
            foreach (var q in c.Points)
            {
                var f = c.At(pose.At(q.X, q.Y)).Force * q.WeightMm2;
                (force, x, y) = (force + f, x + f * q.X, y + f * q.Y);
                pull -= Math.Min(0, f);
            }
            Assert.True(pull > 50);
            Assert.Equal(0, force, 2e-6);
            Assert.Equal(0, x, 1e-4);
            Assert.Equal(0, y, 1e-4);
            // every film is open
            Assert.All(contacts[0].Points, q => Assert.True(pose.At(q.X, q.Y) > 2.1));
        }
    }

    [Fact]
    public void Nothing_to_rest_on_and_nothing_that_pulls_are_told()
    {
        string Told(params Contact[] contacts) =>
            Assert.Throws<InputException>(() => PlateBalance.Solve(contacts, new(2.2, 0, 0))).Faults[0].Message;
        Assert.StartsWith("Nothing pulls the plate down", Told(new Weight(-10)), StringComparison.Ordinal);
        // springs alone pull until they are slack, and there the plate rests
        var spring = new SpringScrew(default, 2.1, 75, 1.2);
        Assert.True(PlateBalance.Solve([spring], new(2.2, 0, 0)).ZMm <= 0.9 + 1e-6);
    }

    [Fact]
    public void Where_thousands_of_newtons_meet_it_comes_to_rest_as_soon_as_where_hundreds_do()
    {
        // stiff screws pull the plate into the die: a film that carries 40 kN
        List<Contact> Clamped(double down) =>
            [
                new Counted(new PasteFilm([.. Quadrature.Rectangle(default, 24, 22, 0, 12)], -2.1, Sample.Grey)),
                .. Sample.Corners(29).Select(p => new Counted(new StiffStop(p, down))),
            ];
        double Sweeps(double down)
        {
            var contacts = Clamped(down);
            var pose = PlateBalance.Solve(contacts, new(2.15, 0, 0));
            var sweeps = contacts.Cast<Counted>().Sum(c => c.Asked) / (double)contacts.Sum(c => c.Points.Count);
            var film = contacts[0];
            Assert.Equal(0, contacts.Sum(c => c.Points.Sum(q => c.At(pose.At(q.X, q.Y)).Force * q.WeightMm2)), 1e-6);
            Assert.True(
                film.Points.Sum(q => film.At(pose.At(q.X, q.Y)).Force * q.WeightMm2) > (down < 2.1 ? 20_000 : 0)
            );
            return sweeps;
        }
        var (light, heavy) = (Sweeps(2.12), Sweeps(2.01));
        Assert.True(heavy <= light + 40, $"{heavy} sweeps against {light}");
    }

    private sealed class Counted(Contact of) : Contact(of.Points)
    {
        public long Asked { get; private set; }

        public override double FloorMm => of.FloorMm;

        public override (double Force, double Slope) At(double heightMm)
        {
            Asked++;
            return of.At(heightMm);
        }
    }

    private sealed class Weight(double n) : Contact([new(5, 0, 1)])
    {
        public override (double Force, double Slope) At(double heightMm) => (n, 0);
    }

    private static readonly PlatePose Start = new(2.15, 0, 0);

    [Fact]
    public void On_a_board_that_hardly_gives_the_balance_is_the_stiff_boards()
    {
        var d = new NormalDraws(42);
        for (var k = 0; k < 10; k++)
        {
            // every contact as one patch on either board
            List<Contact> contacts = [.. Drawn(d).Select(c => new Patch(c))];
            var stiff = PlateBalance.Solve(contacts, Start);
            var bent = new ElasticSeating(contacts, new double[contacts.Count, contacts.Count]).Solve(stiff);
            Assert.Equal(stiff.ZMm, bent.Pose.ZMm, 1e-4);
            Assert.Equal(stiff.SlopeX, bent.Pose.SlopeX, 1e-6);
            Assert.Equal(stiff.SlopeY, bent.Pose.SlopeY, 1e-6);
            Assert.All(bent.Deflection, w => Assert.True(Math.Abs(w) < 1e-4));
        }
    }

    [Fact]
    public void On_a_bending_board_every_deflection_is_what_the_forces_make_it()
    {
        var d = new NormalDraws(43);
        for (var k = 0; k < 20; k++)
        {
            List<Contact> contacts = [.. Drawn(d).Select(c => new Patch(c))];
            var n = contacts.Count;
            // a symmetric positive compliance: a sum of squares
            var root = new double[n, n];
            for (var i = 0; i < n; i++)
            for (var j = 0; j < n; j++)
                root[i, j] = 0.003 * d.Next();
            var c = new double[n, n];
            for (var i = 0; i < n; i++)
            for (var j = 0; j < n; j++)
            for (var m = 0; m < n; m++)
                c[i, j] += root[i, m] * root[j, m];
            double[] pushed = [.. Enumerable.Range(0, n).Select(_ => 0.02 * d.Next())];
            var bent = new ElasticSeating(contacts, c, pushed).Solve(PlateBalance.Solve(contacts, Start));
            double[] force =
            [
                .. contacts.Select(
                    (x, i) =>
                        x.At(bent.Pose.At(ElasticSeating.Middle(x)) - bent.Deflection[i]).Force
                        * x.Points.Sum(q => q.WeightMm2)
                ),
            ];
            double sum = 0,
                mx = 0,
                my = 0;
            for (var i = 0; i < n; i++)
            {
                // the plate is pushed up, the board down
                var expected = pushed[i] - Enumerable.Range(0, n).Sum(j => c[i, j] * force[j]);
                Assert.Equal(expected, bent.Deflection[i], 1e-4);
                var at = ElasticSeating.Middle(contacts[i]);
                (sum, mx, my) = (sum + force[i], mx + force[i] * at.X, my + force[i] * at.Y);
            }
            Assert.Equal(0, sum, 1e-3);
            Assert.Equal(0, mx, 0.05);
            Assert.Equal(0, my, 0.05);
        }
    }

    /// <summary>A contact that acts in its middle alone.</summary>
    private sealed class Patch(Contact of)
        : Contact([new(ElasticSeating.Middle(of).X, ElasticSeating.Middle(of).Y, of.Points.Sum(q => q.WeightMm2))])
    {
        public override double FloorMm => of.FloorMm;

        public override (double Force, double Slope) At(double heightMm) => of.At(heightMm);
    }

    [Fact]
    public void A_patch_is_as_large_as_its_points_and_four_millimetres_at_least()
    {
        var pad = new SqueezedPad([new(1, 2, 3), new(11, 8, 1)], 0, 1, new([new(0, 0), new(0.5, 0.5)]));
        Assert.Equal(new Point2(3.5, 3.5), ElasticSeating.Middle(pad));
        var patch = ElasticSeating.Patch(pad);
        Assert.Equal((3.5, 3.5, 10, 6, 1), (patch.X, patch.Y, patch.WidthMm, patch.DepthMm, patch.ForceN));
        patch = ElasticSeating.Patch(new StiffStop(new(7, 8), 2));
        Assert.Equal((7, 8, 4, 4), (patch.X, patch.Y, patch.WidthMm, patch.DepthMm));
    }

    [Fact]
    public void The_nearest_plane_is_the_plane_itself_and_of_points_in_a_line_their_mean()
    {
        Point2[] at = [new(0, 0), new(10, 0), new(0, 8), new(7, 5), new(-4, 2)];
        var plane = LeastSquaresPlane.Fit([.. at.Select(p => (p, 2 + 0.1 * p.X - 0.05 * p.Y))]);
        Assert.Equal(
            (2, 0.1, -0.05),
            (Math.Round(plane.ZMm, 9), Math.Round(plane.SlopeX, 9), Math.Round(plane.SlopeY, 9))
        );
        // one point off: what is left hangs on neither place nor direction
        double[] mm = [2, 3.1, 1.4, 2.6, 1.2];
        plane = LeastSquaresPlane.Fit([.. at.Select((p, i) => (p, mm[i]))]);
        double[] rest = [.. at.Select((p, i) => mm[i] - plane.At(p))];
        Assert.Equal(0, rest.Sum(), 1e-9);
        Assert.Equal(0, rest.Zip(at, (r, p) => r * p.X).Sum(), 1e-9);
        Assert.Equal(0, rest.Zip(at, (r, p) => r * p.Y).Sum(), 1e-9);
        var level = LeastSquaresPlane.Fit([(new(0, 0), 1), (new(0, 0), 3)]);
        Assert.Equal((2, 0, 0), (level.ZMm, level.SlopeX, level.SlopeY));
    }
}
