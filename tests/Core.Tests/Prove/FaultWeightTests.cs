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

    /// <summary>What each sensor would show, over its parts' means or their hottest, and its share of the land's and its own rise.</summary>
    private static (double C, double Land, double Own) Shown(SensorReading s, FaultKind kind, string? at, double size)
    {
        var parts = s.Parts.Select(id => Bench.With(Bench.Parts.Single(p => p.Id == id), kind, at, 0, size)).ToList();
        var n = parts.Count;
        return s.Kind == SensorKind.Max
            ? parts.MaxBy(p => p.C)
            : (parts.Average(p => p.C), parts.Average(p => p.LandK), parts.Average(p => p.OwnK) / Math.Sqrt(n));
    }

    private static double Log(List<SensorReading> readings, FaultKind kind, string? at, double size)
    {
        var shown = readings.ConvertAll(s => Shown(s, kind, at, size));
        var n = readings.Count;
        var cov = new double[n, n];
        for (var i = 0; i < n; i++)
        for (var j = 0; j < n; j++)
        {
            // half of the land's error is common to all, half each one's own
            cov[i, j] = HeatError.Land * shown[i].Land * HeatError.Land * shown[j].Land / 2;
            if (i == j)
                cov[i, i] +=
                    Math.Pow(readings[i].SigmaK, 2)
                    + Math.Pow(HeatError.Land * shown[i].Land, 2) / 2
                    + Math.Pow(HeatError.Own * shown[i].Own, 2);
        }
        return LogNormal([.. readings.Select((s, i) => s.C - shown[i].C)], cov);
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

    [Fact]
    public void A_sensor_over_several_parts_shows_their_mean_or_their_hottest()
    {
        foreach (var kind in new[] { SensorKind.Mean, SensorKind.Max })
        {
            List<SensorReading> readings =
            [
                new(["U1"], SensorKind.Mean, Expected("U1") + 1, 0.5),
                new(["M1", "M2", "M3"], kind, Expected("M3") + 3, 0.7),
            ];
            FaultPrior[] priors =
            [
                new(FaultKind.None, 0.6, 0, 0, ""),
                new(FaultKind.FilmLeft, 0.4, 0.1, 0.1, "mm of film"),
            ];
            double none = 0.6 * Math.Exp(Log(readings, FaultKind.None, null, 0)),
                film = new[] { "M1", "M2", "M3" }.Sum(c =>
                    0.4 / 3 * Math.Exp(Log(readings, FaultKind.FilmLeft, c, 0.1))
                );
            var r = FaultFinder.Find(Bench, readings, priors);
            // three that the sensor can not tell apart are one line
            var told = r.Hypotheses.Single(h => h.Kind == FaultKind.FilmLeft);
            Assert.Equal(["M1", "M2", "M3"], told.Parts.Order());
            Assert.Equal(film / (film + none), told.Probability, 1e-9);
            Assert.Equal(Shown(readings[1], FaultKind.None, null, 0).C, r.Expected[1].C, 9);
        }
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
