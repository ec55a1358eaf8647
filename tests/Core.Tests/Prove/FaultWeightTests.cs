using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Chances of faults against the whole covariance, written out and factored.</summary>
public class FaultWeightTests
{
    private static FaultBench Bench => FaultTests.Whole;

    private static double Expected(string part) => Bench.ExpectedC(Bench.Parts.Single(p => p.Id == part));

    private static List<SensorReading> Each(Func<string, double> over, double sigma = 0.5) =>
        [.. Bench.Parts.Select(p => new SensorReading([p.Id], SensorKind.Mean, Expected(p.Id) + over(p.Id), sigma))];

    /// <summary>Log density of residuals under a covariance, by Cholesky's factor.</summary>
    private static double LogNormal(double[] r, double[,] cov)
    {
        var n = r.Length;
        var l = new double[n, n];
        double log = 0,
            chi = 0;
        var y = new double[n];
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = cov[i, j];
                for (var k = 0; k < j; k++)
                    sum -= l[i, k] * l[j, k];
                l[i, j] = i == j ? Math.Sqrt(sum) : sum / l[j, j];
            }
            y[i] = r[i];
            for (var k = 0; k < i; k++)
                y[i] -= l[i, k] * y[k];
            y[i] /= l[i, i];
            chi += y[i] * y[i];
            log += 2 * Math.Log(l[i, i]);
        }
        return -0.5 * (chi + log + n * Math.Log(2 * Math.PI));
    }

    /// <summary>
    /// Of all readings, the whole covariance over the parts: curve in common, paste and pads each in common, the rest each part's own.
    /// A hottest sensor shows the part that is far the hottest.
    /// </summary>
    private static double Log(List<SensorReading> readings, FaultKind kind, string? at, double size)
    {
        var parts = Bench.Parts.Select(p => (p.Id, p.IsDie, With: Bench.With(p, kind, at, 0, size))).ToList();
        double Cov(int i, int j)
        {
            var ((idI, dieI, a), (idJ, dieJ, b)) = (parts[i], parts[j]);
            var cov = 0.05 * a.LandK * 0.05 * b.LandK;
            if (dieI == dieJ)
                cov += 0.12 * a.OwnK * 0.12 * b.OwnK / 2;
            return idI != idJ ? cov : cov + Math.Pow(0.12 * a.OwnK, 2) / 2 + Math.Pow(0.03 * a.LandK, 2);
        }
        double[] Weights(SensorReading s)
        {
            var hottest = parts.Where(p => s.Parts.Contains(p.Id)).MaxBy(p => p.With.C).Id;
            return
            [
                .. parts.Select(p =>
                    !s.Parts.Contains(p.Id) ? 0
                    : s.Kind == SensorKind.Mean ? 1.0 / s.Parts.Count
                    : p.Id == hottest ? 1
                    : 0
                ),
            ];
        }
        var weights = readings.ConvertAll(Weights);
        var n = readings.Count;
        var whole = new double[n, n];
        for (var i = 0; i < n; i++)
        for (var j = 0; j < n; j++)
        for (var a = 0; a < parts.Count; a++)
        for (var b = 0; b < parts.Count; b++)
            whole[i, j] +=
                weights[i][a] * weights[j][b] * Cov(a, b)
                + (i == j && a == 0 && b == 0 ? Math.Pow(readings[i].SigmaK, 2) : 0);
        return LogNormal(
            [.. readings.Select((s, i) => s.C - parts.Select((p, a) => weights[i][a] * p.With.C).Sum())],
            whole
        );
    }

    [Fact]
    public void A_chance_is_prior_times_density_over_all_places()
    {
        var readings = Each(p =>
            p == "M3" ? 4
            : p == "U1" ? 1.5
            : 0.4
        );
        FaultPrior[] priors =
        [
            new(FaultKind.None, 0.7, 0, 0, ""),
            new(FaultKind.FilmLeft, 0.2, 0.07, 0.07, "mm of film"),
            new(FaultKind.PadMissing, 0.06, 1, 1, ""),
            new(FaultKind.PumpOut, 0.04, 0.8, 0.8, "times more"),
        ];
        string[] chips = [.. Bench.Parts.Where(p => !p.IsDie).Select(p => p.Id)];
        List<(FaultKind Kind, string? At, double Weight)> all =
        [
            (FaultKind.None, null, 0.7 * Math.Exp(Log(readings, FaultKind.None, null, 0))),
            .. chips.Select(c =>
                (FaultKind.FilmLeft, (string?)c, 0.2 / 6 * Math.Exp(Log(readings, FaultKind.FilmLeft, c, 0.07)))
            ),
            .. chips.Select(c =>
                (FaultKind.PadMissing, (string?)c, 0.06 / 6 * Math.Exp(Log(readings, FaultKind.PadMissing, c, 1)))
            ),
            (FaultKind.PumpOut, "U1", 0.04 * Math.Exp(Log(readings, FaultKind.PumpOut, "U1", 0.8))),
        ];
        var total = all.Sum(a => a.Weight);
        var told = FaultFinder.Find(Bench, readings, priors).Hypotheses;
        Assert.Equal(14, told.Count);
        Assert.Equal(told.OrderByDescending(h => h.Probability), told);
        foreach (var h in told)
        {
            var (_, _, weight) = all.Single(a =>
                a.Kind == h.Kind && (a.At is null ? h.Parts.Count == 0 : h.Parts is [var p] && p == a.At)
            );
            Assert.Equal(weight / total, h.Probability, 1e-9);
        }
    }

    /// <summary>Sensors over several parts, one part under two of them.</summary>
    private static List<SensorReading> Several(SensorKind kind) =>
        [
            new(["U1"], SensorKind.Mean, Expected("U1") + 1, 0.5),
            new(["M1", "M2", "M3"], kind, Expected("M3") + 5, 0.7),
            new(["M3", "M4"], SensorKind.Mean, Expected("M3") + 2, 0.4),
        ];

    [Theory]
    [InlineData(SensorKind.Mean, 1e-9)]
    [InlineData(SensorKind.Max, 1e-3)]
    public void A_sensor_over_several_parts_shows_their_mean_or_their_hottest(SensorKind kind, double within)
    {
        var readings = Several(kind);
        FaultPrior[] priors =
        [
            new(FaultKind.FilmLeft, 0.6, 0.3, 0.3, "mm of film"),
            new(FaultKind.PadMissing, 0.4, 1, 1, ""),
        ];
        double Of(FaultKind fault, double prior, double size, params string[] at) =>
            at.Sum(c => prior / 4 * Math.Exp(Log(readings, fault, c, size)));
        var r = FaultFinder.Find(Bench, readings, priors);
        // M1 and M2 that no sensor tells apart are one line, M3 that another reads as well is not among them
        double film = Of(FaultKind.FilmLeft, 0.6, 0.3, "M1", "M2"),
            all =
                Of(FaultKind.FilmLeft, 0.6, 0.3, "M1", "M2", "M3", "M4")
                + Of(FaultKind.PadMissing, 0.4, 1, "M1", "M2", "M3", "M4");
        var told = r.Hypotheses.Single(h => h.Kind == FaultKind.FilmLeft && h.Parts.Contains("M1"));
        Assert.Equal(["M1", "M2"], told.Parts.Order());
        Assert.Equal(film / all, told.Probability, within);
        double[] three = [Expected("M1"), Expected("M2"), Expected("M3")];
        Assert.Equal(kind == SensorKind.Max ? three.Max() : three.Average(), r.Expected[1].C, 9);
    }

    [Theory]
    [InlineData(-0.5)]
    [InlineData(0.5)]
    [InlineData(1.5)]
    public void The_hottest_of_several_alike_is_hotter_than_each(double over)
    {
        string[] chips = ["M1", "M2", "M3", "M4", "M5", "M6"];
        List<SensorReading> readings = [new(chips, SensorKind.Max, chips.Max(Expected) + over, 0.6)];
        FaultPrior[] priors = [new(FaultKind.None, 0.5, 0, 0, ""), new(FaultKind.PadMissing, 0.5, 1, 1, "")];
        // beside it a film that is far the hottest, whose density is plain
        FaultPrior[] film = [priors[0], new(FaultKind.FilmLeft, 0.5, 0.06, 0.06, "mm of film")];
        var r = FaultFinder.Find(Bench, readings, film).Hypotheses;
        var told =
            r.Single(h => h.Kind == FaultKind.None).Probability
            / r.Single(h => h.Kind == FaultKind.FilmLeft).Probability;
        var parts = chips
            .Select(c => Bench.With(Bench.Parts.Single(p => p.Id == c), FaultKind.None, null, 0, 0))
            .ToList();
        double Normal(double z) => MathNet.Numerics.Distributions.Normal.CDF(0, 1, z);
        double Phi(double z) => MathNet.Numerics.Distributions.Normal.PDF(0, 1, z);
        // by levels of what is in common, and by where the hottest is
        double none = 0;
        const int levels = 15;
        double Level(int i) => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, (i + 0.5) / levels);
        for (var g = 0; g < levels; g++)
        for (var a = 0; a < levels; a++)
        for (var m = -40; m <= 40; m++)
        {
            var (at, all, rate) = (readings[0].C + 0.06 * m, 1.0, 0.0);
            foreach (var (c, land, own) in parts)
            {
                var sd = Math.Sqrt(Math.Pow(0.12 * own, 2) / 2 + Math.Pow(0.03 * land, 2));
                var z = (at - c - 0.05 * land * Level(g) - 0.12 * Math.Sqrt(0.5) * own * Level(a)) / sd;
                var below = Math.Max(1e-30, Normal(z));
                (all, rate) = (all * below, rate + Phi(z) / sd / below);
            }
            none += all * rate * Phi(0.1 * m) / 0.6 * 0.06 / levels / levels;
        }
        var hot = chips.Average(c => Math.Exp(Log(readings, FaultKind.FilmLeft, c, 0.06)));
        Assert.Equal(1, told / (none / hot), 0.08);
    }

    [Fact]
    public void A_size_is_averaged_over_its_range_and_its_likeliest_told()
    {
        var readings = Each(p => p == "M3" ? 6 : 0);
        FaultPrior[] priors =
        [
            new(FaultKind.None, 0.5, 0, 0, ""),
            new(FaultKind.FilmLeft, 0.5, 0.03, 0.12, "mm of film"),
        ];
        double weight = 0,
            mean = 0;
        const int steps = 4000;
        for (var i = 0; i < steps; i++)
        {
            var size = 0.03 + 0.09 * (i + 0.5) / steps;
            var w = Math.Exp(Log(readings, FaultKind.FilmLeft, "M3", size)) / steps;
            (weight, mean) = (weight + w, mean + w * size);
        }
        var r = FaultFinder.Find(Bench, readings, priors);
        var film = r.Hypotheses.Single(h => h.Parts is ["M3"]);
        var none = r.Hypotheses.Single(h => h.Kind == FaultKind.None);
        // by the same common factor
        var plain = 0.5 * Math.Exp(Log(readings, FaultKind.None, null, 0));
        Assert.Equal(
            0.5 / 6 * weight / plain,
            film.Probability / none.Probability,
            0.01 * film.Probability / none.Probability
        );
        Assert.Equal(mean / weight, film.Size, 0.001);
        Assert.Equal("mm of film", film.Unit);
    }

    [Fact]
    public void A_sensor_read_wrong_is_named_with_its_sign_and_power_moves_all()
    {
        FaultPrior[] priors =
        [
            new(FaultKind.None, 0.5, 0, 0, ""),
            new(FaultKind.Misread, 0.5, 3, 20, "K or % read wrong"),
        ];
        foreach (var off in new[] { 8.0, -8 })
        {
            var one = FaultFinder.Find(Bench, Each(p => p == "M2" ? off : 0), priors).Hypotheses[0];
            Assert.Equal((FaultKind.Misread, "M2"), (one.Kind, string.Join(",", one.Parts)));
            Assert.Equal(off, one.Size, 0.6);
            Assert.Equal(one.Size, one.EffectK.Single(e => e.Parts[0] == "M2").K, 0.01);
            Assert.All(one.EffectK.Where(e => e.Parts[0] != "M2"), e => Assert.Equal(0, e.K));
        }
        // every rise over the coolant by a tenth
        double Rise(string id)
        {
            var (_, land, own) = Bench.With(Bench.Parts.Single(p => p.Id == id), FaultKind.None, null, 0, 0);
            return 0.1 * (land + own);
        }
        var power = FaultFinder.Find(Bench, Each(Rise), priors).Hypotheses.First(h => h.Kind == FaultKind.Misread);
        Assert.Empty(power.Parts);
        Assert.InRange(power.Size, 6, 14);
        Assert.All(power.EffectK, e => Assert.Equal(Rise(e.Parts[0]) * power.Size / 10, e.K, 0.02));
        var less = FaultFinder
            .Find(Bench, Each(p => -Rise(p)), priors)
            .Hypotheses.First(h => h.Kind == FaultKind.Misread);
        Assert.InRange(less.Size, -14, -6);
    }

    [Fact]
    public void What_is_worth_telling_is_five_lines_down_to_three_in_a_hundred()
    {
        FaultHypothesis H(FaultKind kind, double p) => new(kind, [], null, 0, "", p, [], "");
        FaultResult Of(params double[] p) => new([], [.. p.Select(x => H(FaultKind.FilmLeft, x))], "");
        Assert.Equal(3, Of(0.6, 0.2, 0.03, 0.029, 0.01).WorthTelling);
        Assert.Equal(5, Of(0.2, 0.2, 0.1, 0.1, 0.1, 0.1).WorthTelling);
        Assert.Equal(1, Of(0.02, 0.01).WorthTelling);
        Assert.True(Of(0.5).Doubt);
        Assert.False(Of(0.49).Doubt);
        Assert.False(new FaultResult([], [H(FaultKind.None, 0.9)], "").Doubt);
        Assert.False(new FaultResult([], [], "").Doubt);
    }
}
